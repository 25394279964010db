import fc from 'fast-check';
import { naiveWords } from '../testing/naive.js';
import { tokenise, WordNumbers } from './index.js';

const LETTERS = [
  ...[
    'a',
    'S',
    's',
    'é',
    'e\u0301',
    '’',
    "'",
    'ʼ',
    '＇',
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
  ],
  ...['İ', '_', '⑴', '㎧', 'ſ', '\u0301', '\u00ad', '\ufdfa', '\ud800', '\0', 'ŉ'],
];
const texts = fc.oneof(
  fc.array(fc.constantFrom(...LETTERS)).map((parts) => parts.join('')),
  fc.string({ unit: 'binary' }),
);

test('words are those of the whole text normalised first', () => {
  const letters = fc.constantFrom(...LETTERS.filter((letter) => letter !== '⑴' && letter !== '\u0301'));
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

function wordsRead(numbers: WordNumbers, text: string): (string | undefined)[] {
  const count = numbers.read(text);
  const read = [...numbers.numbers.subarray(0, count)];
  const words = numbers.words();
  return read.map((number) => words[number]);
}

test('the words that an index numbers are those of the text, one text after another, each with one number', () => {
  const numbers = new WordNumbers();
  fc.assert(
    fc.property(texts, fc.integer({ min: 1, max: 40 }), (piece, times) => {
      const text = piece.repeat(times);
      expect(wordsRead(numbers, text)).toEqual(tokenise(text).map(({ word }) => word));
    }),
    { numRuns: 2000 },
  );
  const words = numbers.words();
  expect(words.length).toBeGreaterThan(300);
  expect(new Set(words).size).toBe(words.length);
});

test('a hundred thousand words, one longer than any before it, and one that normalising makes longer', () => {
  const numbers = new WordNumbers();
  const long = 'Ab'.repeat(40_000);
  const growing = '\ufdfa'.repeat(2_000);
  const many = Array.from({ length: 100_000 }, (_, i) => `w${i}`);
  expect(wordsRead(numbers, many.join('-'))).toEqual(many);
  expect(wordsRead(numbers, `${long} x`)).toEqual([long.toLowerCase(), 'x']);
  expect(wordsRead(numbers, growing)).toEqual(tokenise(growing).map(({ word }) => word));
  expect(wordsRead(numbers, 'w99999 w0 x')).toEqual(['w99999', 'w0', 'x']);
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
