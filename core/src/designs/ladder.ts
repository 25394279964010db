/**
 * The ladder of evidence: which designs answer a question best. It is a proposal by the type of question; a review adapts
 * it, and says why. Overviews for practice stand on no rung: they are for background and never counted as evidence.
 */
import type { QuestionType } from '../question/index.js';

export interface LadderRung {
  designs: readonly string[];
  /** whether these designs answer a question of this type */
  answers: boolean;
}

/** Designs that are for background reading only. */
export const BACKGROUND_DESIGNS: readonly string[] = ['Overview for practice'];

const WHAT_WORKS: readonly LadderRung[] = [
  { designs: ['Systematic review'], answers: true },
  { designs: ['Randomised trial'], answers: true },
  { designs: ['Quasi-experimental study'], answers: true },
  { designs: ['Cohort study'], answers: false },
  { designs: ['Case-control study'], answers: false },
  { designs: ['Cross-sectional study'], answers: false },
  { designs: ['Case series'], answers: false },
  { designs: ['Mixed methods study', 'Qualitative study'], answers: false },
  { designs: ['Guideline', 'Scoping review', 'Narrative review'], answers: false },
  { designs: ['Protocol', 'Economic evaluation', 'Diagnostic accuracy study'], answers: false },
  { designs: ['Opinion'], answers: false },
];

const WHAT_IT_IS_LIKE: readonly LadderRung[] = [
  { designs: ['Systematic review'], answers: true },
  { designs: ['Qualitative study'], answers: true },
  { designs: ['Mixed methods study'], answers: true },
  { designs: ['Cross-sectional study'], answers: false },
  { designs: ['Case series'], answers: false },
  { designs: ['Scoping review', 'Narrative review'], answers: false },
  {
    designs: ['Randomised trial', 'Quasi-experimental study', 'Cohort study', 'Case-control study'],
    answers: false,
  },
  { designs: ['Guideline', 'Protocol', 'Economic evaluation', 'Diagnostic accuracy study'], answers: false },
  { designs: ['Opinion'], answers: false },
];

const WHAT_HARMS: readonly LadderRung[] = [
  { designs: ['Systematic review'], answers: true },
  { designs: ['Cohort study'], answers: true },
  { designs: ['Case-control study'], answers: true },
  { designs: ['Randomised trial', 'Quasi-experimental study'], answers: true },
  { designs: ['Cross-sectional study'], answers: false },
  { designs: ['Case series'], answers: false },
  { designs: ['Mixed methods study', 'Qualitative study'], answers: false },
  { designs: ['Guideline', 'Scoping review', 'Narrative review'], answers: false },
  { designs: ['Protocol', 'Economic evaluation', 'Diagnostic accuracy study'], answers: false },
  { designs: ['Opinion'], answers: false },
];

export function proposedLadder(question: QuestionType): readonly LadderRung[] {
  if (question === 'experience') return WHAT_IT_IS_LIKE;
  return question === 'exposure' ? WHAT_HARMS : WHAT_WORKS;
}
