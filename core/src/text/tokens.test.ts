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

test('a text of plain letters has the same words and offsets as within a text that has others too', () => {
  const letters = fc.constantFrom('a', 'S', 's', "'", '-', ' ', '5', '_', '*', '?');
  fc.assert(
    fc.property(
      fc.array(letters, { minLength: 80, maxLength: 160 }).map((parts) => parts.join('')),
      fc.boolean(),
      (text, masks) => {
        expect([
          ...tokenise(text, { masks }),
          { word: 'e', start: text.length + 1, end: text.length + 2 },
        ]).toEqual(tokenise(`${text} é`, { masks }));
      },
    ),
    { numRuns: 1000 },
  );
});

test('a text longer than any before it is read whole', () => {
  const words = tokenise('night shift '.repeat(5000));
  expect(words).toHaveLength(10_000);
  expect(words.at(-1)).toEqual({ word: 'shift', start: 59_994, end: 59_999 });
});
