import { limitKey } from '../../strategy/index.js';
import type { Check, Finding } from '../check.js';

/** A limit by index data loses what indexers have not reached. */
export const hidesUnindexed: Check = {
  id: 'hides-unindexed',
  name: 'A limit that hides records without data',
  about:
    'The limit needs data that indexers add. What they have not reached is lost unjudged, mostly the newest records.',
  find: ({ limits, database }) =>
    limits.flatMap(({ id, name, on, way, ways, lacking }): Finding[] => {
      if (!on || way !== 'own' || lacking === null || lacking === 0) return [];
      return [
        {
          check: 'hides-unindexed',
          at: limitKey(id),
          detail: `${database.id} ${lacking}`,
          message: `${name} loses ${lacking === 1 ? 'a record that merely lacks' : `${lacking} records that merely lack`} the data it needs.`,
          weight: 'warning',
          mends: ways.includes('either')
            ? [{ text: 'Find those by words', mend: { kind: 'limitWay', limitId: id, way: 'either' } }]
            : [],
        },
      ];
    }),
};
