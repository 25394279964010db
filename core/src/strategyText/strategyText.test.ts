import fc from 'fast-check';
import { parseCql, printCql, DIALECTS, type Query } from '../query/index.js';
import { buildIndex, docsOf, evaluateLines } from '../search/index.js';
import {
  asWritten,
  compileLanes,
  foundLine,
  linesIn,
  linesReferredTo,
  readOwnLine,
  sheetToText,
  standaloneQuery,
  translateLine,
  type Lane,
  type Strategy,
} from '../strategy/index.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import {
  arrangedDocument,
  arrangeStrategy,
  chosenOf,
  linesThatFit,
  readPastedLines,
  type TextLanguage,
} from './index.js';

const context = { vocabulary: 'tree', limitFields: ['language'] };
const CQL: TextLanguage = {
  read: (text) => {
    const read = parseCql(text, { vocabulary: 'tree', limitFields: ['language'] });
    return read.ok ? { ...read, cautions: [] } : { ok: false, error: read.error };
  },
  word: (word) => `"${word}"`,
};
const ofDialect = (id: string): TextLanguage => {
  const dialect = DIALECTS.get(id);
  if (dialect === undefined) throw new Error(id);
  return {
    read: (text) => dialect.parse(text, context),
    word: (word) =>
      dialect.print({ kind: 'words', field: 'words', phrase: [{ text: word, anyEnding: false }] }, context)
        .text,
  };
};
const pasted = (text: string, language = CQL) => readPastedLines(text, language);
const arranged = (text: string, language = CQL) => arrangeStrategy(pasted(text, language));
/** Terms and texts, shortly. */
const shortly = (text: string, language = CQL) => {
  const { lanes, ownLines } = arranged(text, language);
  return {
    lanes: lanes.map(({ terms, leftOut }) => [
      ...(leftOut ? ['left out'] : []),
      ...terms.map((term) => (term.kind === 'words' ? term.text : term.label)),
    ]),
    own: ownLines.map(({ role, text: said }) => [role, said]),
  };
};

/** An arranged strategy as the program compiles it. */
function compiled(text: string, language = CQL): Strategy {
  const { lanes, ownLines } = arrangedDocument('', arranged(text, language));
  const own = ownLines.map((line, i) =>
    readOwnLine({ ...line, id: String(i + 1) }, context, asWritten, null),
  );
  return compileLanes(
    lanes.map(({ name, leftOut = false, terms }, i): Lane => ({
      id: String(i + 1),
      name,
      leftOut,
      terms: terms.map((term, k) => ({ ...term, id: `${i + 1}.${k + 1}` })),
    })),
    { own },
  );
}

describe('how lines are marked', () => {
  test.each([
    ['1. light\n2. night\n3. 1 or 2'],
    ['1) light\n2) night\n3) 1 OR 2'],
    ['[1] light\n[2] night\n[3] 1 or 2'],
    ['#1 light\n#2 night\n#3 #1 or #2'],
    ['Z1 light\nZ2 night\nZ3 Z1 or z2'],
    ['1\tlight\t12\n2\tnight\t1 034\n3\t1 or 2\t1,040'],
    [
      '| Line | String | Hits |\n| --- | --- | ---: |\n| L1 | light | 12 |\n| L2 | night | 7 |\n| L3 | L1 or L2 | 15 |',
    ],
    ['light\nnight\n#1 or #2'],
    ['light\nnight\n1 or 2'],
    ['  1. light\r\n\r\n  2. night\r\n  3. or/1-2\r\n'],
    ['1. light\n2. night\n3. 1-2/or'],
    ['1. light\n2. night\n3. any of 1 to 2'],
  ])('%j is one lane of two terms', (text) => {
    expect(shortly(text)).toEqual({ lanes: [['light', 'night']], own: [] });
  });

  test('counts behind lines are told apart from what they say', () => {
    const text = '1. light (1 203 records)\n2. night\t44\n3. 1 and 2\n4. lamp   1 044';
    expect(pasted(text).map(({ hits }) => hits)).toEqual([1203, 44, null, 1044]);
  });

  test('a line that goes on belongs to the one before it', () => {
    expect(pasted('1. light or\n   lamp\n2. night\n3. 1 and 2').map(({ text }) => text)).toEqual([
      'light or lamp', 'night', '1 and 2',
    ]); // prettier-ignore
  });

  test('a number within a text, or in quotation marks, is no line', () => {
    expect(shortly('1. "vitamin 1"\n2. "#1" or 5000\n3. 1 and 2').lanes).toEqual([
      ['"vitamin 1"'],
      ['1', '5000'],
    ]);
  });
});

describe('what cannot be read is told, with its line', () => {
  test.each([
    ['1. light\n2. (night\n3. 1 or 2', 2],
    ['1. light\n2. 1 or 9\n3. 1 or 2', 2],
    ['1. light\n2. 2 or 1\n3. 1 or 2', 2],
    ['1. light\n2. night\n3. 1-2', 3],
  ])('%j', (text, line) => {
    const first = pasted(text).find(({ error }) => error !== null);
    expect(first?.number).toBe(line);
    expect(first?.error?.message).not.toBe('');
  });

  test('the place is that in the pasted text, not in what was read', () => {
    expect(pasted('1. light\n2. night\n3. #1 or #2 or (')[2]?.error?.at).toBe('#1 or #2 or ('.length);
  });

  test('nothing, and nothing but blank lines, is no line', () => {
    expect(pasted(' \n\t\n')).toEqual([]);
    expect(arrangeStrategy([])).toEqual({ lanes: [], ownLines: [] });
  });
});

describe('arranging', () => {
  test('terms on lines of their own, lanes, what is left out, and what narrows', () => {
    const text = [
      '1. "night shift*"',
      '2. nurse*',
      '3. 1 or 2',
      '4. light or lamp',
      '5. newborn*',
      '6. 3 and 4',
      '7. 6 not 5',
      '8. 7 and el.language = "English"',
      '9. 2 and light',
    ].join('\n');
    expect(shortly(text)).toEqual({
      lanes: [['nurse*'], ['light']],
      own: expect.arrayContaining([
        ['looks', 'cql.resultSetId = "own:6" and el.language == "English"'],
      ]) as unknown,
    });
    const without = text.split('\n').slice(0, 8).join('\n');
    expect(shortly(without)).toEqual({
      lanes: [
        ['"night shift*"', 'nurse*'],
        ['light', 'lamp'],
        ['left out', 'newborn*'],
      ],
      own: [['narrows', 'el.language == "English"']],
    });
  });

  test('the last line that no other uses is the whole; others only look', () => {
    const text = '1. nurse*\n2. light or lamp\n3. 1 and dusk\n4. 1 and 2';
    expect(shortly(text)).toEqual({
      lanes: [['nurse*'], ['light', 'lamp']],
      own: [['looks', 'cql.resultSetId = "lane:1" and el.words = "dusk"']],
    });
  });

  test('what is joined as no lane can be stays a line of one’s own, and refers to the lanes', () => {
    const text = '1. nurse*\n2. light or lamp\n3. (1 and light) or dusk\n4. 1 and 2 and 3';
    expect(shortly(text).own).toEqual([
      ['narrows', '(cql.resultSetId = "lane:1" and el.words = "light") or el.words = "dusk"'],
    ]);
  });

  test('what is added to all else is added', () => {
    expect(shortly('1. nurse*\n2. light\n3. dusk\n4. (1 and 2) or 3').own).toEqual([
      ['adds', 'el.words = "dusk"'],
    ]);
  });

  test('a line in which a lane stands is not that lane, where it is referred to', () => {
    const text = '1. light\n2. night\n3. (1 not 2) and light\n4. 3 not 3';
    const { own } = shortly(text);
    expect(own.map(([role]) => role)).toContain('leavesOut');
    expect(own.find(([role]) => role === 'leavesOut')?.[1]).toContain('not');
  });

  test('lines that nothing joins are lanes', () => {
    expect(shortly('nurse*\nlight or lamp').lanes).toEqual([['nurse*'], ['light', 'lamp']]);
  });
});

const WORDS = ['light', 'night', 'nurse', 'dusk', 'lamp'];
const RECORDS = Array.from({ length: 32 }, (_, n) =>
  sampleRecord({
    accession: String(n),
    title: ['study', ...WORDS.filter((_word, bit) => (n & (1 << bit)) !== 0)].join(' '),
  }),
);
const index = buildIndex(RECORDS);
/** What the line finds with all references written out, by a naive reading of the records. */
function naive(
  query: Query,
  lines: ReadonlyMap<number, Query>,
  done = new Map<number, Set<number>>(),
): Set<number> {
  const all = RECORDS.map((_, n) => n);
  const below = (each: Query) => naive(each, lines, done);
  switch (query.kind) {
    case 'words':
      return new Set(all.filter((n) => RECORDS[n]?.title.split(' ').includes(query.phrase[0]?.text ?? '')));
    case 'line': {
      const known = done.get(query.line) ?? below(lines.get(query.line) ?? query);
      done.set(query.line, known);
      return known;
    }
    case 'and':
    case 'or': {
      const found = query.operands.map(below);
      const passes = (n: number) =>
        query.kind === 'and' ? found.every((set) => set.has(n)) : found.some((set) => set.has(n));
      return new Set(all.filter(passes));
    }
    case 'not': {
      const [include, exclude] = [below(query.include), below(query.exclude)];
      return new Set(all.filter((n) => include.has(n) && !exclude.has(n)));
    }
    default:
      throw new Error(query.kind);
  }
}

/** A line that is a word, or joins earlier lines and words. */
const aLine = fc.letrec<{ part: string; line: string }>((tie) => ({
  part: fc.oneof(
    { withCrossShrink: true, maxDepth: 2 },
    fc.constantFrom(...WORDS),
    fc.nat(100).map((n) => `@${n}`),
    fc
      .tuple(tie('part'), fc.constantFrom('and', 'or', 'not'), tie('part'))
      .map((all) => `(${all.join(' ')})`),
  ),
  line: fc.tuple(tie('part'), fc.constantFrom('and', 'or', 'not'), tie('part')).map((all) => all.join(' ')),
})).line;

test('the arranged strategy finds just what the pasted one does, whatever is joined with what', () => {
  fc.assert(
    fc.property(fc.array(aLine, { minLength: 1, maxLength: 7 }), (lines) => {
      const text = [...WORDS, ...lines]
        .map(
          (line, i) =>
            `${i + 1}. ${line.replace(/@(\d+)/g, (_all, n: string) => `#${1 + (Number(n) % Math.max(1, i))}`)}`,
        )
        .join('\n');
      const read = pasted(text);
      expect(read.filter(({ error }) => error !== null)).toEqual([]);
      const queries = new Map(
        read.map(({ number, query }) => [number, query ?? { kind: 'everything' as const }]),
      );
      // Where nothing refers to anything, it is a list of concepts.
      fc.pre(read.some(({ query }) => query !== null && linesIn(query).length > 0));
      const last = read.at(-1)?.number ?? 0;
      const expected = [...naive({ kind: 'line', line: last }, queries)].sort((a, b) => a - b);
      const { lines: own, problems } = compiled(text);
      expect(problems.filter(({ aside }) => aside !== true)).toEqual([]);
      const whole = foundLine(own);
      const numbered = new Map(own.map(({ number, query }) => [number, query]));
      const result = evaluateLines(numbered, index, { narrowerOf: () => null }).get(whole?.number ?? 0);
      const found = result?.ok === true ? docsOf(result.documents) : [];
      expect([...found].sort((a, b) => a - b)).toEqual(expected);
    }),
    { numRuns: 1000 },
  );
});

test.each([...DIALECTS.keys()])('what is given as text to paste in %s is read back as it was', (id) => {
  const before = compiled('1. nurse or dusk\n2. light\n3. lamp\n4. 1 and 2\n5. 4 not 3');
  const dialect = DIALECTS.get(id);
  if (dialect === undefined) throw new Error(id);
  const sheet = sheetToText(
    before.lines.map((line) => ({
      text: translateLine(line, before.lines, dialect, context).referring.text,
    })),
  );
  expect(pasted(sheet, ofDialect(id)).flatMap(({ error }) => error ?? [])).toEqual([]);
  const after = compiled(sheet, ofDialect(id));
  const whole = ({ lines }: Strategy) => {
    const found = foundLine(lines);
    return found === undefined ? '' : printCql(standaloneQuery(found, lines), { vocabulary: 'tree' });
  };
  expect(whole(after)).toBe(whole(before));
});

test('lines that double each other are arranged in no time, and written out nowhere', () => {
  const doubling = ['light', 'night', '1 and 2'];
  for (let i = 3; i < 60; i += 1) doubling.push(`(${i} or dusk) and (${i} not lamp)`);
  const { lanes, ownLines } = arranged(doubling.map((line, i) => `${i + 1}. ${line}`).join('\n'));
  expect(lanes.length + ownLines.length).toBeLessThan(150);
  expect(Math.max(...ownLines.map(({ text }) => text.length))).toBeLessThan(500);
});

describe('what is taken of it', () => {
  const strategy = arranged(
    '1. nurse*\n2. light\n3. dusk\n4. 2 or (3 not lamp)\n5. 4 not bed\n6. 1 and 3 and 5',
  );
  const all = { lanes: strategy.lanes.map(() => true), ownLines: strategy.ownLines.map(() => true) };

  test('all of it is what it was', () => {
    expect(linesThatFit(strategy, all)).toEqual(strategy.ownLines.map(() => true));
    expect(chosenOf(strategy, all)).toEqual(strategy);
  });

  test('without a lane, whatever refers to it goes as well, and the rest is named anew', () => {
    const at = strategy.lanes.findIndex(({ name }) => name === 'nurse');
    const lanes = strategy.lanes.map((_, i) => i !== at);
    const taken = chosenOf(strategy, { ...all, lanes });
    expect(taken.lanes.map(({ name }) => name)).not.toContain('nurse');
    const known = new Set([
      ...taken.lanes.flatMap((lane, i) => [
        `lane:${i + 1}`,
        ...lane.terms.map((_, k) => `term:${i + 1}.${k + 1}`),
      ]),
      ...taken.ownLines.map((_, i) => `own:${i + 1}`),
    ]);
    expect(
      taken.ownLines.flatMap(({ text }) => linesReferredTo(text)).filter((key) => !known.has(key)),
    ).toEqual([]);
    const none = strategy.lanes.map(() => false);
    const fits = linesThatFit(strategy, { ...all, lanes: none });
    const free = strategy.ownLines.map(({ text }) => linesReferredTo(text).length === 0);
    expect(
      fits.some(
        (each, i) =>
          each &&
          free[i] === false &&
          linesReferredTo(strategy.ownLines[i]?.text ?? '').some((key) => !key.startsWith('own:')),
      ),
    ).toBe(false);
  });
});

describe('whatever is typed', () => {
  const TEXT = `1. heading("Shift work", narrower)  1 285
2. words("night shift*")  800
3. words("on call")
4. 1 or 2 or 3
5. words("bright light*") or near(3, "light*", "lamp*")
6. words("newborn*"
7. 4 and 5 not (6 or #2)
8. or/1-3`;
  test.each(['cql', ...DIALECTS.keys()])('each beginning of a text is read in %s without trouble', (id) => {
    const language = id === 'cql' ? CQL : ofDialect(id);
    for (let end = 0; end <= TEXT.length; end += 1) {
      const text = TEXT.slice(0, end);
      const numbers = pasted(text, language).map(({ number }) => number);
      const { lanes, ownLines } = arranged(text, language);
      // What was arranged stands for lines that were pasted.
      const standFor = [...lanes.flatMap(({ lines }) => lines), ...ownLines.map(({ line }) => line)];
      expect(standFor.filter((line) => !numbers.includes(line))).toEqual([]);
    }
  });

  test('any text at all is read, line by line', () => {
    const signs = fc.constantFrom(
      ...'1 2 3 4 or and not ( ) " # L - / : . * ? | \t \n light night 99999 \\ el. = “ ” é'.split(' '),
      ' ',
      '\n',
    );
    fc.assert(
      fc.property(fc.array(signs, { maxLength: 60 }), (parts) => {
        const text = parts.join('');
        const lines = pasted(text);
        expect(lines.every(({ query, error }) => (query === null) !== (error === null))).toBe(true);
        arrangeStrategy(lines);
      }),
      { numRuns: 1500 },
    );
  });
});
