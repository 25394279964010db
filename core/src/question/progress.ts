/** The stages of the work on a review that can be reached, in order. */
export const REVIEW_STAGES = ['question', 'concepts', 'searches', 'records'] as const;
export type ReviewStage = (typeof REVIEW_STAGES)[number];

/** What of a review tells how far it is. */
export interface Progress {
  /** whether any element says something */
  written: boolean;
  /** terms in lanes that are searched */
  terms: number;
  runs: number;
  records: number;
}

/** The stage that is being worked on: the first whose work has not led on to the next. */
export function stageOf({ written, terms, runs, records }: Progress): ReviewStage {
  if (records > 0) return 'records';
  if (runs > 0 || terms > 0) return 'searches';
  return written ? 'concepts' : 'question';
}
