import fc from 'fast-check';
import { naiveWords } from '../testing/naive.js';
import { tokenise, WordReader } from './index.js';

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
  const letters = fc.constantFrom(...LETTERS.filter((letter) => letter !== '⑴'));
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

function wordsRead(reader: WordReader, text: string): string[] {
  const words: string[] = [];
  reader.read(text);
  while (reader.next()) words.push(Buffer.from(reader.word.subarray(0, reader.length)).toString());
  return words;
}

test('the reader of an index reads the same words, one text after another, and equal words have equal hashes', () => {
  const reader = new WordReader(7);
  const hashes = new Map<string, number>();
  fc.assert(
    fc.property(texts, fc.integer({ min: 1, max: 40 }), (piece, times) => {
      const text = piece.repeat(times);
      const words = tokenise(text).map(({ word }) => word);
      expect(wordsRead(reader, text)).toEqual(words);
      reader.read(text);
      for (const word of words) {
        reader.next();
        expect(reader.hash).toBe(hashes.get(word) ?? reader.hash);
        hashes.set(word, reader.hash);
      }
    }),
    { numRuns: 3000 },
  );
  // Different words seldom have the same one, or a table of them would be slow.
  expect(new Set(hashes.values()).size).toBeGreaterThan(hashes.size * 0.99);
});

test('a word longer than any before it, and one that grows when it is normalised, are read whole', () => {
  const reader = new WordReader(7);
  const long = 'Ab'.repeat(40_000);
  const growing = '\ufdfa'.repeat(2_000);
  expect(wordsRead(reader, `${long} x`)).toEqual([long.toLowerCase(), 'x']);
  expect(wordsRead(reader, growing)).toEqual(tokenise(growing).map(({ word }) => word));
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
