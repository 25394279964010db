import { WHOLE_LINE } from '../../strategy/index.js';
import type { Check } from '../check.js';

/** Of the largest share of a database that a strategy finds, so small a part is hardly for reasons of content. */
const FAR_LESS = 0.02;

/** A whole that is out of all proportion to what other databases find. */
export const differsElsewhere: Check = {
  id: 'differs-elsewhere',
  name: 'Out of proportion',
  about:
    'The same strategy finds hardly anything here, though it finds much elsewhere: something of it is not said here.',
  find: ({ whole, records, elsewhere, database, problems }) => {
    if (whole === null) return [];
    const share = (found: number | null, of: number | null) =>
      found === null || of === null || of === 0 ? null : found / of;
    const most = elsewhere.reduce<{ name: string; share: number } | null>((best, each) => {
      const its = share(each.whole, each.records);
      return its !== null && its > (best?.share ?? 0) ? { name: each.name, share: its } : best;
    }, null);
    const own = share(whole, records);
    if (most === null || own === null || own > FAR_LESS * most.share) return [];
    const open = problems.filter(({ termId }) => termId !== null).length;
    return [
      {
        check: 'differs-elsewhere',
        at: WHOLE_LINE,
        detail: database.id,
        message: `The whole finds ${whole === 0 ? 'nothing' : whole} here, though it finds much in ${most.name}.${open === 0 ? '' : ` ${open === 1 ? 'One term is' : `${open} terms are`} not settled here.`}`,
        weight: 'warning',
        mends: [],
      },
    ];
  },
};
