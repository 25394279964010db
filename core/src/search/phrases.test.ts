import fc from 'fast-check';
import { parseCql } from '../query/index.js';
import { naiveMatches } from '../testing/naive.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import { buildIndex, docsOf, evaluate } from './index.js';
import { nearStarts, nearTest } from './nearness.js';

/** Words from very frequent to very rare: the first in nearly all records, the last in a few. */
const WORDS = [
  'the',
  'night',
  'shift',
  'shifts',
  'nurse',
  'nursing',
  'lamp',
  'lantern',
  'wick',
  'ember',
  'moth',
];

const EVERY_WORD = [...WORDS, 'glim', 'glimmer'];

/** Records enough that some words count as frequent and others as rare, always the same ones. */
const records = Array.from({ length: 600 }, (_, n) => {
  let state = n * 7919 + 17;
  const next = (below: number) => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return Math.floor((state / 2147483648) * below);
  };
  const words = (length: number) =>
    Array.from({ length }, () => WORDS[Math.floor(WORDS.length * (next(1000) / 1000) ** 10)]).join(' ');
  const rare = n % 200 === 50 ? ' the glim night glim glimmer shift' : '';
  return sampleRecord({ title: words(5), abstract: [{ label: null, text: words(20) + rare }], keywords: [] });
});
const index = buildIndex(records);

function expectSame(cql: string, of = { records, index }): number {
  const parsed = parseCql(cql, { vocabulary: 'tree', limitFields: [] });
  if (!parsed.ok) throw new Error(parsed.error.message);
  const result = evaluate(parsed.query, of.index, { narrowerOf: () => null });
  if (!result.ok) throw new Error(result.error.message);
  const found = [...docsOf(result.documents)];
  const expected = of.records.flatMap((each, doc) =>
    naiveMatches(parsed.query, each, () => [], new Map()) ? [doc] : [],
  );
  expect([cql, found]).toEqual([cql, expected]);
  return found.length;
}

test('some words of the sample are kept in pairs and others not', () => {
  const { words, pairs } = index.zones.text;
  const paired = words.filter((_, number) => pairs.slots[number] !== -1);
  expect(paired).toEqual([...WORDS].sort());
  expect(words).toEqual([...EVERY_WORD].sort());
});

test('phrases of frequent words, of rare ones and of both find what reading every record finds', () => {
  const sizes = EVERY_WORD.flatMap((first) => EVERY_WORD.map((second) => expectSame(`"${first} ${second}"`)));
  expect(sizes.some((size) => size > 300)).toBe(true);
  expect(sizes).toContain(3);
});

test('an index so large that its postings are put together from several blocks finds the same', () => {
  // Some 300,000 words; the last is in the first, a middle and the last document, and one document is empty.
  const many = Array.from({ length: 1000 }, (_, n) => {
    const text = Array.from(
      { length: 300 },
      (_word, i) => EVERY_WORD[(n * 7 + i * i * 3 + (i % 5) * n) % EVERY_WORD.length],
    );
    const title = [0, 500, 999].includes(n) ? 'the last ember' : n === 400 ? '' : 'lamp of night';
    return sampleRecord({ title, abstract: n === 400 ? [] : [{ label: null, text: text.join(' ') }] });
  });
  const large = { records: many, index: buildIndex(many) };
  const { words, documentCounts } = large.index.zones.text;
  expect(documentCounts[words.indexOf('last')]).toBe(3);
  for (const cql of [
    'last',
    '"last ember"',
    'el.title = ember',
    '"night shift"',
    'glim* prox/unit=word/distance<=2 moth',
    'last prox/unit=word/distance<=3 the',
  ]) {
    expect([cql, expectSame(cql, large) > 0]).toEqual([cql, true]);
  }
}, 60_000);

test('a word that first comes behind more than 32,767 others is found in phrases too', () => {
  const many = Array.from({ length: 66_000 }, (_, i) => `w${i}`).join(' ');
  const late = sampleRecord({ title: 'the late night', abstract: [{ label: null, text: 'night late' }] });
  const found = (cql: string) => {
    const parsed = parseCql(cql, { vocabulary: 'tree', limitFields: [] });
    const index = buildIndex([
      sampleRecord({ title: 'the night', abstract: [{ label: null, text: many }] }),
      late,
    ]);
    const result = parsed.ok ? evaluate(parsed.query, index, { narrowerOf: () => null }) : null;
    return result?.ok === true ? [...docsOf(result.documents)] : null;
  };
  expect(['"late night"', '"the night"', '"w65999 w66000"', '"w65998 w65999"'].map(found)).toEqual([
    [1],
    [0],
    [],
    [0],
  ]);
});

test('phrases in one field, of three words, and with open endings find what reading every record finds', () => {
  for (const cql of [
    'el.title = "night shift"',
    'el.abstract = "the lamp"',
    '"the night shift"',
    '"night shift*"',
    '"nurs* the"',
    '"lan* the"',
    '"glim* shift*"',
    '"night glim*"',
    '"the glim night"',
    '"the night shift nurs*"',
  ]) {
    expectSame(cql);
  }
});

test('words near each other are those that reading every record finds', () => {
  for (const cql of [
    'night prox/unit=word/distance<=2 lamp',
    'the prox/unit=word/distance<=1/ordered ember',
    'shift* prox/unit=word/distance<=3 nurs*',
    '"night shift" prox/unit=word/distance<=4 "the nurse"',
    'el.title = night prox/unit=word/distance<=2 el.title = lamp',
    'el.abstract = night prox/unit=word/distance<=3/ordered el.abstract = shift',
    'night prox/unit=word/distance<=5 night',
    'the prox/unit=word/distance<=2/ordered the',
    'glim* prox/unit=word/distance<=2 glim*',
  ]) {
    expect(expectSame(cql)).toBeGreaterThan(0);
  }
});

test('the quick test of nearness agrees with the full one', () => {
  const begins = fc.uniqueArray(fc.nat(40), { maxLength: 6 }).map((list) => list.sort((a, b) => a - b));
  const part = (length: number) => ({
    kind: 'words' as const,
    field: 'words' as const,
    phrase: Array.from({ length }, () => ({ text: 'a', anyEnding: false })),
  });
  fc.assert(
    fc.property(
      begins,
      begins,
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 1, max: 3 }),
      fc.integer({ min: 1, max: 12 }),
      fc.boolean(),
      (firsts, seconds, firstLength, secondLength, distance, ordered) => {
        const query = {
          kind: 'near' as const,
          parts: [part(firstLength), part(secondLength)],
          distance,
          ordered,
        };
        expect(nearTest(query)([firsts, seconds])).toBe(nearStarts(query, [firsts, seconds]).length > 0);
      },
    ),
    { numRuns: 2000 },
  );
});
