/** There are no workers in tests: the same lookups, in place. To be put where `startLookups` is. */
import type { Remote } from 'comlink';
import { makeLookups, type Lookups } from '../review/lookups.js';

export function startLookups(): Remote<Lookups> {
  const { load, lookUp, propose, takeApart, check } = makeLookups();
  const inPlace = {
    load: async (...given: Parameters<typeof load>) => load(...given),
    lookUp: async (...given: Parameters<typeof lookUp>) => lookUp(...given),
    takeApart: async (...given: Parameters<typeof takeApart>) => takeApart(...given),
    check: async (...given: Parameters<typeof check>) => check(...given),
    propose: async (...given: Parameters<typeof propose>) => propose(...given),
  };
  return inPlace as unknown as Remote<Lookups>;
}
