import { laneKey, ownKey } from '../../strategy/index.js';
import type { Check, Finding } from '../check.js';

/** Leaving out is where wanted records get lost most easily. */
export const throwsAway: Check = {
  id: 'throws-away',
  name: 'Leaves records out',
  about:
    'A record that mentions what you leave out as well as what you want is thrown away too. Look at what goes, and say why it may go.',
  find: ({ lanes, own, leftOut, database }) => {
    const findingAt = (at: string, name: string, mend: Finding['mends']): Finding[] => {
      const { records = null, kept = null } = leftOut[at] ?? {};
      if (records === null || records === 0) return [];
      const among =
        kept === null
          ? ''
          : kept === 0
            ? ' None of them was kept.'
            : ` ${kept === 1 ? 'One of them was' : `${kept} of them were`} kept.`;
      return [
        {
          check: 'throws-away',
          at,
          detail: `${database.id} ${records} ${kept ?? ''}`,
          message: `${name} throws away ${records === 1 ? 'a record' : `${records} records`}.${among}`,
          weight: (kept ?? 0) > 0 ? 'warning' : 'hint',
          mends: mend,
        },
      ];
    };
    return [
      ...lanes
        .filter((lane) => lane.leftOut)
        .flatMap(({ id, name }) =>
          findingAt(laneKey(id), `“${name}”`, [
            { text: 'Ask for it instead', mend: { kind: 'keepLane', laneId: id } },
          ]),
        ),
      ...own
        .filter(({ role, on }) => role === 'leavesOut' && on)
        .flatMap(({ id }) =>
          findingAt(ownKey(id), 'The line', [
            { text: 'Let it only look', mend: { kind: 'ownRole', ownId: id, role: 'looks' } },
          ]),
        ),
    ];
  },
};
