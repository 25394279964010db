/** The tables of a review, in the order in which they can be filled, and how their rows hang together. */
import { In, type EntityManager, type EntityTarget, type ObjectLiteral } from 'typeorm';
import * as rows from '../store/entities.js';
import { MIGRATIONS } from '../store/migrations/index.js';

/** The ids of what others belong to. */
export interface Owners {
  reviewId: string;
  elementIds: string[];
  laneIds: string[];
  runIds: string[];
  peerReviewIds: string[];
  /** databases that somebody added and that this review names */
  addedDatabases: string[];
}

export interface PackageTable {
  entity: EntityTarget<ObjectLiteral>;
  /** which rows belong to the review */
  where: (owners: Owners) => object;
  /** by column, the table whose id it holds */
  refersTo: Readonly<Record<string, string>>;
  /** not of the review alone: rows that are there already stay as they are */
  shared?: true;
}

const ofReview = ({ reviewId }: Owners) => ({ reviewId });
const table = (
  entity: EntityTarget<ObjectLiteral>,
  refersTo: PackageTable['refersTo'] = {},
  where: PackageTable['where'] = ofReview,
): PackageTable => ({
  entity,
  where,
  refersTo: { ...(where === ofReview ? { reviewId: 'review' } : {}), ...refersTo },
});
const ofLanes = ({ laneIds }: Owners) => ({ laneId: In(laneIds) });
const ofPeerReviews = ({ peerReviewIds }: Owners) => ({ peerReviewId: In(peerReviewIds) });
const ofDatabases = ({ addedDatabases }: Owners) => ({ database: In(addedDatabases) });

/** Columns that name a person, wherever they stand. */
export const PERSON_COLUMNS = [
  'createdBy', 'personId', 'decidedBy', 'changedBy', 'ranBy', 'askedBy', 'finishedBy', 'settledBy', 'addedBy',
]; // prettier-ignore

/** By table, the columns whose text is JSON. */
const JSON_COLUMNS: Readonly<Record<string, readonly string[]>> = {
  review: ['ladder'],
  term: ['content'],
  lane_event: ['content'],
  shelf_item: ['contents'],
  review_limit: ['content', 'ways'],
  line_text: ['refersTo'],
  strategy_version: ['state'],
  edit_step: ['step'],
  run: ['lines', 'remarks', 'marks', 'limits', 'begun'],
  ledger_entry: ['content', 'summary'],
  record: ['record', 'publicationTypes'],
  record_state: ['record'],
  drift: ['content'],
  schedule: ['entries', 'recurrence'],
  firing: ['fresh'],
  added_database: ['content'],
  hand_record: ['record'],
};

/** By name. People come first, and are gathered from what others name. */
export const PACKAGE_TABLES: Readonly<Record<string, PackageTable>> = {
  person: { ...table(rows.PersonRow, {}, () => ({ id: '' })), shared: true },
  review: table(rows.ReviewRow, {}, ({ reviewId }) => ({ id: reviewId })),
  element: table(rows.ElementRow),
  wording: table(rows.WordingRow, { elementId: 'element' }, ({ elementIds }) => ({
    elementId: In(elementIds),
  })),
  lane: table(rows.LaneRow, { elementId: 'element' }),
  term: table(rows.TermRow, { laneId: 'lane' }, ofLanes),
  lane_event: table(rows.LaneEventRow, { laneId: 'lane' }, ofLanes),
  shelf_item: table(rows.ShelfItemRow),
  review_limit: table(rows.LimitRow),
  own_line: table(rows.OwnLineRow),
  line_text: table(rows.LineTextRow),
  accepted_finding: table(rows.AcceptedFindingRow),
  strategy_version: table(rows.StrategyVersionRow),
  edit_step: table(rows.EditStepRow),
  peer_review: table(rows.PeerReviewRow, { versionId: 'strategy_version' }),
  point_judgement: table(rows.PointJudgementRow, { peerReviewId: 'peer_review' }, ofPeerReviews),
  peer_comment: table(rows.PeerCommentRow, { peerReviewId: 'peer_review' }, ofPeerReviews),
  database_choice: table(rows.DatabaseChoiceRow),
  run: table(rows.RunRow),
  ledger_entry: table(rows.LedgerEntryRow, { runId: 'run' }),
  record: table(rows.RecordRow, { lastRunId: 'run' }),
  design_judgement: table(rows.DesignJudgementRow, { recordId: 'record' }),
  run_record: table(rows.RunRecordRow, { runId: 'run' }, ({ runIds }) => ({ runId: In(runIds) })),
  record_state: table(rows.RecordStateRow),
  drift: table(rows.DriftRow),
  record_count: table(rows.RecordCountRow),
  design_pass: table(rows.DesignPassRow),
  schedule: table(rows.ScheduleRow),
  firing: table(rows.FiringRow, { scheduleId: 'schedule' }),
  added_database: {
    ...table(rows.AddedDatabaseRow, {}, ({ addedDatabases }) => ({ id: In(addedDatabases) })),
    shared: true,
  },
  hand_count: { ...table(rows.HandCountRow, { database: 'added_database' }, ofDatabases), shared: true },
  hand_record: { ...table(rows.HandRecordRow, { database: 'added_database' }, ofDatabases), shared: true },
  settlement: { ...table(rows.SettlementRow, {}, () => ({})), shared: true },
};

/** The last step of the tables: a package is read by a program whose tables are the same. */
export const TABLES_AS_OF = MIGRATIONS.at(-1)?.name ?? '';

/** A column of a table, as whoever checks rows needs it. */
export interface ColumnShape {
  type: 'string' | 'number' | 'boolean';
  nullable: boolean;
}

/** A table, as plain data, so that a worker thread can check rows without the store. */
export interface TableShape {
  columns: Record<string, ColumnShape>;
  key: string[];
  refersTo: Record<string, string>;
  /** columns whose text is JSON */
  json: readonly string[];
}

const NUMBERS = new Set<unknown>(['integer', Number]);
const BOOLEANS = new Set<unknown>(['boolean', Boolean]);

export function tableShapes(manager: EntityManager): Record<string, TableShape> {
  return Object.fromEntries(
    Object.entries(PACKAGE_TABLES).map(([name, { entity, refersTo }]) => {
      const { columns, primaryColumns } = manager.connection.getMetadata(entity);
      const shape = columns.map(({ propertyName, type, isNullable }): [string, ColumnShape] => [
        propertyName,
        {
          type: NUMBERS.has(type) ? 'number' : BOOLEANS.has(type) ? 'boolean' : 'string',
          nullable: isNullable,
        },
      ]);
      const people = columns.flatMap(({ propertyName }) =>
        PERSON_COLUMNS.includes(propertyName) ? [[propertyName, 'person']] : [],
      );
      return [
        name,
        {
          columns: Object.fromEntries(shape),
          json: JSON_COLUMNS[name] ?? [],
          key: primaryColumns.map(({ propertyName }) => propertyName),
          refersTo: { ...refersTo, ...(Object.fromEntries(people) as Record<string, string>) },
        },
      ];
    }),
  );
}

export async function ownersOf(manager: EntityManager, reviewId: string): Promise<Owners> {
  const ids = async (entity: EntityTarget<ObjectLiteral>) => {
    const found = (await manager.find(entity, { where: { reviewId }, select: { id: true } })) as {
      id: string;
    }[];
    return found.map(({ id }) => id);
  };
  const named = new Set<string>();
  for (const entity of [rows.RunRow, rows.DatabaseChoiceRow, rows.LineTextRow]) {
    const found = (await manager.find(entity as EntityTarget<ObjectLiteral>, {
      where: { reviewId },
      select: { database: true },
    })) as { database: string }[];
    for (const { database } of found) named.add(database);
  }
  const added = await manager.find(rows.AddedDatabaseRow, {
    where: { id: In([...named]) },
    select: { id: true },
  });
  return {
    reviewId,
    elementIds: await ids(rows.ElementRow),
    laneIds: await ids(rows.LaneRow),
    runIds: await ids(rows.RunRow),
    peerReviewIds: await ids(rows.PeerReviewRow),
    addedDatabases: added.map(({ id }) => id),
  };
}
