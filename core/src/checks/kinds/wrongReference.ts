import {
  laneKey,
  linesReferredTo,
  ownKey,
  searchedTerms,
  termKey,
  textReferringTo,
} from '../../strategy/index.js';
import type { Check, Finding } from '../check.js';

/** A reference to a line that is not there, or to a term where its lane seems to be meant. */
export const wrongReference: Check = {
  id: 'wrong-reference',
  name: 'A reference to the wrong line',
  about:
    'A line that refers to one term of a lane finds only what that term finds. Usually you want the whole lane.',
  find: ({ own, lanes, problems }) => {
    const broken = problems.flatMap(({ line, message }): Finding[] => {
      const each = own.find(({ id }) => ownKey(id) === line);
      if (each === undefined || line === undefined) return [];
      const off = own.filter(({ id, on }) => !on && linesReferredTo(each.text).includes(ownKey(id)));
      return [
        {
          check: 'wrong-reference',
          at: line,
          detail: message,
          message,
          weight: 'warning',
          mends: off.map(({ id }) => ({
            text: 'Switch that line on',
            mend: { kind: 'switchOn' as const, ownId: id },
          })),
        },
      ];
    });
    const toTerms = own.flatMap(({ id, text, on }): Finding[] => {
      const keys = on ? linesReferredTo(text) : [];
      // Beside whole lanes or other lines, a single term is hardly meant.
      if (!keys.some((key) => key.startsWith(laneKey('')))) return [];
      return lanes.flatMap((lane) =>
        searchedTerms(lane)
          .filter((term) => keys.includes(termKey(term.id)) && !keys.includes(laneKey(lane.id)))
          .map((term): Finding => ({
            check: 'wrong-reference',
            at: ownKey(id),
            detail: termKey(term.id),
            message: `The line refers to one term of “${lane.name}” beside whole lanes.`,
            weight: 'hint',
            mends: [
              {
                text: `Refer to “${lane.name}”`,
                mend: {
                  kind: 'writeOwn',
                  ownId: id,
                  text: textReferringTo(text, termKey(term.id), laneKey(lane.id)),
                },
              },
            ],
          })),
      );
    });
    return [...broken, ...toTerms];
  },
};
