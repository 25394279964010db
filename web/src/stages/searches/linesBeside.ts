/** The lines of strategies in several databases, side by side. */

import type { LineKind } from '@even-lantern/core';

interface SaidLine {
  kind: LineKind;
  laneId: string | null;
  termId: string | null;
  limitId: string | null;
  ownId: string | null;
}

const keyOf = ({ kind, laneId, termId, limitId, ownId }: SaidLine) =>
  `${kind} ${termId ?? laneId ?? limitId ?? ownId ?? ''}`;

/**
 * One row for each term, lane and whole that any of the strategies has, in the order of the longest; undefined where
 * one has no such line, since nobody has settled it there. A line that only others have stands before the end of its lane.
 */
export function linesBeside<L extends SaidLine>(strategies: readonly (readonly L[])[]): (L | undefined)[][] {
  const [longest = [], ...others] = [...strategies].sort((a, b) => b.length - a.length);
  const order: L[] = [...longest];
  const known = new Set(order.map(keyOf));
  for (const line of others.flat()) {
    if (known.has(keyOf(line))) continue;
    known.add(keyOf(line));
    const lane = order.findIndex(({ kind, laneId }) => kind === 'lane' && laneId === line.laneId);
    const whole = order.findIndex(({ kind }) => kind === 'whole');
    // Limits stand behind everything else.
    if (line.kind === 'limit') {
      order.push(line);
      continue;
    }
    const at = lane >= 0 ? lane : whole >= 0 ? whole : order.length;
    order.splice(at, 0, line);
  }
  const byKey = strategies.map((lines) => new Map(lines.map((line) => [keyOf(line), line])));
  return order.map((line) => byKey.map((lines) => lines.get(keyOf(line))));
}
