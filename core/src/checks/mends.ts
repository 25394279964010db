/** Changes that mend what a check found, as data: what they would find can be counted before anything is changed. */
import type { LimitWay } from '../limits/index.js';
import {
  laneKey,
  ownKey,
  type Lane,
  type LineKey,
  type OwnLine,
  type OwnLineRole,
  type TermContent,
} from '../strategy/index.js';

export type Mend =
  | { kind: 'addTerm'; laneId: string; content: TermContent }
  | { kind: 'changeTerm'; termId: string; content: TermContent }
  | { kind: 'removeTerm'; termId: string }
  /** moves terms to another lane */
  | { kind: 'moveTerm'; termId: string; laneId: string }
  | { kind: 'writeOwn'; ownId: string; text: string }
  | { kind: 'removeOwn'; ownId: string }
  | { kind: 'ownRole'; ownId: string; role: OwnLineRole }
  | { kind: 'switchOn'; ownId: string }
  /** asks a lane for what it was leaving out */
  | { kind: 'keepLane'; laneId: string }
  | { kind: 'limitWay'; limitId: string; way: LimitWay }
  /** writes otherwise what somebody wrote by hand for the database at hand */
  | { kind: 'writeText'; line: LineKey; text: string };

/** The part of a strategy that mends change, limits aside. */
export interface Mendable {
  lanes: readonly Lane[];
  own: readonly OwnLine[];
}

/** A term that a mend adds; it has no id of its own yet. */
export const MENDED_TERM = 'mended';

/**
 * The strategy as it would be.
 * @returns null where the mend no longer fits, since what it would change is not there any more
 */
export function mended({ lanes, own }: Mendable, mend: Mend): Mendable | null {
  const inLane = (change: (terms: Lane['terms'], lane: Lane) => Lane['terms']): Mendable => ({
    lanes: lanes.map((lane) => ({ ...lane, terms: change(lane.terms, lane) })),
    own,
  });
  const inOwn = (id: string, change: (line: OwnLine) => OwnLine | null): Mendable => ({
    lanes,
    own: own.flatMap((line) => (line.id === id ? (change(line) ?? []) : [line])),
  });
  switch (mend.kind) {
    case 'addTerm': {
      if (!lanes.some(({ id }) => id === mend.laneId)) return null;
      const added = { id: MENDED_TERM, content: mend.content, origin: 'proposed' as const, heldBack: null };
      return inLane((terms, { id }) => (id === mend.laneId ? [...terms, added] : terms));
    }
    case 'changeTerm':
      if (!holdsTerm(lanes, mend.termId)) return null;
      return inLane((terms) =>
        terms.map((term) => (term.id === mend.termId ? { ...term, content: mend.content } : term)),
      );
    case 'removeTerm':
      if (!holdsTerm(lanes, mend.termId)) return null;
      return inLane((terms) => terms.filter(({ id }) => id !== mend.termId));
    case 'moveTerm': {
      const moved = lanes.flatMap(({ terms }) => terms).find(({ id }) => id === mend.termId);
      if (moved === undefined || !lanes.some(({ id }) => id === mend.laneId)) return null;
      return inLane((terms, { id }) => [
        ...terms.filter((term) => term !== moved),
        ...(id === mend.laneId ? [moved] : []),
      ]);
    }
    case 'keepLane':
      if (!lanes.some(({ id, leftOut }) => id === mend.laneId && leftOut)) return null;
      return {
        lanes: lanes.map((lane) => (lane.id === mend.laneId ? { ...lane, leftOut: false } : lane)),
        own,
      };
    case 'writeOwn':
      return holdsOwn(own, mend.ownId) ? inOwn(mend.ownId, (line) => ({ ...line, text: mend.text })) : null;
    case 'removeOwn':
      return holdsOwn(own, mend.ownId) ? inOwn(mend.ownId, () => null) : null;
    case 'ownRole':
      return holdsOwn(own, mend.ownId) ? inOwn(mend.ownId, (line) => ({ ...line, role: mend.role })) : null;
    case 'switchOn':
      return holdsOwn(own, mend.ownId) ? inOwn(mend.ownId, (line) => ({ ...line, on: true })) : null;
    case 'limitWay':
    case 'writeText':
      return { lanes, own };
  }
}

/** The line whose count tells what a mend does at its place. */
export function mendedAt(mend: Mend, { lanes }: Mendable): LineKey {
  switch (mend.kind) {
    case 'addTerm':
    case 'keepLane':
      return laneKey(mend.laneId);
    case 'changeTerm':
    case 'removeTerm':
    case 'moveTerm': {
      const lane = lanes.find(({ terms }) => terms.some(({ id }) => id === mend.termId));
      return laneKey(lane?.id ?? '');
    }
    case 'writeOwn':
    case 'removeOwn':
    case 'ownRole':
    case 'switchOn':
      return ownKey(mend.ownId);
    case 'limitWay':
      return `limit:${mend.limitId}`;
    case 'writeText':
      return mend.line;
  }
}

function holdsTerm(lanes: readonly Lane[], id: string): boolean {
  return lanes.some(({ terms }) => terms.some((term) => term.id === id));
}

function holdsOwn(own: readonly OwnLine[], id: string): boolean {
  return own.some((line) => line.id === id);
}
