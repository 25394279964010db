/** Small random corpora and queries over a tiny vocabulary, so that matches and near-misses are both common. */
import fc from 'fast-check';
import type { BibRecord } from '../records/index.js';
import type { Query, SearchField, WordPattern, WordsQuery } from '../query/index.js';

const WORDS = [
  'light',
  'lights',
  'lighting',
  'night',
  'nights',
  'shift',
  'women',
  'woman',
  'sleep',
  'ménière',
  '5000',
];
export const LABELS = ['Light', 'Bright light', 'Dim light', 'Sleep', 'Night work'];
const SUBHEADINGS = ['effects', 'methods'];
const SEPARATORS = [' ', ' ', ' ', '-', ', ', '’s ', "'s ", '. '];

export const text: fc.Arbitrary<string> = fc
  .array(fc.tuple(fc.constantFrom(...WORDS), fc.constantFrom(...SEPARATORS)), { maxLength: 10 })
  .map((parts) => parts.map(([word, separator]) => word + separator).join(''));

export const record: fc.Arbitrary<BibRecord> = fc.record({
  accession: fc.uuid(),
  title: text,
  abstract: fc.array(fc.record({ label: fc.option(fc.constantFrom('Methods', 'Light')), text }), {
    maxLength: 3,
  }),
  keywords: fc.array(text, { maxLength: 3 }),
  authors: fc.array(
    fc.record({ family: fc.constantFrom('Light', 'Night'), given: fc.constantFrom('A', 'Bo') }),
    {
      maxLength: 2,
    },
  ),
  journal: text,
  year: fc.integer({ min: 1998, max: 2003 }),
  volume: fc.constant('1'),
  issue: fc.constant('2'),
  pages: fc.constant('3-4'),
  doi: fc.constant(null),
  language: fc.constantFrom('English', 'German'),
  publicationTypes: fc.subarray(['Journal article', 'Review']),
  headings: fc.uniqueArray(
    fc.record({
      vocabulary: fc.constant('tree'),
      label: fc.constantFrom(...LABELS),
      central: fc.boolean(),
      subheadings: fc.subarray(SUBHEADINGS),
    }),
    { selector: (heading) => heading.label, maxLength: 3 },
  ),
  limits: fc.constant({}),
  entered: fc.constant(null),
  changed: fc.constant(null),
  fullText: fc.array(fc.record({ label: fc.constant('Light'), text: text.map((each) => `sleep ${each}`) }), {
    minLength: 1,
    maxLength: 2,
  }),
});

const pattern: fc.Arbitrary<WordPattern> = fc.oneof(
  {
    weight: 4,
    arbitrary: fc
      .constantFrom('light', 'night', 'shift', 'woman', 'meniere')
      .map((t) => ({ text: t, anyEnding: false })),
  },
  {
    weight: 2,
    arbitrary: fc.constantFrom('lig', 'light', 'night', 'wom').map((t) => ({ text: t, anyEnding: true })),
  },
  {
    weight: 1,
    arbitrary: fc.constantFrom('wom?n', '?ight', 'nig?t').map((t) => ({ text: t, anyEnding: false })),
  },
  { weight: 1, arbitrary: fc.constant({ text: '?igh', anyEnding: true }) },
);

const field: fc.Arbitrary<SearchField> = fc.constantFrom(
  'words',
  'words',
  'words',
  'title',
  'abstract',
  'keywords',
  'headings',
  'author',
  'journal',
  'fulltext',
);

const words: fc.Arbitrary<WordsQuery> = fc.record({
  kind: fc.constant('words' as const),
  field,
  phrase: fc.array(pattern, { minLength: 1, maxLength: 3 }),
});

const year = fc.integer({ min: 1998, max: 2003 });

const leaf: fc.Arbitrary<Query> = fc.oneof(
  { weight: 5, arbitrary: words },
  {
    weight: 3,
    arbitrary: fc.record({
      kind: fc.constant('near' as const),
      parts: fc.array(words, { minLength: 2, maxLength: 3 }),
      distance: fc.integer({ min: 1, max: 4 }),
      ordered: fc.boolean(),
    }),
  },
  {
    weight: 2,
    arbitrary: fc.record({
      kind: fc.constant('heading' as const),
      vocabulary: fc.constant('tree'),
      label: fc.constantFrom(...LABELS),
      narrower: fc.boolean(),
      central: fc.boolean(),
      subheadings: fc.subarray(SUBHEADINGS),
    }),
  },
  {
    weight: 1,
    arbitrary: fc
      .tuple(year, year)
      .map(([a, b]): Query => ({ kind: 'limit', field: 'year', from: Math.min(a, b), to: Math.max(a, b) })),
  },
  { weight: 1, arbitrary: year.map((from): Query => ({ kind: 'limit', field: 'year', from, to: null })) },
  {
    weight: 1,
    arbitrary: fc
      .subarray(['English', 'German', 'French'], { minLength: 1 })
      .map((values): Query => ({ kind: 'limit', field: 'language', values })),
  },
  { weight: 1, arbitrary: fc.constantFrom(1, 2).map((line): Query => ({ kind: 'line', line })) },
  { weight: 1, arbitrary: fc.constant<Query>({ kind: 'everything' }) },
);

export const query: fc.Arbitrary<Query> = fc.letrec<{ query: Query }>((tie) => ({
  query: fc.oneof(
    { maxDepth: 3, depthSize: 'small' },
    { weight: 3, arbitrary: leaf },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('and' as const),
        operands: fc.array(tie('query'), { minLength: 1, maxLength: 3 }),
      }),
    },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('or' as const),
        operands: fc.array(tie('query'), { minLength: 1, maxLength: 3 }),
      }),
    },
    {
      weight: 1,
      arbitrary: fc.record({
        kind: fc.constant('not' as const),
        include: tie('query'),
        exclude: tie('query'),
      }),
    },
  ),
})).query;

/** Lines 1 and 2, which random queries may refer to. */
export const LINES: ReadonlyMap<number, Query> = new Map<number, Query>([
  [1, { kind: 'words', field: 'title', phrase: [{ text: 'light', anyEnding: false }] }],
  [2, { kind: 'line', line: 1 }],
]);

export function narrowerOf(label: string): readonly string[] {
  return label === 'Light' ? ['Bright light', 'Dim light'] : [];
}
