/** The lines of a sheet as they are shown: those that are numbered, and own lines that are no lines of the strategy now. */
import { laneKey, lineKeyOf, ownKey, termKey, textToShow, type LineKey } from '@even-lantern/core';
import type { Rehearsal, RehearsedLine, Review, ReviewOwnLine } from '@even-lantern/contract';
import type { ReviewLane } from '../../../review/lanes.js';

/** A row of the sheet. */
export interface SheetRow {
  key: LineKey;
  /** null for an own line that is switched off, empty, or cannot be read */
  line: RehearsedLine | null;
  own: ReviewOwnLine | null;
}

export interface SheetGroup {
  id: string;
  kind: 'lane' | 'own' | 'whole' | 'limits' | 'looking';
  lane: ReviewLane | null;
  rows: SheetRow[];
}

/** In the order of their numbers; own lines without a number stand at their place among the others. */
export function sheetGroups(
  lines: readonly RehearsedLine[],
  ownLines: readonly ReviewOwnLine[],
  lanes: readonly ReviewLane[],
): SheetGroup[] {
  const rowOf = (line: RehearsedLine): SheetRow => ({
    key: lineKeyOf(line),
    line,
    own: ownLines.find(({ id }) => id === line.ownId) ?? null,
  });
  const whole = lines.findIndex(({ kind }) => kind === 'whole');
  const behind = new Set(
    lines.flatMap(({ ownId }, i) => (ownId !== null && whole >= 0 && i > whole ? [ownId] : [])),
  );
  const groups: SheetGroup[] = [];
  for (const line of lines) {
    if (line.kind !== 'term' && line.kind !== 'lane') continue;
    const id = laneKey(line.laneId ?? '');
    const group = groups.find((each) => each.id === id);
    if (group !== undefined) group.rows.push(rowOf(line));
    else {
      // A lane that has just gone still has its lines until they are counted anew.
      const lane = lanes.find((each) => each.id === line.laneId) ?? null;
      groups.push({ id, kind: 'lane', lane, rows: [rowOf(line)] });
    }
  }
  const own = ownLines
    .filter(({ id }) => !behind.has(id))
    .map((each): SheetRow => ({
      key: ownKey(each.id),
      line: lines.find(({ ownId }) => ownId === each.id) ?? null,
      own: each,
    }));
  const rest = (kind: SheetGroup['kind'], rows: SheetRow[]) => {
    if (rows.length > 0) groups.push({ id: kind, kind, lane: null, rows });
  };
  rest('own', own);
  rest('whole', lines.filter(({ kind }) => kind === 'whole').map(rowOf));
  rest('limits', lines.filter(({ kind }) => kind === 'limit').map(rowOf));
  rest('looking', lines.filter(({ ownId }) => ownId !== null && behind.has(ownId)).map(rowOf));
  return groups;
}

/** How lines are named on this sheet, and which lines the names stand for. */
export interface LineNames {
  keyOf: (number: number) => LineKey | null;
  numberOf: (key: LineKey) => number | null;
}

export function lineNames(lines: readonly RehearsedLine[]): LineNames {
  const numbers = new Map(lines.map((line) => [lineKeyOf(line), line.number]));
  return {
    keyOf: (number) => {
      const line = lines[number - 1];
      return line === undefined ? null : lineKeyOf(line);
    },
    numberOf: (key) => numbers.get(key) ?? null,
  };
}

/** An own line in a few words: its number, or what it says. */
export function ownLineName(own: ReviewOwnLine, names: LineNames): string {
  const number = names.numberOf(ownKey(own.id));
  if (number !== null) return `L${number}`;
  const text = textToShow(own.text, names.numberOf).trim();
  if (text === '') return 'the empty line';
  return text.length > 40 ? `“${text.slice(0, 40)}…”` : `“${text}”`;
}

/** The line at which something stands on the sheet: a term that has no line of its own stands in that of its lane. */
export function rowsOf(review: Review, rehearsal: Rehearsal | undefined): (key: LineKey) => LineKey {
  const known = new Set(rehearsal?.lines.map(lineKeyOf));
  const lanes = new Map(
    review.lanes.flatMap((lane) => lane.terms.map(({ id }) => [termKey(id), laneKey(lane.id)] as const)),
  );
  return (key) => {
    const lane = lanes.get(key);
    return lane !== undefined && !known.has(key) && known.has(lane) ? lane : key;
  };
}
