import fc from 'fast-check';
import { sectionsOf } from '../../records/index.js';
import { LINES, narrowerOf, query as anyQuery, record } from '../../testing/arbitraries.js';
import { ALL, EVERY, context, dialect, printed, read, wrong } from '../../testing/dialectStrings.js';
import { naiveMatches, naiveWords } from '../../testing/naive.js';
import { matchesPattern, normaliseQuery, textFieldsOf, type Query } from '../index.js';
import type { DialectContext } from './index.js';

/** Of each property in each dialect, with other examples in every run of the tests. */
const RUNS = 500;

describe.each(EVERY)('in the dialect of %s', (id) => {
  test('what is printed without a loss is read as the same query', () => {
    let without = 0;
    fc.assert(
      fc.property(anyQuery, (query) => {
        const { text, losses } = dialect(id).print(query, context);
        const result = dialect(id).parse(text, context);
        expect(result).toMatchObject({ ok: true });
        if (losses.length > 0) return;
        without += 1;
        expect(result).toEqual({ ok: true, query: normaliseQuery(query), cautions: [] });
      }),
      { numRuns: RUNS },
    );
    expect(without).toBeGreaterThan(RUNS / 20);
  });

  test('what is said finds as much more or less than what was meant as its losses tell', () => {
    let compared = 0;
    fc.assert(
      fc.property(
        fc.array(record, { maxLength: 8 }),
        anyQuery,
        fc.boolean(),
        (records, query, indexKnown) => {
          const wordsMatching: DialectContext['wordsMatching'] = (pattern, field) => {
            const texts = records.flatMap((each) =>
              textFieldsOf(field).flatMap((name) => sectionsOf(each, name)),
            );
            return [...new Set(texts.flatMap(naiveWords))].filter((word) => matchesPattern(word, pattern));
          };
          const lineQuery = (line: number) => LINES.get(line) ?? null;
          const { text, losses } = dialect(id).print(query, {
            ...context,
            lineQuery,
            ...(indexKnown ? { wordsMatching, narrowerOf: ({ label }) => narrowerOf(label) } : {}),
          });
          const said = read(id, text);
          const effects = new Set(losses.map(({ effect }) => effect).filter((effect) => effect !== 'same'));
          if (effects.has('either') || effects.size > 1) return;
          const [effect = 'same'] = effects;
          for (const each of records) {
            const meant = naiveMatches(query, each, narrowerOf, LINES);
            const found = naiveMatches(said, each, narrowerOf, LINES);
            if (losses.length > 0) compared += 1;
            if (effect === 'same') expect(found).toBe(meant);
            if (effect === 'widens' && meant) expect(found).toBe(true);
            if (effect === 'narrows' && found) expect(meant).toBe(true);
          }
        },
      ),
      { numRuns: RUNS },
    );
    expect(compared).toBeGreaterThan(50);
  });

  test('printing what was read is stable, and every loss lies within the text', () => {
    fc.assert(
      fc.property(anyQuery, (query) => {
        const { text, losses } = dialect(id).print(query, context);
        for (const { from, to, lost, instead } of losses) {
          expect(from).toBeLessThan(to);
          expect(to).toBeLessThanOrEqual(text.length);
          expect([lost, instead]).not.toContain('');
        }
        const again = dialect(id).print(read(id, text), context);
        expect(again.losses).toEqual([]);
        expect(read(id, again.text)).toEqual(read(id, text));
      }),
    );
  });

  test('no string makes the reader throw, and every error has a place in it', () => {
    const piece = fc.constantFrom(
      ...[
        'words',
        'title',
        'heading',
        '(',
        ')',
        ',',
        '"',
        '"a b"',
        ':',
        '..',
        '[',
        ']',
        '~',
        '2',
        '2005',
        'AND',
      ],
      ...[
        'OR',
        'NOT',
        '*',
        'sleep*',
        '?',
        '\\',
        'year',
        'descriptor',
        'TO',
        'near',
        '*:*',
        'narrower',
        "'a b'",
        '~',
        '&',
        '|',
        '!',
        '-',
        '>=',
        '=',
        'in',
        'subject',
        'wn.text',
        'prox',
        '/',
      ],
    );
    const text = fc.oneof(
      fc.string(),
      fc.array(piece).map((pieces) => pieces.join('')),
      fc.array(piece).map((pieces) => pieces.join(' ')),
    );
    fc.assert(
      fc.property(text, (any) => {
        const result = dialect(id).parse(any, context);
        if (result.ok) return;
        expect(result.error.at).toBeGreaterThanOrEqual(0);
        expect(result.error.at).toBeLessThanOrEqual(any.length);
        expect(result.error.message).not.toBe('');
      }),
      { numRuns: RUNS },
    );
  });

  test('deep nesting and great length are refused, not run into', () => {
    expect(wrong(id, '('.repeat(5000))?.[1]).toMatch(/nested too deeply/);
    expect(wrong(id, 'a '.repeat(600_000))?.[1]).toMatch(/1000000 is the most/);
    const word = (text: string): Query => ({
      kind: 'words',
      field: 'title',
      phrase: [{ text, anyEnding: false }],
    });
    const title = dialect(id).print(word('aa'), context).text;
    const both = dialect(id).print({ kind: 'not', include: word('aa'), exclude: word('bb') }, context).text;
    const notTitle = both.slice(title.length);
    expect(wrong(id, title + notTitle.repeat(150))).toBeNull();
    expect(wrong(id, title + notTitle.repeat(5000))?.[1]).toMatch(/more than 200 NOTs/);
    const many = { kind: 'and' as const, operands: Array.from({ length: 5000 }, (_, i) => word(`a${i}`)) };
    expect(wrong(id, dialect(id).print(many, context).text)).toBeNull();
  });
});

test('a strategy stands in each dialect as people of that database write it', () => {
  const strategy =
    'words("night work") AND (title("light") OR heading("Light", narrower)) AND year(2005..) NOT keywords("animals")';
  expect(printed('corvane', strategy).text).toBe(
    'words("night work") AND (title("light") OR heading("Light", narrower)) AND (year(2005..) NOT keywords("animals"))',
  );
  expect(printed('mindry', strategy).text).toBe(
    '"night work" AND (title:light OR descriptor.below:"Light") AND (year:[2005 TO *] NOT keywords:animals)',
  );
  expect(printed('wardline', strategy).text).toBe(
    'wn.text = "night work" and (wn.title = "light" or wn.subject ==/narrower "Light") and (wn.published >= 2005 not wn.keywords = "animals")',
  );
  expect(printed('assayhouse', strategy).text).toBe(
    "text ~ 'night work' & (title ~ 'light' | subject >= 'Light') & (year >= 2005 & !keywords ~ 'animals')",
  );
  expect(printed('skein', strategy).text).toBe(
    '"night work" (in:title light OR light) (year:"2005-" -in:keywords animals)',
  );
});

test.each([
  ['corvane', 'year(2026..2005)'],
  ['mindry', 'year:[2026 TO 2005]'],
  ['assayhouse', 'year = 2026..2005'],
  ['skein', 'year:"2026-2005"'],
  ['wardline', 'wn.published within "2026 2005"'],
] as const)('%s: years that run backwards are refused, since they would find nothing', (id, text) => {
  expect(wrong(id, text)?.[1]).toContain('The years 2026 to 2005 run backwards');
});

test.each(ALL)('%s: words that are operators elsewhere are searched as words', (id) => {
  for (const word of ['and', 'or', 'not', 'to']) {
    const query: Query = { kind: 'words', field: 'words', phrase: [{ text: word, anyEnding: false }] };
    expect(read(id, dialect(id).print(query, context).text)).toEqual(query);
  }
});

describe('what is lost is named, with its place and what it does', () => {
  const losses = (id: string, text: string) => {
    const { text: whole, losses: all } = printed(id, text);
    return all.map(({ from, to, lost, effect }) => [whole.slice(from, to), lost, effect]);
  };

  test('central and subheadings where headings have neither', () => {
    expect(losses('mindry', 'sleep AND heading("Light", central, subheading: "dose")')).toEqual([
      ['descriptor:"Light"', 'that “Light” is central', 'widens'],
      ['descriptor:"Light"', 'the subheading dose', 'widens'],
    ]);
  });

  test('near becomes AND where its parts are phrases', () => {
    expect(losses('mindry', 'near(3, "bright light", "sleep")')).toEqual([
      ['("bright light" AND sleep)', 'within 3 words of each other', 'widens'],
    ]);
    expect(printed('mindry', 'near(3, "light", "sleep")')).toEqual({ text: '"light sleep"~3', losses: [] });
  });

  test('a pattern within a phrase is spelled out where the index is known, and else its words stand apart', () => {
    const query = read('corvane', 'words("light therap*")');
    const known = { ...context, wordsMatching: () => ['therapies', 'therapy'] };
    expect(dialect('mindry').print(query, known)).toMatchObject({
      text: '("light therapies" OR "light therapy")',
      losses: [{ effect: 'same' }],
    });
    expect(dialect('mindry').print(query, context)).toMatchObject({
      text: '(light AND therap*)',
      losses: [{ effect: 'widens' }],
    });
  });

  test('order, where near has none', () => {
    const near: Query = {
      kind: 'near',
      parts: ['light', 'sleep'].map((text) => ({
        kind: 'words',
        field: 'title',
        phrase: [{ text, anyEnding: false }],
      })),
      distance: 2,
      ordered: true,
    };
    for (const id of ALL.filter((each) => each !== 'wardline')) {
      expect(dialect(id).print(near, context).losses).toMatchObject([{ effect: 'widens' }]);
    }
    expect(dialect('wardline').print(near, context).losses).toEqual([]);
  });

  test('what widens the part that is taken away narrows the whole', () => {
    expect(losses('assayhouse', 'sleep NOT near(3, "light", "lamp")')).toEqual([
      ["(text ~ 'light' & text ~ 'lamp')", 'within 3 words of each other', 'narrows'],
    ]);
  });

  test('a heading where there are none becomes its names as words', () => {
    const query = read('corvane', 'heading("Light", narrower)');
    const namesOf = () => ['Light', 'bright light'];
    const { text, losses: all } = dialect('skein').print(query, { ...context, namesOf });
    expect(text).toBe('(light OR "bright light")');
    expect(all).toMatchObject([{ lost: 'the heading “Light” with narrower', effect: 'either' }]);
  });

  test('a heading of another vocabulary is never passed off as one of the same name', () => {
    const query: Query = {
      kind: 'heading',
      vocabulary: 'elsewhere',
      label: 'Light',
      narrower: false,
      central: false,
      subheadings: [],
    };
    for (const id of ALL) {
      expect(read(id, dialect(id).print(query, context).text)).toMatchObject({ kind: 'words' });
    }
  });

  test('one letter that may be any is spelled out, or the word is cut before it', () => {
    expect(losses('skein', 'words("wom?n")')).toEqual([['wom*', 'the pattern in “wom?n”', 'widens']]);
    expect(printed('skein', 'words("t?e")').text).toMatch(/^\(tae OR tbe OR .* OR t9e\)$/);
    expect(losses('wardline', 'near(2, "wom?n", "work*")')).toEqual([
      [
        '(wn.text = "wom*" prox/unit=word/distance<=2 wn.text = "work*")',
        'the pattern in “wom?n” near “work*”',
        'widens',
      ],
    ]);
  });

  test('a line that cannot be referred to is written out', () => {
    const query = read('corvane', 'line(3) AND sleep');
    const lineQuery = () => read('corvane', '"light" OR "lamp"');
    expect(dialect('skein').print(query, { ...context, lineQuery })).toMatchObject({
      text: '(light OR lamp) sleep',
      losses: [{ effect: 'same' }],
    });
  });

  test('a limit that the database has not', () => {
    const none = { ...context, limitFields: [] };
    const query = read('corvane', 'sleep AND language("English")');
    expect(dialect('skein').print(query, none)).toMatchObject({
      text: 'sleep *',
      losses: [{ lost: 'the limit language English', effect: 'widens' }],
    });
  });
});

test('words without a call are joined with the heading they are an entry term of', () => {
  const headingFor = (words: string) => (words === 'bright light' ? 'Light therapy' : null);
  expect(read('corvane', '"bright light" AND nurses', { headingFor })).toMatchObject({
    kind: 'and',
    operands: [
      {
        kind: 'or',
        operands: [{ kind: 'words' }, { kind: 'heading', label: 'Light therapy', narrower: true }],
      },
      { kind: 'words' },
    ],
  });
  const bare = dialect('corvane').parse('"bright light"', { ...context, headingFor });
  expect(bare).toMatchObject({ cautions: [{ at: 1 }] });
  expect(read('corvane', 'words("bright light")', { headingFor })).toMatchObject({ kind: 'words' });
});

test.each([
  ['corvane', 'words("a*")', 7],
  ['corvane', 'words("night', 6],
  ['corvane', 'heading("Light", wide)', 17],
  ['corvane', 'near(0, "a1", "b1")', 5],
  ['corvane', 'year(20..)', 5],
  ['corvane', 'colour("red")', 0],
  ['corvane', '(a1 OR b1', 9],
  ['corvane', 'a1 AND', 6],
  ['mindry', 'title:"light th*"', 15],
  ['mindry', 'colour:red', 0],
  ['mindry', 'a1 OR )', 6],
  ['mindry', '"light"~3', 0],
  ['assayhouse', "title = 'light'", 6],
  ['assayhouse', "subject ~ 'Light'", 8],
  ['assayhouse', "'light", 0],
  ['assayhouse', "text ~ 'wom?n'", 11],
  ['skein', 'sleep "old wom?n"', 14],
  ['skein', 'wom?n', 3],
  ['skein', 'in:colour red', 3],
  ['skein', 'in:title in:title red', 9],
  ['skein', 'year:20', 5],
  ['skein', '(a1 OR b1', 9],
  ['wardline', 'wn.text = "wom?n"', 14],
  ['wardline', 'wn.title = "a1" prox wn.abstract = "b1"', 16],
  ['wardline', 'wn.subject ==/vocabulary="x" "Light"', 14],
])('%s: an error in %s is told at %i', (id, text, at) => {
  expect(wrong(id, text)?.[0]).toBe(at);
});
