import fc from 'fast-check';
import { buildIndex, docsOf, evaluate } from '../search/index.js';
import {
  asWritten,
  compileLanes,
  foundLine,
  laneKey,
  ownKey,
  readOwnLine,
  reference,
  standaloneQuery,
  termKey,
  type Lane,
} from '../strategy/index.js';
import { TREE, words, subject, lane, own, line, strategy, limit, staff } from '../testing/checkedStrategy.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import {
  CHECKS,
  checkStrategy,
  findingKey,
  mended,
  MENDED_TERM,
  type CheckedStrategy,
  type Finding,
  type Mend,
} from './index.js';

/** For each check a strategy in which it finds something, and one very like it that it leaves alone. */
const CASES: Record<string, [found: Partial<CheckedStrategy>, leftAlone: Partial<CheckedStrategy>]> = {
  'mixed-operators': [
    { own: [own('o', 'nurse or porter and night')] },
    { own: [own('o', '(nurse or porter) and night')] },
  ],
  'wrong-reference': [
    {
      lanes: [lane('a', staff), lane('b', staff)],
      own: [own('o', `${reference(termKey('a1'))} and ${reference(laneKey('b'))}`)],
    },
    {
      lanes: [lane('a', staff), lane('b', staff)],
      own: [own('o', `${reference(laneKey('a'))} and ${reference(laneKey('b'))}`)],
    },
  ],
  'two-concepts': [
    { lanes: [lane('who', [subject('Staff'), subject('Bright light')]), lane('what', [subject('Light')])] },
    { lanes: [lane('who', [subject('Staff'), subject('Porters')]), lane('what', [subject('Light')])] },
  ],
  'finds-nothing': [
    { lanes: [lane('a', [words('nurze')])], lines: [line('term:a0', { hits: 0 })] },
    { lanes: [lane('a', [words('nurse')])], lines: [line('term:a0', { hits: 1 })] },
  ],
  'variant-missing': [
    { lanes: [lane('a', [words('nurse')])] },
    { lanes: [lane('a', [words('nurse'), words('nurses')])] },
  ],
  'unquoted-phrase': [
    { lines: [line('whole', { written: 'title:nurse AND night shift' })] },
    { lines: [line('whole', { written: 'title:nurse AND "night shift" OR day' })] },
  ],
  'short-pattern': [{ lanes: [lane('a', [words('nur*')])] }, { lanes: [lane('a', [words('nurs*')])] }],
  'long-pattern': [{ lanes: [lane('a', [words('nurses*')])] }, { lanes: [lane('a', [words('nurse*')])] }],
  'left-over': [
    { lanes: [lane('a', [words('nurse OR porter')])] },
    { lanes: [lane('a', [words('nurse or porter')])] },
  ],
  'word-processor': [{ own: [own('o', '“night shift”')] }, { own: [own('o', '"night shift"')] }],
  'entry-term': [{ lanes: [lane('a', [subject('lamps')])] }, { lanes: [lane('a', [subject('light')])] }],
  'without-narrower': [
    { lanes: [lane('a', [subject('Light', { narrower: false })])] },
    { lanes: [lane('a', [subject('Bright light', { narrower: false })])] },
  ],
  'one-kind': [
    { lanes: [lane('a', [words('lamps')])] },
    { lanes: [lane('a', [words('lamps'), subject('Light')])] },
  ],
  'throws-away': [
    { own: [own('o', 'rat', { role: 'leavesOut' })], leftOut: { [ownKey('o')]: { records: 4, kept: 1 } } },
    { own: [own('o', 'rat', { role: 'leavesOut' })], leftOut: { [ownKey('o')]: { records: 0, kept: 0 } } },
  ],
  'silent-mapping': [
    { lines: [line('whole', { understood: 'a or b', expected: 'a' })] },
    { lines: [line('whole', { understood: 'a', expected: 'a' })] },
  ],
  'hides-unindexed': [
    { limits: [{ ...limit, way: 'own', lacking: 7 }] },
    { limits: [{ ...limit, way: 'either', lacking: 7 }] },
  ],
  'field-missing': [
    { lanes: [lane('a', [words('night', { field: 'fulltext' })])] },
    { lanes: [lane('a', [words('night', { field: 'title' })])] },
  ],
  'differs-elsewhere': [
    { whole: 0, records: 1000, elsewhere: [{ name: 'Other', whole: 50, records: 1000, open: 0 }] },
    { whole: 30, records: 1000, elsewhere: [{ name: 'Other', whole: 50, records: 1000, open: 0 }] },
  ],
  contained: [
    { lanes: [lane('a', [words('night shift'), words('night')])] },
    { lanes: [lane('a', [words('night shift'), words('nights')])] },
  ],
  'unused-line': [
    { own: [own('o', 'night')] },
    { own: [own('o', 'night'), own('p', reference(ownKey('o')), { role: 'narrows' })] },
  ],
};

test('every check has a case that it finds and one that it leaves alone', () => {
  expect(Object.keys(CASES).sort()).toEqual(CHECKS.map(({ id }) => id).sort());
});

test.each(Object.entries(CASES))('%s', (id, [found, leftAlone]) => {
  const check = CHECKS.find((each) => each.id === id);
  const ids = (parts: Partial<CheckedStrategy>) => [
    ...new Set(check?.find(strategy(parts)).map((each) => each.check)),
  ];
  expect(ids(found)).toEqual([id]);
  expect(ids(leftAlone)).toEqual([]);
});

test('each check says what it is for, and each finding where it is and why', () => {
  for (const { name, about } of CHECKS) {
    expect(name).not.toBe('');
    expect(about).toMatch(/[.]$/);
  }
  const findings = Object.values(CASES).flatMap(([found]) => checkStrategy(strategy(found)));
  for (const finding of findings) {
    expect(finding.at).toMatch(/^(?:whole|(?:term|lane|own|limit):.+)$/);
    expect(finding.message).toMatch(/[.]$/);
  }
  const within = checkStrategy(strategy(CASES['left-over']?.[0] ?? {})).map(findingKey);
  expect(new Set(within).size).toBe(within.length);
});

const only = (id: string, parts: Partial<CheckedStrategy>): Finding[] =>
  checkStrategy(strategy(parts)).filter(({ check }) => check === id);
const mendTexts = (findings: Finding[]) => findings.flatMap(({ mends }) => mends.map(({ text }) => text));

test('both readings of AND and OR side by side are offered, each with its parentheses', () => {
  const texts = (text: string) =>
    only('mixed-operators', { own: [own('o', text)] }).flatMap(({ mends }) =>
      mends.map(({ mend }) => (mend.kind === 'writeOwn' ? mend.text : '')),
    );
  expect(texts('a1 or b1 and c1')).toEqual(['(a1 or b1) and c1', 'a1 or (b1 and c1)']);
  expect(texts('a1 and b1 or c1 and d1')).toEqual([
    '((a1 and b1) or c1) and d1',
    '(a1 and b1) or (c1 and d1)',
  ]);
  expect(texts('a1 or b1 not c1')).toEqual(['(a1 or b1) not c1']);
  expect(texts('x1 and (a1 or b1 and el.title = "c d")')).toEqual([
    'x1 and ((a1 or b1) and el.title = "c d")',
    'x1 and (a1 or (b1 and el.title = "c d"))',
  ]);
});

test('each offered reading of AND and OR finds what that reading means', () => {
  const WORDS = ['a1', 'b1', 'c1', 'd1'];
  const records = Array.from({ length: 16 }, (_, n) =>
    sampleRecord({ title: WORDS.filter((_word, bit) => (n & (1 << bit)) !== 0).join(' ') }),
  );
  const index = buildIndex(records);
  const found = (text: string) => {
    const { line: read } = readOwnLine(
      own('o', text),
      { vocabulary: null, limitFields: [] },
      asWritten,
      null,
    );
    const result = read === null ? null : evaluate(read.query, index, { narrowerOf: () => null });
    return result?.ok === true ? [...docsOf(result.documents)] : [];
  };
  const holds = (n: number, word: string) => (n & (1 << WORDS.indexOf(word))) !== 0;
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constantFrom('and', 'or'), fc.constantFrom(...WORDS)), {
        minLength: 1,
        maxLength: 5,
      }),
      fc.constantFrom(...WORDS),
      (rest, first) => {
        const text = [first, ...rest.map(([operator, word]) => `${operator} ${word}`)].join(' ');
        const [left, andFirst] = only('mixed-operators', { own: [own('o', text)] })
          .flatMap(({ mends }) => mends)
          .map(({ mend }) => (mend.kind === 'writeOwn' ? mend.text : ''));
        if (left === undefined || andFirst === undefined) return;
        const all = records.map((_record, n) => n);
        const fromLeft = (n: number) =>
          rest.reduce(
            (so, [operator, word]) => (operator === 'and' ? so && holds(n, word) : so || holds(n, word)),
            holds(n, first),
          );
        const groups = rest.reduce<string[][]>(
          (so, [operator, word]) =>
            operator === 'and' ? [...so.slice(0, -1), [...(so.at(-1) ?? []), word]] : [...so, [word]],
          [[first]],
        );
        expect(found(left)).toEqual(all.filter(fromLeft));
        expect(found(andFirst)).toEqual(
          all.filter((n) => groups.some((group) => group.every((word) => holds(n, word)))),
        );
      },
    ),
  );
});

test('a word that finds nothing is offered the likeliest words of the index', () => {
  const indexWords = new Map([
    [
      'nur',
      [
        { word: 'nurse', hits: 90 },
        { word: 'nursery', hits: 3 },
        { word: 'nurture', hits: 200 },
      ],
    ],
  ]);
  const found = only('finds-nothing', {
    lanes: [lane('a', [words('night nurze')])],
    lines: [line('term:a0', { hits: 0 })],
    indexWords,
  });
  expect(mendTexts(found)).toEqual(['Write “night nurse”', 'Take it out']);
});

test('a compound that is cut is offered apart, still cut', () => {
  const found = only('variant-missing', { lanes: [lane('a', [words('nightwork*')])] });
  expect(mendTexts(found)).toContain('Add “night work*”');
  const [spelt] = only('variant-missing', { lanes: [lane('a', [words('"colour blind*"')])] });
  expect(spelt?.detail).toBe('"color blind*"');
});

test('headings of different branches that share a word with the lane are one concept', () => {
  const contents = [subject('Staff'), subject('Bright light'), words('light staff')];
  expect(only('two-concepts', { lanes: [lane('a', contents), lane('b', [subject('Light')])] })).toEqual([]);
});

test('alternatives left over within a term are taken apart', () => {
  const [found] = only('left-over', { lanes: [lane('a', [words('nurse OR "ward staff" OR porter')])] });
  expect(mendTexts(found === undefined ? [] : [found])).toEqual([
    'Search “nurse” alone',
    'Add “ward staff”',
    'Add “porter”',
  ]);
});

test('what is told to be within another brings nothing: without it the lane finds the same', () => {
  const WORDS = ['night', 'nights', 'shift', 'shifts', 'nurse'];
  const labels = TREE.headings.map(({ label }) => label);
  const records = fc
    .sample(
      fc.record({
        title: fc.array(fc.constantFrom(...WORDS), { maxLength: 6 }),
        heads: fc.subarray(labels, { maxLength: 3 }),
        central: fc.boolean(),
      }),
      { numRuns: 300, seed: 7 },
    )
    .map(({ title, heads, central }) =>
      sampleRecord({
        title: title.join(' '),
        headings: heads.map((label) => ({
          vocabulary: 'tree',
          label,
          central,
          subheadings: central ? ['care'] : [],
        })),
      }),
    );
  const index = buildIndex(records);
  const found = (one: Lane): string => {
    const { lines } = compileLanes([one]);
    const whole = foundLine(lines);
    const result =
      whole === undefined ? null : evaluate(standaloneQuery(whole, lines), index, { narrowerOf: narrowerOf });
    return result?.ok === true ? [...docsOf(result.documents)].join(' ') : '';
  };
  const narrowerOf = (_vocabulary: string, label: string) => below(label);
  const below = (label: string): string[] =>
    TREE.headings
      .filter(({ broader }) => broader.includes(label))
      .flatMap((each) => [each.label, ...below(each.label)]);
  const aTerm = fc.oneof(
    fc
      .tuple(
        fc.array(fc.constantFrom(...WORDS, 'night*', 'shift*'), { minLength: 1, maxLength: 3 }),
        fc.constantFrom(null, null, 2),
      )
      .map(([each, near]) => words(each.length > 1 ? `"${each.join(' ')}"` : each.join(''), { near })),
    fc
      .record({
        label: fc.constantFrom(...labels),
        narrower: fc.boolean(),
        central: fc.boolean(),
        care: fc.boolean(),
      })
      .map(({ label, narrower, central, care }) =>
        subject(label, { narrower, central, subheadings: care ? ['care'] : [] }),
      ),
  );
  fc.assert(
    fc.property(fc.array(aTerm, { minLength: 2, maxLength: 6 }), (contents) => {
      const before = lane('a', contents);
      for (const finding of only('contained', { lanes: [before] })) {
        const [mend] = finding.mends;
        const after = mend === undefined ? null : mended({ lanes: [before], own: [] }, mend.mend);
        expect(found(after?.lanes[0] ?? before)).toBe(found(before));
      }
      // All of them may be taken out, one after the other, and nothing is lost.
      let left: Lane | undefined = before;
      for (let i = 0; i < 10 && left !== undefined; i += 1) {
        const mend: Mend | undefined = only('contained', { lanes: [left] })[0]?.mends[0]?.mend;
        if (mend === undefined) break;
        left = mended({ lanes: [left], own: [] }, mend)?.lanes[0];
      }
      expect(left === undefined ? '' : found(left)).toBe(found(before));
    }),
    { numRuns: 300 },
  );
});

test('mends are made on what is there, and refuse what is there no more', () => {
  const parts = {
    lanes: [lane('a', staff), lane('x', [words('rat')], true)],
    own: [own('o', 'night', { on: false })],
  };
  const labels = (mend: Parameters<typeof mended>[1]) =>
    mended(parts, mend)?.lanes.map(({ terms, leftOut }) => [terms.map(({ id }) => id).join(' '), leftOut]);
  expect(labels({ kind: 'addTerm', laneId: 'a', content: words('porter') })).toEqual([
    [`a0 a1 ${MENDED_TERM}`, false],
    ['x0', true],
  ]);
  expect(labels({ kind: 'removeTerm', termId: 'a0' })).toEqual([
    ['a1', false],
    ['x0', true],
  ]);
  expect(labels({ kind: 'moveTerm', termId: 'x0', laneId: 'a' })).toEqual([
    ['a0 a1 x0', false],
    ['', true],
  ]);
  expect(labels({ kind: 'keepLane', laneId: 'x' })).toEqual([
    ['a0 a1', false],
    ['x0', false],
  ]);
  expect(mended(parts, { kind: 'switchOn', ownId: 'o' })?.own[0]?.on).toBe(true);
  expect(mended(parts, { kind: 'ownRole', ownId: 'o', role: 'adds' })?.own[0]?.role).toBe('adds');
  expect(mended(parts, { kind: 'removeOwn', ownId: 'o' })?.own).toEqual([]);
  for (const gone of [
    { kind: 'addTerm', laneId: 'gone', content: words('a') },
    { kind: 'changeTerm', termId: 'gone', content: words('a') },
    { kind: 'removeTerm', termId: 'gone' },
    { kind: 'moveTerm', termId: 'a0', laneId: 'gone' },
    { kind: 'keepLane', laneId: 'a' },
    { kind: 'writeOwn', ownId: 'gone', text: '' },
  ] as const) {
    expect(mended(parts, gone)).toBeNull();
  }
});

test.each([
  ['unquoted-phrase', 'title("x y") AND night shift* OR "a b"', 'title("x y") AND "night shift*" OR "a b"'],
  ['word-processor', '“night shift”–work', '"night shift"-work'],
])('what is written by hand is mended in its place: %s', (id, written, after) => {
  const [found] = checkStrategy(strategy({ lines: [line('whole', { written })] })).filter(
    ({ check }) => check === id,
  );
  expect(found?.mends[0]?.mend).toEqual({ kind: 'writeText', line: 'whole', text: after });
});

test('what is written by hand in CQL can be mended to either reading', () => {
  const written = 'nurse or porter and night';
  const findings = only('mixed-operators', {
    lines: [line('whole', { written, cautions: ['AND and OR stand side by side.'] })],
  });
  expect(findings.flatMap(({ mends }) => mends.map(({ mend }) => mend))).toEqual([
    { kind: 'writeText', line: 'whole', text: '(nurse or porter) and night' },
    { kind: 'writeText', line: 'whole', text: 'nurse or (porter and night)' },
  ]);
});
