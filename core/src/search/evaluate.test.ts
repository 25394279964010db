import fc from 'fast-check';
import { parseCql, type Query } from '../query/index.js';
import type { BibRecord } from '../records/index.js';
import { LABELS, LINES, narrowerOf, query, record } from '../testing/arbitraries.js';
import { naiveMatches } from '../testing/naive.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import {
  buildIndex,
  docsOf,
  evaluate,
  highlight,
  partMemory,
  rank,
  type EvaluationContext,
} from './index.js';

const context: EvaluationContext = {
  narrowerOf: (vocabulary, label) =>
    vocabulary === 'tree' && LABELS.includes(label) ? narrowerOf(label) : null,
  lines: LINES,
};

function read(cql: string): Query {
  const result = parseCql(cql, { vocabulary: 'tree', limitFields: ['language'] });
  if (!result.ok) throw new Error(result.error.message);
  return result.query;
}

function find(cql: string, records: readonly BibRecord[], lines?: ReadonlyMap<number, Query>): number[] {
  const result = evaluate(
    read(cql),
    buildIndex(records),
    lines === undefined ? context : { ...context, lines },
  );
  if (!result.ok) throw new Error(result.error.problem);
  return [...docsOf(result.documents)];
}

test('any query over any records finds what reading every record finds', () => {
  fc.assert(
    fc.property(fc.array(record, { maxLength: 12 }), query, (records, anyQuery) => {
      const result = evaluate(anyQuery, buildIndex(records), context);
      const expected = records.flatMap((each, doc) =>
        naiveMatches(anyQuery, each, narrowerOf, LINES) ? [doc] : [],
      );
      expect(result.ok && [...docsOf(result.documents)]).toEqual(expected);
    }),
    { numRuns: 3000 },
  );
});

test('what parts found before changes no answer, however little of it is kept', () => {
  fc.assert(
    fc.property(
      fc.array(record, { maxLength: 12 }),
      fc.array(query, { minLength: 2, maxLength: 6 }),
      fc.constantFrom(0, 1500, 1_000_000),
      (records, queries, mostBytes) => {
        const index = buildIndex(records);
        const remembered = partMemory(mostBytes);
        // A lane of many terms is kept as a whole.
        const parts = queries.filter(({ kind }) => ['words', 'near', 'heading'].includes(kind));
        const lane = (from: number): Query => ({
          kind: 'or',
          operands: Array.from({ length: 9 }, (_, i) => parts[(from + i) % parts.length] ?? read('light')),
        });
        for (const each of [...queries, lane(0), lane(1), ...queries, lane(0)]) {
          expect(evaluate(each, index, { ...context, remembered })).toEqual(evaluate(each, index, context));
        }
      },
    ),
    { numRuns: 500 },
  );
});

test('a part is looked up once as long as there is room for it', () => {
  const index = buildIndex([sampleRecord({ title: 'Evening light' })]);
  const set = evaluate(read('light'), index, context);
  if (!set.ok) throw new Error(set.error.problem);
  const part = read('light');
  if (part.kind !== 'words') throw new Error(part.kind);
  const lookedUp = (mostBytes: number) => {
    const memory = partMemory(mostBytes);
    let times = 0;
    for (let i = 0; i < 3; i += 1) memory.found(part, () => ((times += 1), set.documents));
    return times;
  };
  expect(lookedUp(10_000)).toBe(1);
  expect(lookedUp(0)).toBe(3);
});

test('a record is highlighted or freely found exactly when the query finds it', () => {
  fc.assert(
    fc.property(record, query, (each, anyQuery) => {
      const marks = highlight(anyQuery, each, context);
      const marked =
        marks.headings.length > 0 || Object.values(marks.fields).some((s) => s.flat().length > 0);
      if (marked) expect(naiveMatches(anyQuery, each, narrowerOf, LINES)).toBe(true);
      const hasText = JSON.stringify(anyQuery).match(/everything|limit|not/) === null;
      if (hasText) expect(marked).toBe(naiveMatches(anyQuery, each, narrowerOf, LINES));
    }),
    { numRuns: 1000 },
  );
});

test('large sets keep their members whether they are kept as arrays or as bits', () => {
  const records = Array.from({ length: 3000 }, (_, i) =>
    sampleRecord({
      title: `${i % 2 === 0 ? 'even' : 'odd'} ${i % 500 === 0 ? 'rare' : 'usual'}`,
      year: 2000 + (i % 7),
    }),
  );
  expect(find('rare', records)).toEqual([0, 500, 1000, 1500, 2000, 2500]);
  expect(find('even not rare', records)).toHaveLength(1494);
  expect(find('(even and el.year = 2003) or rare', records)).toEqual(
    records.flatMap((each, i) => ((i % 2 === 0 && each.year === 2003) || i % 500 === 0 ? [i] : [])),
  );
  expect(find('cql.allRecords = 1 not (even or odd)', records)).toEqual([]);
});

test('a possessive finds the plain name and the reverse', () => {
  const records = [
    sampleRecord({ title: 'Ménière’s disease' }),
    sampleRecord({ title: 'Meniere disease at sea' }),
  ];
  expect(find('"Meniere disease"', records)).toEqual([0, 1]);
  expect(find('"menière\'s disease"', records)).toEqual([0, 1]);
});

test('a hyphen splits, so a hyphenated word is found as a phrase', () => {
  const records = [
    sampleRecord({ title: 'Night-shift nurses' }),
    sampleRecord({ title: 'A shift at night' }),
  ];
  expect(find('"night shift*"', records)).toEqual([0]);
  expect(find('night-shift', records)).toEqual([0]);
});

test('a phrase crosses neither fields, nor keywords, nor the label of a section', () => {
  const records = [
    sampleRecord({
      title: 'Bright',
      abstract: [
        { label: 'Light', text: 'therapy was given' },
        { label: 'Results', text: 'sleep' },
      ],
      keywords: ['night', 'shift'],
    }),
  ];
  expect(find('"bright light"', records)).toEqual([]);
  expect(find('"light therapy"', records)).toEqual([]);
  expect(find('"night shift"', records)).toEqual([]);
  expect(find('given prox/unit=word/distance<=100 sleep', records)).toEqual([]);
});

test('a heading with narrower finds records indexed only below it', () => {
  const records = [
    sampleRecord({
      headings: [{ vocabulary: 'tree', label: 'Bright light', central: true, subheadings: ['effects'] }],
    }),
    sampleRecord({ headings: [{ vocabulary: 'tree', label: 'Light', central: false, subheadings: [] }] }),
  ];
  expect(find('el.heading == "Light"', records)).toEqual([1]);
  expect(find('el.heading ==/el.narrower "Light"', records)).toEqual([0, 1]);
  expect(find('el.heading ==/el.narrower/el.central "Light"', records)).toEqual([0]);
  expect(
    find('el.heading ==/el.narrower/el.subheading="effects" "light"'.replace('"light"', '"Light"'), records),
  ).toEqual([0]);
});

test('a heading, a subheading or a line that does not exist is an error, not an empty result', () => {
  const index = buildIndex([sampleRecord({})]);
  const unknown = evaluate(read('el.heading == "Moonbeams"'), index, context);
  expect(unknown).toMatchObject({ ok: false, error: { problem: 'unknown-heading' } });
  const known = { ...context, subheadingsOf: () => ['effects', 'costs'] };
  const slip = evaluate(read('el.heading ==/el.subheading="efects" "Light"'), index, known);
  expect(slip).toMatchObject({
    ok: false,
    error: {
      problem: 'unknown-subheading',
      message: expect.stringContaining('It has: costs, effects.') as string,
    },
  });
  expect(evaluate(read('el.heading ==/el.subheading="Effects" "Light"'), index, known).ok).toBe(true);
  const lines = new Map<number, Query>([[1, { kind: 'line', line: 1 }]]);
  expect(evaluate({ kind: 'line', line: 1 }, index, { ...context, lines })).toMatchObject({
    ok: false,
    error: { problem: 'line-cycle' },
  });
  expect(evaluate({ kind: 'line', line: 9 }, index, context)).toMatchObject({
    ok: false,
    error: { problem: 'unknown-line' },
  });
});

test('a pattern that stands for too many words is an error that says so', () => {
  const records = Array.from({ length: 2100 }, (_, i) => sampleRecord({ title: `abc${i}` }));
  expect(evaluate(read('abc*'), buildIndex(records), context)).toMatchObject({
    ok: false,
    error: { problem: 'too-many-words', message: expect.stringContaining('abc*') },
  });
});

test('a phrase whose pattern stands for dozens of words finds each of them, and near does too', () => {
  const letters = 'abcdefghijklmnopqrstuvwxyz';
  const records = [...letters].flatMap((letter) => [
    sampleRecord({ title: `the night shift${letter} ends` }),
    sampleRecord({ title: `the shift${letter} at night` }),
  ]);
  const even = [...letters].map((_, i) => 2 * i);
  expect(find('"night shift*"', records)).toEqual(even);
  expect(find('shift* prox/unit=word/distance<=1 night', records)).toEqual(even);
  expect(find('shift* prox/unit=word/distance<=2/ordered night', records)).toEqual(
    even.map((doc) => doc + 1),
  );
});

test('a word in the title outranks the same word in the abstract; excluded words add nothing', () => {
  const records = [
    sampleRecord({
      title: 'Sleep at home',
      abstract: [{ label: null, text: 'Light was dim in every room we saw.' }],
    }),
    sampleRecord({
      title: 'Light at work',
      abstract: [{ label: null, text: 'Rooms were dim in every house we saw.' }],
    }),
    ...Array.from({ length: 8 }, () => sampleRecord({ title: 'Other matters' })),
  ];
  const index = buildIndex(records);
  const light = read('light');
  const found = evaluate(light, index, context);
  if (!found.ok) throw new Error('not found');
  expect(rank(light, found.documents, index, context).map(({ doc }) => doc)).toEqual([1, 0]);
  const withExcluded = rank(read('light not zebra'), found.documents, index, context);
  expect(withExcluded).toEqual(rank(light, found.documents, index, context));
});

test('highlighting marks the phrase as a whole and near parts only where they belong together', () => {
  const each = sampleRecord({ title: 'Bright light, and much later a bright day; light again, bright' });
  const marks = (cql: string) =>
    (highlight(read(cql), each, context).fields.title?.[0] ?? []).map(({ start, end }) =>
      each.title.slice(start, end),
    );
  expect(marks('"bright light"')).toEqual(['Bright light']);
  expect(marks('bright prox/unit=word/distance<=2 light')).toEqual([
    'Bright',
    'light',
    'bright',
    'light',
    'bright',
  ]);
  expect(marks('bright prox/unit=word/distance<=1/ordered light')).toEqual(['Bright', 'light']);
  expect(marks('day and absent')).toEqual([]);
});
