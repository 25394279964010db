export { MOST_CONCEPTS, takeApart } from './takeApart.js';
export type { ProposedConcept, ProposedHeading, TakenApart } from './takeApart.js';
