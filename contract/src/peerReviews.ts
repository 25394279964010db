/** A strategy looked over by a second person. */
import {
  JUDGEMENTS,
  OUTCOMES,
  type JudgedPoint,
  type Judgement,
  type LineComment,
  type Remark,
  type Outcome,
  type WrittenPeerReview,
} from '@even-lantern/core';
import Joi from 'joi';
import { lineKey } from './lineTexts.js';

export interface PeerReview extends Omit<WrittenPeerReview, 'comments' | 'points'> {
  id: string;
  /** whoever asked for it is not the one to judge */
  askedById: string;
  versionId: string;
  /** whether the strategy is another one now */
  changedSince: boolean;
  points: JudgedPoint[];
  /** the earliest first */
  comments: PeerComment[];
}

export interface PeerComment extends LineComment {
  id: string;
  /** the key of the line; empty for the strategy as a whole */
  place: string;
  answers: Remark[];
}

export interface NewPeerReview {
  /** what to look at especially; may be empty */
  note: string;
}

export interface PointJudgement {
  /** null takes it back */
  judgement: Judgement | null;
  note: string;
}

export interface NewPeerComment {
  place: string;
  about: string;
  text: string;
  /** the comment that it answers; null for one of its own */
  answers: string | null;
}

export interface CommentSettling {
  settled: boolean;
}

/** Finishes a peer review; null takes it up again. */
export interface PeerReviewEnd {
  outcome: Outcome | null;
  summary: string;
}

const LONGEST_REMARK = 5000;
const remark = Joi.string().trim().max(LONGEST_REMARK).messages({
  'string.max': 'This has at most 5,000 characters.',
  'string.empty': 'Write what there is to say.',
});

export const newPeerReviewSchema = Joi.object<NewPeerReview>({ note: remark.allow('').required() });

export const pointJudgementSchema = Joi.object<PointJudgement>({
  judgement: Joi.string()
    .valid(...JUDGEMENTS)
    .allow(null)
    .required(),
  note: remark.allow('').required(),
});

export const newPeerCommentSchema = Joi.object<NewPeerComment>({
  place: lineKey.allow('').required(),
  about: Joi.string().allow('').max(LONGEST_REMARK).required(),
  text: remark.min(1).required(),
  answers: Joi.string().max(100).allow(null).required(),
});

export const commentSettlingSchema = Joi.object<CommentSettling>({ settled: Joi.boolean().required() });

export const peerReviewEndSchema = Joi.object<PeerReviewEnd>({
  outcome: Joi.string()
    .valid(...OUTCOMES)
    .allow(null)
    .required(),
  summary: remark.allow('').required(),
});
