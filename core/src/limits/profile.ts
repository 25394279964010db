/**
 * The profile of limits: what each takes away, step by step, and what is asked to know it. All counts follow from set
 * algebra: with S the records of the strategy and A, B, C the limits that are on, the second step leaves S∧A∧B, loses
 * S∧A without B, and alone loses S∧A∧C without B.
 */
import type { Query } from '../query/index.js';

/** A limit as a database applies it; one that is off, or not applied here, has no query. */
export interface StepLimit {
  query: Query | null;
  /** records that lack the data which it needs; null where that cannot be asked */
  lacking: Query | null;
}

export interface StepQueries {
  /** what is left after this step */
  remains: Query;
  /** what goes at this step; null for one that restricts nothing */
  lost: Query | null;
  /** what goes through this limit alone: every other limit lets it pass */
  only: Query | null;
  /** of what goes at this step, what merely lacks the data */
  lacking: Query | null;
}

/** @param whole what the strategy finds before any limit */
export function profileQueries(whole: Query, limits: readonly StepLimit[]): StepQueries[] {
  let before = whole;
  return limits.map(({ query, lacking }, i): StepQueries => {
    if (query === null) return { remains: before, lost: null, only: null, lacking: null };
    const lost: Query = { kind: 'not', include: before, exclude: query };
    const others = limits.flatMap((other, j) => (j === i || other.query === null ? [] : [other.query]));
    before = both(before, query);
    return {
      remains: before,
      lost,
      only: { kind: 'not', include: others.reduce(both, whole), exclude: query },
      lacking: lacking === null ? null : both(lost, lacking),
    };
  });
}

function both(left: Query, right: Query): Query {
  return left.kind === 'and'
    ? { kind: 'and', operands: [...left.operands, right] }
    : { kind: 'and', operands: [left, right] };
}

/** The counts of a step; null where they could not be asked. */
export interface StepCounts {
  before: number | null;
  remains: number | null;
  lacking: number | null;
}

/** From this share of what a limit loses that merely lacks its data, it says more of the data than of the records. */
const MOST_LACK = 0.5;

/** What is to be wary of at a step, in sentences. */
export function stepWarnings({ before, remains, lacking }: StepCounts): string[] {
  if (before === null || remains === null || before === 0) return [];
  const lost = before - remains;
  return [
    ...(remains === 0
      ? ['Nothing remains: this limit takes all that is left. Widen it, or switch it off.']
      : []),
    ...(lacking !== null && lost > 0 && lacking >= MOST_LACK * lost
      ? [
          `${lacking === lost ? 'All' : 'Most'} of what it loses merely lacks the data that it needs: it has been lost unjudged.`,
        ]
      : []),
  ];
}
