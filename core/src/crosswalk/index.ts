export { indexForCrosswalk } from './correspondence.js';
export type { CrosswalkIndex } from './correspondence.js';
export { VERDICTS } from './model.js';
export type { Settlement, Verdict } from './model.js';
export { proposeCounterparts } from './propose.js';
export type { Proposal, ProposalReason } from './propose.js';
export { readingIn, settledAs, wordsFor } from './reading.js';
export type { Settled } from './reading.js';
