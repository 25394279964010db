import { DIALECTS, writingsIn, type Heading } from '@even-lantern/core';
import { heading } from '../../../testing/renderInReview.js';
import { completionsAt } from './completions.js';

const HEADINGS: Heading[] = [
  heading('Light therapy', [], ['phototherapy']),
  heading('Lighting', []),
  heading('Bright light', []),
];
const at = (dialect: string, text: string) => {
  const found = completionsAt(
    text,
    writingsIn(DIALECTS.get(dialect) ?? null, { vocabulary: 'tree', limitFields: ['language'] }),
    HEADINGS,
  );
  return found === null ? null : [found.from, ...found.options.map(({ label }) => label)];
};

test('a field is offered as it is written, the shorter first, then what is described so', () => {
  expect(at('corvane', 'title("a") OR hea')).toEqual([
    14,
    'heading("…", narrower)',
    'heading("…")',
    'headingwords("…")',
  ]);
  expect(at('mindry', 'tit')).toEqual([0, 'title:"…"', '"…"']);
  expect(at('assayhouse', "text ~ 'a' & sub")?.slice(1)).toContain("subject >= '…'");
});

test('the cursor stands in the empty place', () => {
  const found = completionsAt(
    'tit',
    writingsIn(DIALECTS.get('corvane') ?? null, { vocabulary: null, limitFields: [] }),
    [],
  );
  expect(found?.options[0]).toMatchObject({ insert: 'title("")', cursor: 7 });
});

test.each([
  ['corvane', 'heading("', 'light'],
  ['mindry', 'a AND descriptor.below:"', 'light'],
  ['wardline', 'wn.subject ==/narrower "', 'light'],
  ['assayhouse', "subject >='", 'light'],
])(
  'within the name of a heading in %s, headings are offered: those that begin so first',
  (dialect, before, typed) => {
    expect(at(dialect, before + typed)).toEqual([before.length, 'Light therapy', 'Lighting', 'Bright light']);
    expect(at(dialect, `${before}photo`)).toEqual([before.length, 'Light therapy']);
  },
);

test('within other quotations nothing is offered', () => {
  expect(at('corvane', 'title("light')).toBeNull();
  expect(at('corvane', 'title("a\\" hea')).toBeNull();
});

test('operators are offered by their names', () => {
  expect(at('corvane', 'title("a") an')).toEqual([11, 'AND', 'line(…)']);
  expect(at('skein', 'a o')).toEqual([2, 'OR']);
});
