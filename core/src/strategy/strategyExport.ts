/** A strategy in open forms: JSON to be read back, tables to be read by people, and text to be pasted. */
import type { Limit } from '../limits/index.js';
import { markdownText, toCsv } from '../text/index.js';
import { laneKey, limitKey, ownKey, termKey, WHOLE_LINE, type LineKey, type LineText } from './edits.js';
import { laneToDocument, type LaneDocument, type NamedLane } from './laneExport.js';
import { ROLE_NAMES, textWithKeys, type OwnLine, type OwnLineRole } from './ownLines.js';

/** The name of the form, which a reader checks first. Raised when the form changes. */
export const STRATEGY_FORM = 'even-lantern-strategy/1';

/**
 * The JSON form of a strategy; `docs/guide/strategy.schema.json` describes it. Lines are named by their places in the
 * file: `lane:2` is the second lane, `term:2.3` its third term, `own:1` and `limit:1` the first of theirs.
 */
export interface StrategyDocument {
  form: typeof STRATEGY_FORM;
  title: string;
  lanes: LaneDocument[];
  ownLines: Omit<OwnLine, 'id'>[];
  limits: Omit<Limit, 'id'>[];
  /** what is written by hand for single databases */
  written: WrittenDocument[];
}

export interface WrittenDocument extends LineText {
  database: string;
}

export interface WholeStrategy {
  title: string;
  lanes: readonly NamedLane[];
  ownLines: readonly OwnLine[];
  limits: readonly Limit[];
  written: readonly WrittenDocument[];
}

/** The places by which a file names lines, each with the key that it stands for. */
export function placesOf(
  lanes: readonly { id: string; terms: readonly { id: string }[] }[],
  ownLines: readonly { id: string }[],
  limits: readonly { id: string }[],
): Map<LineKey, LineKey> {
  return new Map([
    [WHOLE_LINE, WHOLE_LINE],
    ...lanes.flatMap(({ id, terms }, i): [LineKey, LineKey][] => [
      [laneKey(id), laneKey(String(i + 1))],
      ...terms.map((term, k): [LineKey, LineKey] => [termKey(term.id), termKey(`${i + 1}.${k + 1}`)]),
    ]),
    ...ownLines.map(({ id }, i): [LineKey, LineKey] => [ownKey(id), ownKey(String(i + 1))]),
    ...limits.map(({ id }, i): [LineKey, LineKey] => [limitKey(id), limitKey(String(i + 1))]),
  ]);
}

export function strategyToDocument({
  title,
  lanes,
  ownLines,
  limits,
  written,
}: WholeStrategy): StrategyDocument {
  const places = placesOf(lanes, ownLines, limits);
  const placeOf = (key: LineKey): LineKey | null => places.get(key) ?? null;
  return {
    form: STRATEGY_FORM,
    title,
    lanes: lanes.map(laneToDocument),
    ownLines: ownLines.map(({ role, on, text, note }) => ({
      role,
      on,
      text: textWithKeys(text, placeOf),
      note,
    })),
    limits: limits.map(({ kind, values, reason, on, ways }) => ({ kind, values, reason, on, ways })),
    written: written.flatMap(({ database, line, language, text, refersTo }) => {
      const place = placeOf(line);
      // What was written for a line that is not there any more has nowhere to stand.
      return place === null
        ? []
        : [{ database, line: place, language, text, refersTo: keysWith(refersTo, placeOf) }];
    }),
  };
}

/** The references of a written line, named otherwise; those that name nothing stay. */
export function keysWith(
  refersTo: LineText['refersTo'],
  keyFor: (key: LineKey) => LineKey | null,
): Record<number, LineKey> {
  return Object.fromEntries(Object.entries(refersTo).map(([number, key]) => [number, keyFor(key) ?? key]));
}

/** One line of a sheet, as a database gets it. */
export interface SheetLine {
  number: number;
  kind: string;
  description: string;
  /** with references to other lines, where the database has them */
  text: string;
  hits: number | null;
  role: OwnLineRole | null;
  note: string;
}

export interface SheetOfDatabase {
  database: string;
  release: string;
  /** why there are no lines; null where there are */
  trouble: string | null;
  lines: readonly SheetLine[];
}

/** One row a line (RFC 4180). Cells that look like formulas are defused. */
export function sheetsToCsv(sheets: readonly SheetOfDatabase[]): string {
  const header = [
    'database',
    'release',
    'line',
    'kind',
    'what it says',
    'string',
    'hits',
    'part in the whole',
    'note',
  ];
  const rows = sheets.flatMap(({ database, release, lines }) =>
    lines.map(({ number, kind, description, text, hits, role, note }) => [
      database,
      release,
      `L${number}`,
      kind,
      description,
      text,
      hits,
      role === null ? '' : ROLE_NAMES[role],
      note,
    ]),
  );
  return toCsv([header, ...rows]);
}

/** A table a database, to be read as it is. */
export function sheetsToMarkdown(title: string, sheets: readonly SheetOfDatabase[]): string {
  const parts = [`# Strategy: ${markdownText(title)}`, ''];
  for (const { database, release, trouble, lines } of sheets) {
    parts.push(
      `## ${markdownText(database)}${release === '' ? '' : `, release ${markdownText(release)}`}`,
      '',
    );
    if (trouble !== null) {
      parts.push(markdownText(trouble), '');
      continue;
    }
    parts.push('| Line | String | Hits |', '| --- | --- | ---: |');
    for (const { number, text, hits, role, note } of lines) {
      const remarks = [...(role === null ? [] : [ROLE_NAMES[role]]), ...(note === '' ? [] : [note])].join(
        '; ',
      );
      const inBrackets = remarks === '' ? '' : ` (${markdownText(remarks)})`;
      parts.push(`| L${number} | ${markdownText(text)}${inBrackets} | ${hits ?? ''} |`);
    }
    parts.push('');
  }
  return parts.join('\n');
}

/** One string a line, as a person pastes them into the database one after the other. */
export function sheetToText(lines: readonly Pick<SheetLine, 'text'>[]): string {
  return lines.map(({ text }) => `${text.replace(/\s*[\r\n]+\s*/g, ' ')}\n`).join('');
}
