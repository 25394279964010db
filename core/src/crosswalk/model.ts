/** The crosswalk: which heading of one vocabulary stands for which of another, as people have settled it. */

/**
 * What somebody settled about a heading and another vocabulary: that a heading there stands for it, that one does
 * not, or that none fits and words are searched instead.
 */
export const VERDICTS = ['confirmed', 'refused', 'words'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface Settlement {
  /** id of the vocabulary, and label, of the heading that is to be said otherwise */
  vocabulary: string;
  label: string;
  /** id of the other vocabulary */
  target: string;
  /** the heading there; null where words are searched instead */
  targetLabel: string | null;
  verdict: Verdict;
}
