import fc from 'fast-check';
import { naiveWords } from '../testing/naive.js';
import { tokenise } from './index.js';

test('words are those of the whole text normalised first', () => {
  const letters = fc.constantFrom(
    'a',
    'S',
    's',
    'é',
    'e\u0301',
    '’',
    "'",
    'ʼ',
    '-',
    ' ',
    '5',
    'Σ',
    'ς',
    'ﬁ',
    '½',
    'ß',
    '日',
    '\u{1D400}',
    'İ',
    '_',
  );
  fc.assert(
    fc.property(
      fc.array(letters).map((parts) => parts.join('')),
      (text) => {
        expect(tokenise(text).map(({ word }) => word)).toEqual(naiveWords(text));
      },
    ),
    { numRuns: 3000 },
  );
});

test('offsets point at the words in the original text', () => {
  const text = 'The “Ménière’s”, 20-min nap';
  expect(tokenise(text).map(({ start, end }) => text.slice(start, end))).toEqual([
    'The',
    'Ménière',
    '20',
    'min',
    'nap',
  ]);
});
