/** The tables. Plain columns only, so that another SQL engine can carry them. Dates are ISO 8601 text in UTC. */
import type { LinesFor, OwnLineRole } from '@even-lantern/core';
import { Column, Entity, PrimaryColumn, VersionColumn } from 'typeorm';

@Entity({ name: 'person' })
export class PersonRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') name: string;
  @Column('varchar') createdAt: string;
}

@Entity({ name: 'review' })
export class ReviewRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') title: string;
  @Column('varchar') framework: string;
  @Column('varchar') createdAt: string;
  @Column('varchar') createdBy: string;
  /** put away, out of sight of those at work */
  @Column('varchar', { nullable: true }) putAwayAt: string | null;
  /** deleted; what it holds goes bit by bit, and the row at last */
  @Column('varchar', { nullable: true }) deletedAt: string | null;
  /** the ladder of evidence where it was changed, as JSON */
  @Column('text', { nullable: true }) ladder: string | null;
  /** a line for each term, or for each lane */
  @Column('varchar', { default: 'term' }) linesFor: LinesFor;
  @VersionColumn() version: number;
}

@Entity({ name: 'element' })
export class ElementRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') key: string;
  @Column('integer') position: number;
  @Column('text') text: string;
  @Column('text') note: string;
  @Column('boolean') searched: boolean;
  @VersionColumn() version: number;
}

@Entity({ name: 'lane' })
export class LaneRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** null for a further concept */
  @Column('varchar', { nullable: true }) elementId: string | null;
  /** order within the review */
  @Column('integer') position: number;
  @Column('text') name: string;
  @Column('boolean') leftOut: boolean;
  /** ended, but kept with its terms */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  /** raised by whoever changes the lane, not by its terms */
  @Column('integer') version: number;
}

/** Terms kept for later, which belong to no lane yet. */
@Entity({ name: 'shelf_item' })
export class ShelfItemRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review, from 1 */
  @Column('integer') position: number;
  @Column('text') name: string;
  /** the contents of its terms, as JSON */
  @Column('text') contents: string;
  @Column('varchar') origin: string;
  @Column('text') source: string;
  @Column('varchar') createdAt: string;
  @Column('varchar') createdBy: string;
  /** taken off or into a lane, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @Column('integer') version: number;
}

/** A limit of a review. */
@Entity({ name: 'review_limit' })
export class LimitRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review */
  @Column('integer') position: number;
  @Column('varchar') kind: string;
  /** its values, as JSON */
  @Column('text') content: string;
  /** empty while it is tried out */
  @Column('text') reason: string;
  @Column('boolean') on: boolean;
  /** by database, how it is applied where somebody chose, as JSON */
  @Column('text') ways: string;
  @Column('varchar') changedAt: string;
  @Column('varchar') changedBy: string;
  /** taken away, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @Column('integer') version: number;
}

/** A line that somebody wrote beside those of the lanes, for all databases. */
@Entity({ name: 'own_line' })
export class OwnLineRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review */
  @Column('integer') position: number;
  /** what it does to the whole */
  @Column('varchar') role: OwnLineRole;
  @Column('boolean') on: boolean;
  /** in CQL, other lines named by their keys */
  @Column('text') text: string;
  @Column('text') note: string;
  @Column('varchar') changedAt: string;
  @Column('varchar') changedBy: string;
  /** taken away, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @Column('integer') version: number;
}

/** What a check found and somebody let stand. Rows are only ever added; the latest about a finding counts. */
@Entity({ name: 'accepted_finding' })
export class AcceptedFindingRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review, from 1 */
  @Column('integer') position: number;
  @Column('varchar') check: string;
  /** the key of the line at which it was found */
  @Column('varchar') place: string;
  @Column('text') detail: string;
  @Column('text') message: string;
  /** null where it was taken back */
  @Column('text', { nullable: true }) reason: string | null;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A state of a strategy that is kept. */
@Entity({ name: 'strategy_version' })
export class StrategyVersionRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review, from 1 */
  @Column('integer') position: number;
  /** the SHA-256 of the state */
  @Column('varchar') digest: string;
  /** as JSON */
  @Column('text') state: string;
  /** empty for one that nobody named */
  @Column('text') name: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
  /** whether it was kept on purpose, so that what is changed next is a state of its own */
  @Column('boolean') fixed: boolean;
}

/**
 * What one edit of a review did. “done” can be taken back, “undone” done again; one is “stuck” where somebody has changed
 * the same since.
 */
@Entity({ name: 'edit_step' })
export class EditStepRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order among the steps of the review and person, from 1 */
  @Column('integer') position: number;
  @Column('varchar') personId: string;
  @Column('varchar') at: string;
  /** the same for changes that are one edit, as the one who made them says */
  @Column('varchar', { nullable: true }) edit: string | null;
  /** what was done, to go on from “Undone:” */
  @Column('text') words: string;
  /** as JSON */
  @Column('text') step: string;
  @Column('varchar') standing: 'done' | 'undone' | 'stuck';
}

/** A strategy that a second person looks over. */
@Entity({ name: 'peer_review' })
export class PeerReviewRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** order within the review, from 1 */
  @Column('integer') position: number;
  /** the version that is looked at */
  @Column('varchar') versionId: string;
  @Column('text') note: string;
  @Column('varchar') askedAt: string;
  @Column('varchar') askedBy: string;
  /** null while it goes on */
  @Column('varchar', { nullable: true }) outcome: string | null;
  @Column('text') summary: string;
  @Column('varchar', { nullable: true }) finishedAt: string | null;
  @Column('varchar', { nullable: true }) finishedBy: string | null;
}

/** What somebody judged of a point of a peer review. Rows are only ever added; the latest of a point counts. */
@Entity({ name: 'point_judgement' })
export class PointJudgementRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') peerReviewId: string;
  /** order within the peer review, from 1 */
  @Column('integer') position: number;
  @Column('varchar') point: string;
  /** null where it was taken back */
  @Column('varchar', { nullable: true }) judgement: string | null;
  @Column('text') note: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A comment within a peer review, or an answer to one. */
@Entity({ name: 'peer_comment' })
export class PeerCommentRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') peerReviewId: string;
  /** order within the peer review, from 1 */
  @Column('integer') position: number;
  /** the comment that it answers */
  @Column('varchar', { nullable: true }) answers: string | null;
  /** the key of the line; empty for the whole strategy */
  @Column('varchar') place: string;
  /** the line as it stood then */
  @Column('text') about: string;
  @Column('text') text: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
  @Column('varchar', { nullable: true }) settledAt: string | null;
  @Column('varchar', { nullable: true }) settledBy: string | null;
}

/** What somebody judged the design of a record to be. Rows are only ever added; the latest counts. */
@Entity({ name: 'design_judgement' })
export class DesignJudgementRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') recordId: string;
  /** order within the record, from 1 */
  @Column('integer') position: number;
  /** null where a judgement was taken back */
  @Column('varchar', { nullable: true }) design: string | null;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A design filter that somebody saved for all reviews. */
@Entity({ name: 'saved_filter' })
export class SavedFilterRow {
  @PrimaryColumn('varchar') id: string;
  @Column('text') name: string;
  /** the labels of the designs that it finds, as JSON */
  @Column('text') designs: string;
  /** its words, as JSON */
  @Column('text') words: string;
  @Column('varchar') changedAt: string;
  @Column('varchar') changedBy: string;
  /** taken away, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @Column('integer') version: number;
}

@Entity({ name: 'term' })
export class TermRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') laneId: string;
  @Column('integer') position: number;
  /** the term's content as JSON */
  @Column('text') content: string;
  @Column('varchar') origin: string;
  @Column('varchar') createdAt: string;
  @Column('varchar') createdBy: string;
  /** why it is kept without being searched */
  @Column('text', { nullable: true }) heldBack: string | null;
  /** taken out of its lane, but kept */
  @Column('varchar', { nullable: true }) removedAt: string | null;
  @VersionColumn() version: number;
}

/** What an element said, from when it was written until somebody wrote something else. */
@Entity({ name: 'wording' })
export class WordingRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') elementId: string;
  /** order within the element, from 1 */
  @Column('integer') position: number;
  @Column('text') text: string;
  /** last written at */
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** One step in the history of a lane. Rows are only ever added. */
@Entity({ name: 'lane_event' })
export class LaneEventRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') laneId: string;
  /** order within the lane, from 1 */
  @Column('integer') position: number;
  @Column('varchar') termId: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
  @Column('varchar') what: string;
  /** the term after the step, and before it where it changed, as JSON */
  @Column('text') content: string;
  @Column('text', { nullable: true }) before: string | null;
  @Column('text', { nullable: true }) reason: string | null;
}

@Entity({ name: 'run' })
export class RunRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  @Column('varchar') status: string;
  @Column('varchar') startedAt: string;
  @Column('varchar') timeZone: string;
  @Column('varchar') ranBy: string;
  @Column('varchar') databaseName: string;
  @Column('varchar') release: string;
  /** the language of the lines' strings: `cql`, or the id of a dialect */
  @Column('varchar') queryType: string;
  /** the lines with their hits so far, as JSON */
  @Column('text') lines: string;
  @Column('integer', { nullable: true }) hits: number | null;
  @Column('integer') fetched: number;
  @Column('text', { nullable: true }) reason: string | null;
  /** up to how many records are fetched */
  @Column('integer') most: number;
  /** when it was last heard of */
  @Column('varchar') lastAt: string;
  /** what was odd in the answers, as JSON */
  @Column('text') remarks: string;
  /** what marks the records that it found, as JSON; null for runs made before that was kept */
  @Column('text', { nullable: true }) marks: string | null;
  /** the limits that were applied or could not be, as JSON; null for runs made before there were limits */
  @Column('text', { nullable: true }) limits: string | null;
}

/** Whether a database is searched for a review, and why not. */
@Entity({ name: 'database_choice' })
export class DatabaseChoiceRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  @Column('boolean') chosen: boolean;
  @Column('text') note: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A database that a person added. One that is removed stays, since what was run in it stays. */
@Entity({ name: 'added_database' })
export class AddedDatabaseRow {
  @PrimaryColumn('varchar') id: string;
  /** what was said of it, as JSON */
  @Column('text') content: string;
  @Column('varchar') addedAt: string;
  @Column('varchar') addedBy: string;
  @Column('varchar', { nullable: true }) removedAt: string | null;
}

/** How much a database may be asked, where somebody said so. */
@Entity({ name: 'call_budget' })
export class CallBudgetRow {
  @PrimaryColumn('varchar') database: string;
  @Column('integer') atOnce: number;
  /** null for no bound */
  @Column('integer', { nullable: true }) perSecond: number | null;
  @Column('varchar') changedAt: string;
  @Column('varchar') changedBy: string;
}

/** What somebody did to a database. Rows are only ever added. */
@Entity({ name: 'database_event' })
export class DatabaseEventRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') database: string;
  /** order within the database, from 1 */
  @Column('integer') position: number;
  @Column('varchar') what: string;
  /** such as the release it was moved to */
  @Column('text') detail: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** What a string found in a database that is asked by hand. Rows are only ever added; the latest counts. */
@Entity({ name: 'hand_count' })
export class HandCountRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') database: string;
  /** order within the database, from 1 */
  @Column('integer') position: number;
  /** the SHA-256 of what the string means, in CQL */
  @Column('text') meaning: string;
  @Column('text') string: string;
  @Column('integer') hits: number;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** A record given back for a string from a database that is asked by hand. */
@Entity({ name: 'hand_record' })
export class HandRecordRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') database: string;
  @Column('text') meaning: string;
  /** order within the string, from 1 */
  @Column('integer') position: number;
  @Column('varchar') accession: string;
  /** the whole record as JSON */
  @Column('text') record: string;
}

/** A line of a strategy as somebody wrote it by hand for a database. Quick saves one after the other are one row. */
@Entity({ name: 'line_text' })
export class LineTextRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  /** `term:`, `lane:`, `limit:` or `own:` and its id, or `whole` */
  @Column('varchar') line: string;
  /** 1 and up */
  @Column('integer') version: number;
  @Column('varchar') language: string;
  /** null where it was taken back to what the lanes give */
  @Column('text', { nullable: true }) text: string | null;
  /** whether this is how the line stands now */
  @Column('boolean') latest: boolean;
  /** which line each number in the text was, as JSON */
  @Column('text') refersTo: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

@Entity({ name: 'ledger_entry' })
export class LedgerEntryRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') runId: string;
  @Column('integer') entry: number;
  @Column('text') content: string;
  @Column('varchar', { nullable: true }) previousHash: string | null;
  @Column('varchar') hash: string;
}

@Entity({ name: 'record' })
export class RecordRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') database: string;
  @Column('varchar') accession: string;
  @Column('varchar') lastRunId: string;
  /** place in the last run's order of relevance, from 1 */
  @Column('integer') rank: number;
  @Column('text') title: string;
  @Column('integer') year: number;
  @Column('text') journal: string;
  /** the whole record as JSON */
  @Column('text') record: string;
  @Column('varchar') decision: string;
  @Column('varchar', { nullable: true }) decidedBy: string | null;
  @Column('varchar', { nullable: true }) decidedAt: string | null;
  /** of the record, as JSON, for lists */
  @Column('text') publicationTypes: string;
  /** of the decision alone: what a later run says of the record leaves it as it is */
  @Column('integer') version: number;
  /** the design that is likely or was judged; empty where nothing tells of any, null until somebody asks */
  @Column('varchar', { nullable: true }) design: string | null;
  /** whether a person judged the design, so that rules leave it as it is */
  @Column('boolean') designJudged: boolean;
}

/** With which rules the designs of a review’s records were told. */
@Entity({ name: 'design_pass' })
export class DesignPassRow {
  @PrimaryColumn('varchar') reviewId: string;
  /** a digest of the rules */
  @Column('varchar') rules: string;
}

/** How many records of a review stand at a decision. */
@Entity({ name: 'record_count' })
export class RecordCountRow {
  @PrimaryColumn('varchar') reviewId: string;
  @PrimaryColumn('varchar') decision: string;
  @Column('integer') number: number;
}

/** Which records each run found, in its order. */
@Entity({ name: 'run_record' })
export class RunRecordRow {
  @PrimaryColumn('varchar') runId: string;
  @PrimaryColumn('varchar') accession: string;
  @Column('integer') rank: number;
}

/** A vocabulary read from a file. Reading one of the same id again adds a row; the latest counts. */
@Entity({ name: 'imported_vocabulary' })
export class ImportedVocabularyRow {
  @PrimaryColumn('varchar') id: string;
  /** what queries name */
  @Column('varchar') vocabulary: string;
  @Column('varchar') name: string;
  @Column('varchar') release: string;
  @Column('integer') headings: number;
  /** the vocabulary as JSON, without its headings, which are in parts of their own; earlier rows have them here */
  @Column('text') content: string;
  /** what was odd in the file, as JSON */
  @Column('text') notes: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

/** Some of the headings of a vocabulary read from a file, as a JSON array. Parts of no row are of one being read. */
@Entity({ name: 'imported_headings' })
export class ImportedHeadingsRow {
  @PrimaryColumn('varchar') vocabularyRow: string;
  /** order among them, from 0 */
  @PrimaryColumn('integer') part: number;
  @Column('text') content: string;
}

/** One step in settling the crosswalk. Rows are only ever added; the latest about a pair counts. */
@Entity({ name: 'settlement' })
export class SettlementRow {
  @PrimaryColumn('varchar') id: string;
  /** order among all, from 1 */
  @Column('integer') position: number;
  @Column('varchar') vocabulary: string;
  @Column('varchar') label: string;
  @Column('varchar') target: string;
  @Column('varchar', { nullable: true }) targetLabel: string | null;
  @Column('varchar') verdict: string;
  @Column('varchar') at: string;
  @Column('varchar') personId: string;
}

export const ENTITIES = [
  LineTextRow,
  AddedDatabaseRow,
  HandCountRow,
  HandRecordRow,
  DatabaseChoiceRow,
  DatabaseEventRow,
  CallBudgetRow,
  PersonRow,
  ReviewRow,
  ElementRow,
  LaneRow,
  ShelfItemRow,
  LimitRow,
  OwnLineRow,
  AcceptedFindingRow,
  StrategyVersionRow,
  EditStepRow,
  PeerReviewRow,
  PointJudgementRow,
  PeerCommentRow,
  DesignJudgementRow,
  DesignPassRow,
  SavedFilterRow,
  WordingRow,
  TermRow,
  LaneEventRow,
  RunRow,
  LedgerEntryRow,
  RecordRow,
  RecordCountRow,
  RunRecordRow,
  ImportedVocabularyRow,
  ImportedHeadingsRow,
  SettlementRow,
];
