/** A strategy looked over by a second person: points to judge, and comments on lines. */

/** One point of the checklist, out of `core/content/peer-review-points.json`. */
export interface PeerReviewPoint {
  id: string;
  name: string;
  /** what to look at */
  asks: string;
}

/** Nothing to change, something to think about, or something that has to change. */
export const JUDGEMENTS = ['fine', 'suggestion', 'change'] as const;
export type Judgement = (typeof JUDGEMENTS)[number];

export const JUDGEMENT_NAMES: Readonly<Record<Judgement, string>> = {
  fine: 'as it should be',
  suggestion: 'a suggestion',
  change: 'has to change',
};

/** What the second person comes to: it can be run, or has to be changed first. */
export const OUTCOMES = ['ready', 'change'] as const;
export type Outcome = (typeof OUTCOMES)[number];

export const OUTCOME_NAMES: Readonly<Record<Outcome, string>> = {
  ready: 'ready to run',
  change: 'to be changed first',
};

/** What a person wrote, and when. */
export interface Remark {
  text: string;
  person: string;
  /** ISO 8601, UTC */
  at: string;
}

export interface JudgedPoint extends PeerReviewPoint {
  judgement: Judgement | null;
  note: string;
  /** who judged, and when; empty while nobody has */
  person: string;
  at: string;
}

export interface LineComment extends Remark {
  /** the line as it stood then, such as “L7 nightwork*”; empty for the strategy as a whole */
  about: string;
  answers: readonly Remark[];
  /** null while it is open */
  settled: Omit<Remark, 'text'> | null;
}

export interface WrittenPeerReview {
  number: number;
  /** the version of the strategy that was looked at, as it is called */
  version: string;
  asked: Remark;
  points: readonly JudgedPoint[];
  comments: readonly LineComment[];
  finished: (Remark & { outcome: Outcome }) | null;
}

/** @returns how many points are judged, and how many comments are open */
export function peerReviewProgress({ points, comments }: Pick<WrittenPeerReview, 'points' | 'comments'>): {
  judged: number;
  open: number;
} {
  return {
    judged: points.filter(({ judgement }) => judgement !== null).length,
    open: comments.filter(({ settled }) => settled === null).length,
  };
}
