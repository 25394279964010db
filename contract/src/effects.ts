/** What each part of a strategy does to the whole, worked out from counts alone. */
import type { Counted } from './databases.js';
import type { KeptRecord } from './limits.js';

/** A part that is left out. */
export interface LeftOut {
  /** how many records it throws away: what the whole would find more without it; null where not counted */
  records: number | null;
  /** which of them were kept on the reading desk; null where that cannot be told */
  kept: KeptRecord[] | null;
}

/** Two lanes, and what both find. */
export interface LaneOverlap extends Counted {
  laneIds: [string, string];
}

/** One step of the picture of a strategy: what is left when one more part is joined. */
export interface FallStep extends Counted {
  /** what is joined at this step: lanes by their ids, own lines by their keys */
  part: string;
  /** what the part finds by itself */
  alone: number | null;
}

export interface StrategyEffects {
  database: string;
  release: string;
  whole: Counted;
  /** by term, what the whole would find without it */
  terms: Record<string, Counted>;
  /** by own line that takes part, what the whole would find if it took no part */
  own: Record<string, Counted>;
  /** by lane or own line that is left out, by their keys */
  leftOut: Record<string, LeftOut>;
  /** each pair of lanes that are not left out */
  overlaps: LaneOverlap[];
  /** the parts in the order in which they are joined, those left out last */
  fall: FallStep[];
  /** terms and lines whose effects are not counted without being asked for, since the strategy is large */
  uncounted: number;
  /** counts that are not there yet, since the database is slow or may be asked only so much; they are null */
  unasked: number;
}
