/** A ledger as CSV (RFC 4180), one row per line of every entry. Cells that look like formulas are defused. */
import { toCsv } from '../text/index.js';
import { isRun, type LedgerContent, type RunContent } from './entry.js';
import type { LedgerForm } from './form.js';
import { sealText } from './verify.js';
import { versionText } from './versionText.js';

const COLUMNS = [
  'entry', 'outcome', 'reason', 'database', 'release', 'started (UTC)', 'time zone', 'duration (ms)', 'ran by',
  'line', 'description', 'string sent', 'hits', 'records fetched', 'result fingerprint (SHA-256)',
  'application version', 'entry hash', 'previous entry hash', 'form of the entry', 'dialect', 'remarks',
  'limit', 'reason of the limit', 'kind of entry', 'about entry', 'purpose', 'note', 'losses', 'version', 'repeats entry',
  'seal of the ledger',
] as const; // prettier-ignore
type Row = Partial<Record<(typeof COLUMNS)[number], string | number>>;

export const CSV_LEDGER: LedgerForm = {
  mediaType: 'text/csv; charset=utf-8',
  extension: 'csv',
  before: () => toCsv([[...COLUMNS]]),
  between: '',
  after: '',
  write: ({ content, hash, previousHash }, { seal }) => {
    const own: Row = {
      entry: content.entry,
      'time zone': content.timeZone,
      'application version': content.applicationVersion,
      'entry hash': hash,
      'previous entry hash': previousHash ?? '',
      'form of the entry': content.form ?? 1,
      'kind of entry': content.kind ?? 'run',
      'seal of the ledger': sealText(seal),
    };
    const { common, rows } = rowsOf(content);
    const cells = COLUMNS.map((column) => common[column] ?? own[column] ?? '');
    return toCsv(rows.map((row) => cells.map((cell, i) => row[COLUMNS[i] ?? 'entry'] ?? cell)));
  },
};

/** What an entry says in all of its rows, and what in each. */
interface Rows {
  common: Row;
  rows: Row[];
}

function rowsOf(content: LedgerContent): Rows {
  if (isRun(content)) return runRows(content);
  const common = { 'started (UTC)': content.at, 'ran by': content.by };
  switch (content.kind) {
    case 'note':
      return { common, rows: [{ 'about entry': content.about.entry, note: content.text }] };
    case 'correction': {
      const { about, what, was, is, text } = content;
      const description = `${what}: ${was} → ${is}`;
      return { common, rows: [{ 'about entry': about.entry, description, note: text }] };
    }
    case 'elsewhere': {
      const { way, place, string, count, searchedOn, text, file } = content;
      const description = `${way}, ${place}, on ${searchedOn}`;
      const [hits, fetched] = [count ?? 'not counted', file?.records ?? 0];
      return {
        common,
        rows: [{ description, 'string sent': string, hits, 'records fetched': fetched, note: text }],
      };
    }
  }
}

function runRows(content: RunContent): Rows {
  const { lines, limits, version, repeats } = content;
  const common: Row = {
    outcome: content.outcome,
    reason: content.reason ?? '',
    database: content.databaseName,
    release: content.release,
    'started (UTC)': content.startedAt,
    'duration (ms)': content.durationMs,
    'ran by': content.ranBy,
    'records fetched': content.fetched,
    'result fingerprint (SHA-256)': content.fingerprint,
    dialect: content.queryType ?? '',
    remarks: (content.remarks ?? []).join(' '),
    purpose: content.purpose ?? '',
    note: content.note ?? '',
    version: version == null ? '' : versionText(version),
    'repeats entry': repeats?.entry ?? '',
  };
  const rows = lines.map((line): Row => {
    const limit = limits?.find((each) => each.line === line.number);
    return {
      line: `L${line.number}`,
      description: line.description,
      'string sent': line.string,
      hits: line.hits ?? 'not counted',
      losses: (line.losses ?? []).join(' '),
      ...(limit === undefined
        ? {}
        : { limit: `${limit.limit} (${limit.way ?? ''})`, 'reason of the limit': limit.reason }),
    };
  });
  return { common, rows };
}
