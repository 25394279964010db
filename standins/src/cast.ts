import type { Outcome } from './content.js';

/** What one study is about: one wording chosen for each part. */
export interface Cast {
  people: string;
  intervention: string;
  /** how it is given, in parentheses, or empty */
  detail: string;
  comparison: string;
  outcomes: { outcome: Outcome; name: string }[];
  place: string;
}
