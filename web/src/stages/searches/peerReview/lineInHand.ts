import { ownKey, lineKeyOf, type LineKey } from '@even-lantern/core';
import type { RehearsedLine, ReviewOwnLine } from '@even-lantern/contract';
import { ownLineName, type LineNames } from '../lines/sheetLines.js';

/** So much of a line is told with a comment on it. */
const LONGEST_ABOUT = 1000;

/** A line that a comment can be made on. */
export interface LineInHand {
  key: LineKey;
  name: string;
  /** what it says, so that the comment can be read when the line is gone */
  about: string;
}

/** @param own the own line that is selected, @param line the line of the sheet, which may be its row */
export function lineInHand(
  own: ReviewOwnLine | undefined,
  line: RehearsedLine | undefined,
  names: LineNames,
): LineInHand | null {
  const number = `L${line?.number ?? ''}`;
  const described = `${number} ${line?.description ?? ''}`;
  if (own === undefined) {
    if (line === undefined) return null;
    return { key: lineKeyOf(line), name: number, about: described.slice(0, LONGEST_ABOUT) };
  }
  const name = ownLineName(own, names);
  const about = line?.ownId === own.id ? described : name;
  return { key: ownKey(own.id), name, about: about.slice(0, LONGEST_ABOUT) };
}
