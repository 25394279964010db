import fc from 'fast-check';
import { dialectFrom, DIALECTS, parseCql, printCql, type Query } from '../query/index.js';
import type { BibRecord } from '../records/index.js';
import { buildIndex, docsOf, evaluate } from '../search/index.js';
import {
  compileLanes,
  describeLine,
  lineKeyOf,
  queryAsSent,
  standaloneQuery,
  type Lane,
} from '../strategy/index.js';
import { query, record, narrowerOf } from '../testing/arbitraries.js';
import { bare, chosen, database, limit, years } from '../testing/limitSamples.js';
import { naiveMatches } from '../testing/naive.js';
import {
  applyLimit,
  LIMIT_KINDS,
  limitKind,
  limitText,
  profileQueries,
  proposeLimits,
  stepWarnings,
  valuesProblem,
  waysOf,
  type Limit,
  type LimitValues,
} from './index.js';

/** Records that tell limits, or do not. */
const limited: fc.Arbitrary<BibRecord> = fc
  .tuple(
    record,
    fc.subarray(['adult', 'child', 'older adult']),
    fc.constantFrom([], ['human']),
    fc.constantFrom(0, 1999, 2001),
  )
  .map(([each, ageGroup, species, year]) => ({
    ...each,
    year,
    limits: { ...(ageGroup.length === 0 ? {} : { ageGroup }), ...(species.length === 0 ? {} : { species }) },
  }));

const anyLimit: fc.Arbitrary<Limit> = fc.oneof(
  fc
    .tuple(fc.option(fc.integer({ min: 1998, max: 2003 })), fc.option(fc.integer({ min: 1998, max: 2003 })))
    .filter(([from, to]) => valuesProblem('years', years(from, to)) === null)
    .map(([from, to]) => limit('years', years(from, to))),
  fc.subarray(['English', 'German'], { minLength: 1 }).map((values) => limit('language', chosen(...values))),
  fc
    .tuple(
      fc.subarray(['adult', 'child', 'older adult'], { minLength: 1 }),
      fc.constantFrom('own', 'words', 'either'),
    )
    .map(([values, way]) => limit('ageGroup', chosen(...values), { ways: { db: way as 'own' } })),
  fc
    .constantFrom('own', 'words', 'either')
    .map((way) => limit('humans', chosen('yes'), { ways: { db: way as 'own' } })),
);

const context = {
  narrowerOf: (vocabulary: string, label: string) => (vocabulary === 'tree' ? narrowerOf(label) : null),
};
const found = (asked: Query, records: readonly BibRecord[]): number[] => {
  const result = evaluate(asked, buildIndex(records), context);
  if (!result.ok) throw new Error(result.error.message);
  return [...docsOf(result.documents)];
};

describe('the profile', () => {
  test('agrees with reading every record: what remains, what goes, what goes through one limit alone, what lacks the data', () => {
    fc.assert(
      fc.property(
        fc.array(limited, { maxLength: 20 }),
        query.filter(hasNoLines),
        fc.array(anyLimit, { maxLength: 4 }),
        (records, whole, limits) => {
          const applied = limits.map((each) => applyLimit(each, database));
          const steps = profileQueries(whole, applied);
          // The plain reading: a record comes to a limit, passes it or not.
          const passes = (doc: number, asked: Query | null) => {
            const each = records[doc];
            return each !== undefined && (asked === null || naiveMatches(asked, each, narrowerOf, new Map()));
          };
          let left = records.map((_, doc) => doc).filter((doc) => passes(doc, whole));
          for (const [i, step] of steps.entries()) {
            const asked = applied[i]?.query ?? null;
            const goes = left.filter((doc) => !passes(doc, asked));
            expect(found(step.lost ?? NOTHING, records)).toEqual(goes);
            const lacks = applied[i]?.lacking ?? null;
            if (lacks !== null)
              expect(found(step.lacking ?? NOTHING, records)).toEqual(
                goes.filter((doc) => passes(doc, lacks)),
              );
            const alone = records
              .map((_, doc) => doc)
              .filter(
                (doc) =>
                  passes(doc, whole) &&
                  applied.every((other, j) => j === i || passes(doc, other.query)) &&
                  !passes(doc, asked),
              );
            expect(found(step.only ?? NOTHING, records)).toEqual(alone);
            left = left.filter((doc) => passes(doc, asked));
            expect(found(step.remains, records)).toEqual(left);
          }
        },
      ),
      { numRuns: 400 },
    );
  });

  test('what remains does not depend on the order of limits', () => {
    fc.assert(
      fc.property(
        fc.array(limited, { maxLength: 20 }),
        fc.array(anyLimit, { minLength: 2, maxLength: 4 }),
        (records, limits) => {
          const last = (some: readonly Limit[]) => {
            const steps = profileQueries(
              { kind: 'everything' },
              some.map((each) => applyLimit(each, database)),
            );
            return found(steps.at(-1)?.remains ?? NOTHING, records);
          };
          expect(last([...limits].reverse())).toEqual(last(limits));
        },
      ),
      { numRuns: 200 },
    );
  });

  test('lacking the data is having none of the values, or no year', () => {
    const records: BibRecord[] = [
      { ...base, limits: { ageGroup: ['adult'] }, year: 2000 },
      { ...base, limits: {}, year: 0 },
    ];
    expect(
      found(applyLimit(limit('ageGroup', chosen('child')), database).lacking ?? NOTHING, records),
    ).toEqual([1]);
    expect(
      found(applyLimit(limit('years', years(2000, null)), database).lacking ?? NOTHING, records),
    ).toEqual([1]);
  });

  test('a step that loses mostly what lacks the data says so, and one that takes everything too', () => {
    expect(stepWarnings({ before: 100, remains: 60, lacking: 30 })[0]).toMatch(
      /^Most of what it loses merely lacks/,
    );
    expect(stepWarnings({ before: 100, remains: 60, lacking: 3 })).toEqual([]);
    expect(stepWarnings({ before: 100, remains: 0, lacking: 0 })[0]).toMatch(/^Nothing remains/);
    expect(stepWarnings({ before: 0, remains: 0, lacking: 0 })).toEqual([]);
    expect(stepWarnings({ before: null, remains: 0, lacking: null })).toEqual([]);
  });
});

describe('how databases apply a limit', () => {
  test('by their own limit first, in their own names for values', () => {
    const applied = applyLimit(limit('language', chosen('eng', 'german')), database);
    expect(applied).toMatchObject({ way: 'own', unknown: [], unavailable: null });
    expect(applied.query).toEqual({ kind: 'limit', field: 'language', values: ['English', 'German'] });
  });

  test('what they do not know is named, and the rest is applied', () => {
    const applied = applyLimit(limit('language', chosen('English', 'Klingon')), database);
    expect([applied.unknown, applied.query]).toEqual([
      ['Klingon'],
      { kind: 'limit', field: 'language', values: ['English'] },
    ]);
    const none = applyLimit(limit('language', chosen('Klingon')), database);
    expect([none.way, none.query]).toEqual(['none', null]);
    expect(none.unavailable).toContain('Nothing here is called “Klingon”.');
  });

  test('words stand in by themselves only where they lose hardly anything wrongly', () => {
    expect(applyLimit(limit('humans', chosen('yes')), bare).way).toBe('words');
    const age = applyLimit(limit('ageGroup', chosen('adult')), bare);
    expect([age.way, age.ways]).toEqual(['none', ['words']]);
    expect(age.unavailable).toContain('Words can stand for it');
    expect(applyLimit(limit('ageGroup', chosen('adult'), { ways: { bare: 'words' } }), bare).way).toBe(
      'words',
    );
  });

  test('where there is nothing of the kind, the nearest thing is named', () => {
    expect(applyLimit(limit('peerReview', chosen('yes')), database)).toMatchObject({ way: 'none', ways: [] });
    for (const kind of LIMIT_KINDS.filter((each) => waysOf(each, bare).length === 0)) {
      const values = kind.values === 'years' ? years(2000, null) : chosen('x');
      expect(applyLimit(limit(kind.id, values), bare).unavailable).toContain(kind.nearest);
    }
  });

  test('where its labels do not know all designs, words find the others by themselves', () => {
    const labels = { ...bare, limits: { publicationType: ['review', 'research article'] } };
    const designs = chosen('Systematic review', 'Randomised trial');
    expect(applyLimit(limit('design', designs), labels)).toMatchObject({ way: 'either', unknown: [] });
    expect(applyLimit(limit('design', chosen('Randomised trial')), labels).way).toBe('words');
    const own = applyLimit(limit('design', designs, { ways: { bare: 'own' } }), labels);
    expect([own.way, own.unknown]).toEqual(['own', ['Randomised trial']]);
  });

  test('a design is found with its kinds, and lacks its label where only the usual type is told', () => {
    const labels = {
      ...bare,
      limits: { publicationType: ['Cross-over trial', 'Journal article', 'Randomised trial'] },
    };
    const applied = applyLimit(limit('design', chosen('Randomised trial')), labels);
    expect(applied.query).toEqual({
      kind: 'limit',
      field: 'publicationType',
      values: ['Cross-over trial', 'Randomised trial'],
    });
    const records = [
      { ...base, publicationTypes: ['Journal article'] },
      { ...base, publicationTypes: ['Journal article', 'Cross-over trial'] },
    ];
    expect(found(applied.lacking ?? NOTHING, records)).toEqual([0]);
  });

  test('words of one’s own take the place of the filter, with what may not be there', () => {
    const words = { any: ['nap*', 'title:rest'], without: ['"night shift"'] };
    const values: LimitValues = { kind: 'values', values: ['Randomised trial'], words };
    const records = [
      { ...base, title: 'Naps' },
      { ...base, title: 'Rest' },
      { ...base, title: 'Light', abstract: [{ label: null, text: 'Rest came later.' }] },
      { ...base, title: 'Naps on the night shift' },
    ];
    expect(found(applyLimit(limit('design', values), bare).query ?? NOTHING, records)).toEqual([0, 1]);
    expect(limitText(limit('design', values))).toBe('Study design Randomised trial (own words)');
  });

  test.each([
    ['language', { any: ['x'], without: [] }, 'takes no words'],
    ['design', { any: [], without: [] }, 'at least one word'],
    ['design', { any: ['"open'], without: [] }, 'quotation mark'],
    ['design', { any: ['nap'], without: ['a*'] }, 'letters'],
  ])('%s with words %j is told as wrong', (kind, words, message) => {
    expect(valuesProblem(kind, { kind: 'values', values: ['x'], words })).toContain(message);
  });

  test('each strength of a filter finds what the narrower ones find, and more', () => {
    const records = [
      { ...base, title: 'Naps: a randomised trial' },
      { ...base, title: 'Naps', abstract: [{ label: null, text: 'A coin was tossed. Placebo capsules.' }] },
      { ...base, title: 'Naps and controls' },
    ];
    const by = (strength: 'nearly all' | 'balanced' | 'nearly only') => {
      const values: LimitValues = { kind: 'values', values: ['Randomised trial'], strength };
      return found(applyLimit(limit('design', values), bare).query ?? NOTHING, records);
    };
    expect([by('nearly only'), by('balanced'), by('nearly all')]).toEqual([[0], [0, 1], [0, 1, 2]]);
    expect(
      limitText(limit('design', { ...chosen('Randomised trial'), strength: 'nearly all' } as LimitValues)),
    ).toBe('Study design Randomised trial (finds nearly all)');
  });

  test('years added are those that the database lists, and none where it lists none of them', () => {
    const dated = { ...bare, limits: { enteredYear: ['2024', '2025', '2026'] } };
    expect(applyLimit(limit('added', years(2025, null)), dated).query).toEqual({
      kind: 'limit', field: 'enteredYear', values: ['2025', '2026'],
    }); // prettier-ignore
    expect(applyLimit(limit('added', years(1990, 1991)), dated)).toMatchObject({ way: 'none', query: null });
    expect(applyLimit(limit('added', years(2025, null)), bare).unavailable).toContain('Run the search again');
  });

  test('somebody can choose that a limit is not applied in a database', () => {
    const applied = applyLimit(limit('language', chosen('English'), { ways: { db: 'none' } }), database);
    expect(applied).toMatchObject({ way: 'none', query: null, unavailable: null });
  });

  test('own limit or words finds what either finds', () => {
    fc.assert(
      fc.property(fc.array(limited, { maxLength: 20 }), (records) => {
        const by = (way: 'own' | 'words' | 'either') =>
          found(
            applyLimit(limit('ageGroup', chosen('child'), { ways: { db: way } }), database).query ?? NOTHING,
            records,
          );
        expect(by('either')).toEqual([...new Set([...by('own'), ...by('words')])].sort((a, b) => a - b));
      }),
      { numRuns: 100 },
    );
  });

  test('a limit matched to a name by somebody is found by that name, whatever it is called', () => {
    const matched = { ...bare, limits: { 'dc.language': [] }, matched: { language: 'dc.language' } };
    expect(applyLimit(limit('language', chosen('English')), matched).query).toEqual({
      kind: 'limit', field: 'dc.language', values: ['English'],
    }); // prettier-ignore
  });

  test('every kind says what it is, and what it can say in words reads as a query', () => {
    expect(new Set(LIMIT_KINDS.map(({ id }) => id)).size).toBe(LIMIT_KINDS.length);
    for (const kind of LIMIT_KINDS) {
      expect([kind.about.endsWith('.'), kind.nearest.endsWith('.'), kind.lacking.length > 3]).toEqual([
        true,
        true,
        true,
      ]);
      for (const value of kind.inWords ?? []) {
        const said = kind.wordsFor?.(value) ?? NOTHING;
        const read = parseCql(printCql(said, { vocabulary: 'tree' }), {
          vocabulary: 'tree',
          limitFields: [],
        });
        expect(read.ok).toBe(true);
      }
    }
    expect(() => limitKind('moon')).toThrow('moon');
  });
});

test('limits of a database that is added are proposed from what it calls its indexes', () => {
  const index = (name: string, title: string) => ({ name, title });
  expect(
    proposeLimits([
      index('dc.language', 'Language'),
      index('x.lang', 'Lang'),
      index('dc.title', 'Title'),
      index('y.q', 'Age group'),
    ]),
  ).toEqual([
    { kind: 'language', name: 'dc.language', values: [] },
    { kind: 'ageGroup', name: 'y.q', values: [] },
  ]);
});

test('a limit in a dialect finds what the limit in CQL finds, or tells of the loss', () => {
  const limitFields = Object.keys(database.limits);
  fc.assert(
    fc.property(
      fc.constantFrom(...DIALECTS.keys()),
      anyLimit,
      fc.array(limited, { maxLength: 15 }),
      (id, each, records) => {
        const { query: asked } = applyLimit(each, database);
        if (asked === null) return;
        const dialect = dialectFrom({ kind: id, names: {}, lacks: [] });
        const known = { vocabulary: 'tree', limitFields };
        const said = queryAsSent(dialect, known, asked);
        if (!said.ok) throw new Error(said.message);
        const { losses } = dialect.print(asked, known);
        if (losses.every(({ effect }) => effect === 'same'))
          expect(found(said.query, records)).toEqual(found(asked, records));
        else expect(said.changes.length).toBeGreaterThan(0);
      },
    ),
    { numRuns: 400 },
  );
});

describe('limits as lines', () => {
  const lane: Lane = {
    id: 'a', name: 'Light', leftOut: false,
    terms: [{ id: 't', content: { kind: 'words', text: 'light', field: 'words', near: null }, origin: 'typed', heldBack: null }],
  }; // prettier-ignore
  const part = (id: string, field: string) => ({
    limitId: id, text: `${id} (own limit)`, query: { kind: 'limit' as const, field, values: ['x'] }, changes: [],
  }); // prettier-ignore

  test('they stand behind the lanes, each restricting the line before it', () => {
    const { lines } = compileLanes([lane], {
      limits: [part('l1', 'language'), part('l2', 'ageGroup')],
    });
    expect(lines.map(({ kind }) => kind)).toEqual(['term', 'lane', 'whole', 'limit', 'limit']);
    expect(lines.slice(3).map((line) => [describeLine(line, [lane]), lineKeyOf(line)])).toEqual([
      ['L3 within l1 (own limit)', 'limit:l1'],
      ['L4 within l2 (own limit)', 'limit:l2'],
    ]);
    const last = lines.at(-1);
    expect(last && printCql(standaloneQuery(last, lines), { vocabulary: 'tree' })).toBe(
      'el.words = "light" and el.language == "x" and el.ageGroup == "x"',
    );
  });

  test('without anything to search there is nothing to limit', () => {
    expect(compileLanes([], { limits: [part('l1', 'language')] }).lines).toEqual([]);
  });
});

const NOTHING: Query = { kind: 'not', include: { kind: 'everything' }, exclude: { kind: 'everything' } };
const base: BibRecord = {
  accession: '1', title: 'Light', abstract: [], keywords: [], authors: [], journal: '', year: 2000, volume: '', issue: '',
  pages: '', doi: null, language: 'English', publicationTypes: [], headings: [], limits: {}, entered: null, changed: null,
}; // prettier-ignore

function hasNoLines(each: Query): boolean {
  return !JSON.stringify(each).includes('"line"');
}
