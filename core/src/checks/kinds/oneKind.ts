import { laneKey } from '../../strategy/index.js';
import { headingCalled } from '../../vocabulary/index.js';
import { headingsOf, patternsOf, wordsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** A lane of one kind of term gives away what the other kind finds. */
export const oneKind: Check = {
  id: 'one-kind',
  name: 'Headings without words, or words without headings',
  about:
    'Headings miss what indexers have not reached yet; words miss what authors say otherwise. A lane that has both loses least.',
  find: (strategy) =>
    strategy.lanes.flatMap((lane): Finding[] => {
      if (lane.leftOut) return [];
      const [headings, words] = [headingsOf, wordsOf].map((of) => of({ lanes: [lane] }).length);
      if (headings === undefined || words === undefined || headings + words === 0) return [];
      if (headings > 0 && words > 0) return [];
      // A database without headings has nothing to add.
      if (headings === 0 && strategy.database.vocabulary === null) return [];
      const first = wordsOf({ lanes: [lane] }).flatMap(({ content }) => {
        const tree = strategy.vocabulary(strategy.database.vocabulary ?? '');
        const text = patternsOf(content)
          .map((each) => each.text)
          .join(' ');
        const called = tree === null ? null : headingCalled(tree, text);
        return called === null || tree === null ? [] : [{ called, vocabulary: tree.vocabulary.id }];
      })[0];
      const label = headingsOf({ lanes: [lane] })[0]?.content.label ?? '';
      return [
        {
          check: 'one-kind',
          at: laneKey(lane.id),
          detail: headings === 0 ? 'words' : 'headings',
          message:
            headings === 0
              ? `“${lane.name}” has words only: records whose authors say it otherwise are not found.`
              : `“${lane.name}” has headings only: the newest records, which have no headings yet, are not found.`,
          weight: 'warning',
          mends:
            headings === 0
              ? first === undefined
                ? []
                : [
                    {
                      text: `Add the heading ${first.called.label}`,
                      mend: {
                        kind: 'addTerm',
                        laneId: lane.id,
                        content: {
                          kind: 'heading',
                          vocabulary: first.vocabulary,
                          label: first.called.label,
                          narrower: true,
                          central: false,
                          subheadings: [],
                        },
                      },
                    },
                  ]
              : [
                  {
                    text: `Add “${label.toLowerCase()}”`,
                    mend: {
                      kind: 'addTerm',
                      laneId: lane.id,
                      content: { kind: 'words', text: label.toLowerCase(), field: 'words', near: null },
                    },
                  },
                ],
        },
      ];
    }),
};
