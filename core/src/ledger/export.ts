/** The ledger in open forms: CSV for tables, Markdown to be read, JSON (`ledger.schema.json`) to be checked by anybody. */
import { markdownText, toCsv } from '../text/index.js';
import {
  isRun,
  type CorrectionContent,
  type ElsewhereContent,
  type LedgerContent,
  type LedgerEntry,
  type LedgerLimit,
  type NoteContent,
  type RunContent,
} from './entry.js';
import { sealText, type Seal } from './verify.js';

/** The seal of entries that are the whole ledger. */
export function sealOf(entries: readonly LedgerEntry[]): Seal {
  return { entries: entries.length, hash: entries.at(-1)?.hash ?? null };
}

const COLUMNS = [
  'entry', 'outcome', 'reason', 'database', 'release', 'started (UTC)', 'time zone', 'duration (ms)', 'ran by',
  'line', 'description', 'string sent', 'hits', 'records fetched', 'result fingerprint (SHA-256)',
  'application version', 'entry hash', 'previous entry hash', 'form of the entry', 'dialect', 'remarks',
  'limit', 'reason of the limit', 'kind of entry', 'about entry', 'purpose', 'note', 'losses', 'version', 'repeats entry',
  'seal of the ledger',
] as const; // prettier-ignore
type Row = Partial<Record<(typeof COLUMNS)[number], string | number>>;

/** The ledger as CSV (RFC 4180), one row per line of every entry. Cells that look like formulas are defused. */
export function ledgerToCsv(entries: readonly LedgerEntry[]): string {
  const seal = sealText(sealOf(entries));
  const rows = entries.flatMap(({ content, hash, previousHash }) => {
    const own: Row = {
      entry: content.entry,
      'time zone': content.timeZone,
      'application version': content.applicationVersion,
      'entry hash': hash,
      'previous entry hash': previousHash ?? '',
      'form of the entry': content.form ?? 1,
      'kind of entry': content.kind ?? 'run',
      'seal of the ledger': seal,
    };
    return rowsOf(content).map((row) => ({ ...own, ...row }));
  });
  return toCsv([[...COLUMNS], ...rows.map((row) => COLUMNS.map((column) => row[column] ?? ''))]);
}

function rowsOf(content: LedgerContent): Row[] {
  if (isRun(content)) return runRows(content);
  const common = { 'started (UTC)': content.at, 'ran by': content.by };
  switch (content.kind) {
    case 'note':
      return [{ ...common, 'about entry': content.about.entry, note: content.text }];
    case 'correction': {
      const { about, what, was, is, text } = content;
      return [{ ...common, 'about entry': about.entry, description: `${what}: ${was} → ${is}`, note: text }];
    }
    case 'elsewhere': {
      const { way, place, string, count, searchedOn, text, file } = content;
      const description = `${way}, ${place}, on ${searchedOn}`;
      const hits = count ?? 'not counted';
      return [
        {
          ...common,
          description,
          'string sent': string,
          hits,
          'records fetched': file?.records ?? 0,
          note: text,
        },
      ];
    }
  }
}

function runRows(content: RunContent): Row[] {
  const { lines, limits, version, repeats } = content;
  const own: Row = {
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
  return lines.map((line) => {
    const limit = limits?.find((each) => each.line === line.number);
    return {
      ...own,
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
}

function versionText({ number, name }: { number: number; name: string }): string {
  return name === '' ? String(number) : `${number}, ${name}`;
}

/** The ledger as a Markdown document that can be read as it is. */
export function ledgerToMarkdown(entries: readonly LedgerEntry[], title: string): string {
  const parts = [`# Ledger: ${markdownText(title)}`, ''];
  if (entries.length === 0) parts.push('Nothing has been run and logged yet.', '');
  else parts.push(`Seal: \`${sealText(sealOf(entries))}\``, '');
  for (const entry of entries) {
    const { content, hash, previousHash } = entry;
    parts.push(
      ...(isRun(content) ? runParts(content) : toldParts(content)),
      `- Application version: ${content.applicationVersion}`,
      `- Entry hash: \`${hash}\`; previous entry: ${previousHash === null ? 'none' : `\`${previousHash}\``}`,
      '',
      ...(isRun(content) ? runTables(content) : []),
    );
  }
  return parts.join('\n');
}

function runParts(content: RunContent): string[] {
  const outcome =
    content.outcome === 'complete' ? 'complete' : `interrupted: ${content.reason ?? 'reason unknown'}`;
  const { purpose = '', note = '', version, repeats, renamed = [], remarks = [] } = content;
  return [
    `## Entry ${content.entry}: ${markdownText(content.databaseName)}, ${content.startedAt}`,
    '',
    ...(purpose === '' ? [] : [`- Purpose: ${markdownText(purpose)}`]),
    ...(note === '' ? [] : [`- Note: ${markdownText(note)}`]),
    `- Outcome: ${markdownText(outcome)}`,
    ...(repeats == null ? [] : [`- Repeats entry ${repeats.entry}, \`${repeats.hash}\``]),
    ...renamed.map(({ from, to }) => `- Heading renamed since: ${markdownText(`${from} → ${to}`)}`),
    ...(version == null
      ? []
      : [`- Version of the strategy: ${markdownText(versionText(version))}, \`${version.digest}\``]),
    `- Database release: ${markdownText(content.release)}`,
    `- Started: ${content.startedAt} (UTC); time zone of the person: ${markdownText(content.timeZone)}`,
    `- Duration: ${content.durationMs} ms`,
    `- Ran by: ${markdownText(content.ranBy)}`,
    `- Hits: ${content.hits ?? 'not counted'}; records fetched: ${content.fetched}`,
    ...remarks.map((remark) => `- Remark: ${markdownText(remark)}`),
    `- Result fingerprint (SHA-256 of the sorted accession ids): \`${content.fingerprint}\``,
  ];
}

function runTables(content: RunContent): string[] {
  return [
    `| Line | What it searches | String sent (${markdownText(content.dialect)}) | Hits |`,
    '| --- | --- | --- | ---: |',
    ...content.lines.map(({ number, description, losses = [], string, hits }) => {
      const what = [description, ...losses.map((loss) => `Loss: ${loss}`)].map(markdownText).join('<br>');
      return `| L${number} | ${what} | ${code(string)} | ${hits ?? 'not counted'} |`;
    }),
    '',
    ...limitTable(content.limits ?? []),
    ...list(
      'Findings that were accepted',
      (content.accepted ?? []).map(({ message, reason, by, at }) => `${message} ${reason} (${by}, ${at})`),
    ),
    ...list(
      'Headings of other vocabularies, as they were settled',
      (content.settled ?? []).map(
        ({ heading, headings, words, by, at }) =>
          `${heading}: ${[...headings, ...words.map((word) => `words “${word}”`)].join(', ') || 'left out'} (${by}, ${at})`,
      ),
    ),
  ];
}

function toldParts(content: NoteContent | CorrectionContent | ElsewhereContent): string[] {
  const entered = `- Entered: ${content.at} (UTC) by ${markdownText(content.by)}`;
  switch (content.kind) {
    case 'note':
      return [
        `## Entry ${content.entry}: note on entry ${content.about.entry}`,
        '',
        `- ${markdownText(content.text)}`,
        entered,
      ];
    case 'correction':
      return [
        `## Entry ${content.entry}: correction of entry ${content.about.entry}`,
        '',
        `- ${markdownText(`${content.what}: ${content.was} → ${content.is}`)}`,
        ...(content.text === '' ? [] : [`- ${markdownText(content.text)}`]),
        entered,
      ];
    case 'elsewhere':
      return [
        `## Entry ${content.entry}: ${content.way}, ${markdownText(content.place)}, ${content.searchedOn}`,
        '',
        ...(content.string === '' ? [] : [`- Searched for: ${code(content.string)}`]),
        `- Found: ${content.count ?? 'not counted'}`,
        ...(content.text === '' ? [] : [`- ${markdownText(content.text)}`]),
        ...(content.file === null
          ? []
          : [
              `- File: ${markdownText(content.file.name)}, ${content.file.bytes} bytes, ${content.file.records} records, SHA-256 \`${content.file.sha256}\``,
            ]),
        entered,
      ];
  }
}

function list(title: string, items: readonly string[]): string[] {
  return items.length === 0 ? [] : [`${title}:`, '', ...items.map((item) => `- ${markdownText(item)}`), ''];
}

function limitTable(limits: readonly LedgerLimit[]): string[] {
  if (limits.length === 0) return [];
  return [
    '| Limit | Reason | How it was applied | Before | After | Set by |',
    '| --- | --- | --- | ---: | ---: | --- |',
    ...limits.map(({ limit, reason, way, notApplied, before, after, setBy, setAt }) => {
      const how = notApplied === null ? (way ?? '') : `not applied: ${notApplied}`;
      const cells = [limit, reason, how].map(markdownText);
      const hits = [before, after].map((count) => (notApplied !== null ? '' : (count ?? 'not counted')));
      return `| ${[...cells, ...hits, `${markdownText(setBy)}, ${setAt}`].join(' | ')} |`;
    }),
    '',
  ];
}

/** A code span in a table cell, fenced by more backticks than it holds. */
function code(text: string): string {
  const longest = Math.max(0, ...[...text.matchAll(/`+/g)].map(([run]) => run.length));
  const fence = '`'.repeat(longest + 1);
  return `${fence} ${text.replaceAll('|', '\\|').replace(/\s+/g, ' ')} ${fence}`;
}
