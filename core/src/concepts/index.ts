export type { ProposedConcept, ProposedHeading } from './proposedConcept.js';
export { MOST_CONCEPTS, takeApart } from './takeApart.js';
export type { TakenApart } from './takeApart.js';
