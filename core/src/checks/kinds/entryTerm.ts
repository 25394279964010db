import { headingByLabel, headingCalled } from '../../vocabulary/index.js';
import { headingsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** The name that leads to a heading is no heading: databases find nothing by it, or not what is meant. */
export const entryTerm: Check = {
  id: 'entry-term',
  name: 'An entry term searched as a heading',
  about: 'An entry term only leads to a heading. Searched as one, it finds nothing.',
  find: (strategy) =>
    headingsOf(strategy).flatMap(({ term, content, at }): Finding[] => {
      const tree = strategy.vocabulary(content.vocabulary);
      if (tree === null || headingByLabel(tree, content.label) !== null) return [];
      const called = headingCalled(tree, content.label);
      if (called === null) return [];
      return [
        {
          check: 'entry-term',
          at,
          detail: content.label,
          message: `The ${tree.vocabulary.name} calls “${content.label}” ${called.label}.`,
          weight: 'warning',
          mends: [
            {
              text: `Search ${called.label}`,
              mend: { kind: 'changeTerm', termId: term.id, content: { ...content, label: called.label } },
            },
          ],
        },
      ];
    }),
};
