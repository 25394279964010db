import { allNarrower, directlyBelow, headingByLabel } from '../../vocabulary/index.js';
import { headingsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** Indexers take the narrowest heading that fits, so the wider one alone misses what lies below. */
export const withoutNarrower: Check = {
  id: 'without-narrower',
  name: 'A heading without its narrower ones',
  about:
    'Indexers take the narrowest heading that fits. A heading searched alone misses records that have only one of those below it.',
  find: (strategy) =>
    headingsOf(strategy).flatMap(({ term, content, at }): Finding[] => {
      const tree = strategy.vocabulary(content.vocabulary);
      if (tree === null || content.narrower !== false) return [];
      const heading = headingByLabel(tree, content.label);
      const below = heading === null ? [] : directlyBelow(tree, heading);
      const [first] = below;
      if (first === undefined) return [];
      const all = allNarrower(tree, content.label)?.length ?? below.length;
      return [
        {
          check: 'without-narrower',
          at,
          detail: content.label,
          message: `${content.label} has ${all === 1 ? 'a narrower heading' : `${all} narrower headings`}, such as ${first.label}, that ${all === 1 ? 'is' : 'are'} not searched.`,
          weight: 'hint',
          mends: [
            {
              text: 'Search it with narrower',
              mend: { kind: 'changeTerm', termId: term.id, content: { ...content, narrower: true } },
            },
          ],
        },
      ];
    }),
};
