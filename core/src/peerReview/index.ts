export { peerReviewMarkdown } from './markdown.js';
export { JUDGEMENT_NAMES, JUDGEMENTS, peerReviewProgress, OUTCOME_NAMES, OUTCOMES } from './model.js';
export type {
  JudgedPoint,
  Judgement,
  LineComment,
  PeerReviewPoint,
  Remark,
  Outcome,
  WrittenPeerReview,
} from './model.js';
