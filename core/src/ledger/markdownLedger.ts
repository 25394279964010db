/** A ledger as a Markdown document that can be read as it is. */
import { markdownText } from '../text/index.js';
import {
  isRun,
  type CorrectionContent,
  type ElsewhereContent,
  type LedgerLimit,
  type NoteContent,
  type RunContent,
} from './entry.js';
import type { LedgerForm } from './form.js';
import { sealText } from './verify.js';
import { versionText } from './versionText.js';

export const MARKDOWN_LEDGER: LedgerForm = {
  mediaType: 'text/markdown; charset=utf-8',
  extension: 'md',
  before: ({ review, seal }) =>
    [
      `# Ledger: ${markdownText(review.title)}`,
      '',
      seal.entries === 0 ? 'Nothing has been run and logged yet.' : `Seal: \`${sealText(seal)}\``,
      '',
      '',
    ].join('\n'),
  between: '\n',
  after: '',
  write: ({ content, hash, previousHash }) =>
    [
      ...(isRun(content) ? runParts(content) : toldParts(content)),
      `- Application version: ${content.applicationVersion}`,
      `- Entry hash: \`${hash}\`; previous entry: ${previousHash === null ? 'none' : `\`${previousHash}\``}`,
      '',
      ...(isRun(content) ? runTables(content) : []),
    ].join('\n'),
};

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
