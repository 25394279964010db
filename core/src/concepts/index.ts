export { MOST_CONCEPTS, takeApart } from './takeApart.js';
export type { ProposedConcept, ProposedHeading, TakenApart } from './takeApart.js';
export type { Role } from './clauseWords.js';
