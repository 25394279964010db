/** What a run's row tells: its lines, how it stands, how its database is asked, and what marks its records. */
import {
  printCql,
  standaloneQuery,
  type DialectContext,
  type LedgerLine,
  type OwnLine,
  type Strategy,
} from '@even-lantern/core';
import type { Run, RunMark, RunStatus } from '@even-lantern/contract';
import type { SearchOptions } from '../connectors/databaseConnector.js';
import type { Begun, RunRow } from '../store/entities.js';

export function searchOptionsOf({ queryType, release }: RunRow): SearchOptions {
  // A database that has but one release may give it no date.
  return { queryType, ...(release === '' ? {} : { release }) };
}

/** Null for a run of an earlier release of the program. */
export function begunOf({ begun }: RunRow): Begun | null {
  return begun;
}

export function linesOf(row: RunRow): LedgerLine[] {
  return row.lines;
}

/** @param entry the number of the entry that it became */
export function runOf(row: RunRow, entry: number | null = null): Run {
  const lines = linesOf(row);
  return {
    id: row.id,
    reviewId: row.reviewId,
    database: row.database,
    databaseName: row.databaseName,
    startedAt: row.startedAt,
    status: row.status as RunStatus,
    linesCounted: lines.filter((line) => line.hits !== null).length,
    linesTotal: lines.length,
    hits: lines.at(-1)?.hits ?? null,
    fetched: row.fetched,
    reason: row.reason,
    remarks: row.remarks,
    repeats: begunOf(row)?.repeats?.entry ?? null,
    entry,
    tooMany: row.status === 'interrupted' && (row.hits ?? 0) > row.most ? row.hits : null,
  };
}

/**
 * What the run looks for, by lane and by line of one’s own, as the database was told it: lines written by hand
 * included. Where the whole was written by hand, it stands for all of them.
 */
export function marksOf(
  { lines }: Strategy,
  ownLines: readonly OwnLine[],
  { vocabulary, limitFields }: DialectContext,
): RunMark[] {
  const last = lines.findLast(({ kind, edited }) => edited && (kind === 'whole' || kind === 'limit'));
  const searching = ownLines.filter(({ role }) => role === 'narrows' || role === 'adds').map(({ id }) => id);
  const marking =
    last !== undefined
      ? [last]
      : lines.filter(({ kind, ownId }) => kind === 'lane' || (ownId !== null && searching.includes(ownId)));
  return marking.map((line) => ({
    laneId: line.laneId,
    vocabulary,
    limitFields: [...limitFields],
    cql: printCql(standaloneQuery(line, lines), { vocabulary: vocabulary ?? '' }),
  }));
}
