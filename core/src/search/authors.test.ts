import { parseCql } from '../query/index.js';
import { naiveMatches } from '../testing/naive.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import { buildIndex, docsOf, evaluate } from './index.js';

const AUTHORS = [
  { family: 'Tremblayne', given: 'P A' },
  { family: 'Tremblayne', given: 'Paula Anne' },
  { family: 'Tremblayne', given: 'PA' },
  { family: 'Tremblayne', given: 'Q' },
  { family: "O'Farragan", given: 'T. J.' },
  { family: 'van der Lamp', given: 'Jean-Émile' },
  { family: 'The Lantern Group', given: '' },
];
const records = AUTHORS.map((author) => sampleRecord({ authors: [author] }));
const index = buildIndex(records);

function found(name: string): number[] {
  const parsed = parseCql(`el.author = "${name}"`, { vocabulary: 'tree', limitFields: [] });
  if (!parsed.ok) throw new Error(parsed.error.message);
  const result = evaluate(parsed.query, index, { narrowerOf: () => null });
  if (!result.ok) throw new Error(result.error.message);
  const docs = [...docsOf(result.documents)];
  const naive = records.flatMap((record, doc) => (naiveMatches(parsed.query, record, () => []) ? [doc] : []));
  expect(docs).toEqual(naive);
  return docs;
}

test('a name is found as the program shows it, and in the other order', () => {
  for (const { family, given } of AUTHORS) {
    const doc = AUTHORS.findIndex((each) => each.family === family && each.given === given);
    for (const name of [`${family} ${given}`, `${given} ${family}`, `${family}, ${given}`]) {
      expect([name, found(name)]).toEqual([name, expect.arrayContaining([doc])]);
    }
  }
});

test.each([
  ['Tremblayne P A', [0, 1, 2]],
  ['Tremblayne PA', [0, 1, 2]],
  ['PA Tremblayne', [0, 1, 2]],
  ['P. A. Tremblayne', [0, 1, 2]],
  ['tremblayne p', [0, 1, 2]],
  ['P Tremblayne', [0, 1, 2]],
  ['Paula Tremblayne', [1]],
  ['Tremblayne, Paula', [1]],
  ['Tremblayne Anne', []],
  ['Tremblayne', [0, 1, 2, 3]],
  ['O’Farragan TJ', [4]],
  ['van der Lamp JE', [5]],
  ['Jean-Emile van der Lamp', [5]],
  ['Lantern Group', [6]],
])('%s', (name, expected) => {
  expect(found(name)).toEqual(expected);
});
