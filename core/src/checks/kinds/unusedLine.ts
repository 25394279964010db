import { linesReferredTo, ownKey } from '../../strategy/index.js';
import type { Check } from '../check.js';

/** A line that takes no part and that nothing refers to is a try that was left standing. */
export const unusedLine: Check = {
  id: 'unused-line',
  name: 'A line that nothing uses',
  about:
    'It takes no part in the whole, and no line refers to it. In a report it would be read as part of the strategy.',
  find: ({ own }) =>
    own
      .filter(({ role, on, text }) => role === 'looks' && on && text.trim() !== '')
      .filter(({ id }) => !own.some((other) => linesReferredTo(other.text).includes(ownKey(id))))
      .map(({ id }) => ({
        check: 'unused-line',
        at: ownKey(id),
        detail: '',
        message: 'The line only looks, and no other refers to it.',
        weight: 'hint' as const,
        mends: [{ text: 'Take it away', mend: { kind: 'removeOwn' as const, ownId: id } }],
      })),
};
