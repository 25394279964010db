import { markdownText, toCsv } from '../text/index.js';
import type { LedgerEntry, LedgerLimit } from './entry.js';

/** The ledger as CSV (RFC 4180), one row per line of every entry. Cells that look like formulas are defused. */
export function ledgerToCsv(entries: readonly LedgerEntry[]): string {
  const header = [
    'entry', 'outcome', 'reason', 'database', 'release', 'started (UTC)', 'time zone', 'duration (ms)', 'ran by',
    'line', 'description', 'string sent', 'hits', 'records fetched', 'result fingerprint (SHA-256)',
    'application version', 'entry hash', 'previous entry hash', 'form of the entry', 'dialect', 'remarks',
    'limit', 'reason of the limit',
  ]; // prettier-ignore
  const rows = entries.flatMap(({ content, hash, previousHash }) =>
    content.lines.map((line) => [
      content.entry, content.outcome, content.reason ?? '', content.databaseName, content.release, content.startedAt,
      content.timeZone, content.durationMs, content.ranBy, `L${line.number}`, line.description, line.string,
      line.hits ?? 'not counted', content.fetched, content.fingerprint, content.applicationVersion, hash,
      previousHash ?? '', content.form ?? 1, content.queryType ?? '', (content.remarks ?? []).join(' '),
      ...limitCells(content.limits, line.number),
    ]),
  ); // prettier-ignore
  return toCsv([header, ...rows]);
}

/** The ledger as a Markdown document that can be read as it is. */
export function ledgerToMarkdown(entries: readonly LedgerEntry[], title: string): string {
  const parts = [`# Ledger: ${markdownText(title)}`, ''];
  if (entries.length === 0) parts.push('Nothing has been run and logged yet.', '');
  for (const { content, hash, previousHash } of entries) {
    const outcome =
      content.outcome === 'complete' ? 'complete' : `interrupted: ${content.reason ?? 'reason unknown'}`;
    parts.push(
      `## Entry ${content.entry}: ${markdownText(content.databaseName)}, ${content.startedAt}`,
      '',
      `- Outcome: ${markdownText(outcome)}`,
      `- Database release: ${markdownText(content.release)}`,
      `- Started: ${content.startedAt} (UTC); time zone of the person: ${markdownText(content.timeZone)}`,
      `- Duration: ${content.durationMs} ms`,
      `- Ran by: ${markdownText(content.ranBy)}`,
      `- Hits: ${content.hits ?? 'not counted'}; records fetched: ${content.fetched}`,
      ...(content.remarks ?? []).map((remark) => `- Remark: ${markdownText(remark)}`),
      `- Result fingerprint (SHA-256 of the sorted accession ids): \`${content.fingerprint}\``,
      `- Application version: ${content.applicationVersion}`,
      `- Entry hash: \`${hash}\`; previous entry: ${previousHash === null ? 'none' : `\`${previousHash}\``}`,
      '',
      `| Line | What it searches | String sent (${markdownText(content.dialect)}) | Hits |`,
      '| --- | --- | --- | ---: |',
      ...content.lines.map(
        (line) =>
          `| L${line.number} | ${markdownText(line.description)} | ${code(line.string)} | ${line.hits ?? 'not counted'} |`,
      ),
      '',
      ...limitTable(content.limits ?? []),
    );
  }
  return parts.join('\n');
}

function limitCells(limits: readonly LedgerLimit[] | undefined, line: number): [string, string] {
  const limit = limits?.find((each) => each.line === line);
  return limit === undefined ? ['', ''] : [`${limit.limit} (${limit.way ?? ''})`, limit.reason];
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
