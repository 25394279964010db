import type { ProposedConcept } from '@even-lantern/core';
import type { PlacedHit } from '../../review/useLookup.js';

export type Offer =
  | { kind: 'heading'; hit: PlacedHit }
  | { kind: 'words'; text: string }
  /** another concept of the clause, which is joined with AND and so needs a lane of its own */
  | { kind: 'lane'; concept: ProposedConcept; vocabulary: string };

export const NO_OFFERS: Offer[] = [];
