import fc from 'fast-check';
import { query as anyQuery } from '../../testing/arbitraries.js';
import { childrenOf, normaliseQuery, type Query } from '../index.js';
import { DIALECTS, type DialectContext } from './index.js';

const context: DialectContext = { vocabulary: 'tree', limitFields: ['language'] };
const dialect = (id: string) => {
  const found = DIALECTS.get(id);
  if (found === undefined) throw new Error(`no dialect ${id}`);
  return found;
};
const read = (id: string, text: string, more: Partial<DialectContext> = {}): Query => {
  const result = dialect(id).parse(text, { ...context, ...more });
  if (!result.ok) throw new Error(`${result.error.message} at ${result.error.at}`);
  return result.query;
};
const printed = (id: string, text: string) => dialect(id).print(read('corvane', text), context);
const wrong = (id: string, text: string) => {
  const result = dialect(id).parse(text, context);
  return result.ok ? null : [result.error.at, result.error.message];
};

describe.each([...DIALECTS.keys()])('in the dialect of %s', (id) => {
  test('what is printed without a loss is read as the same query', () => {
    let without = 0;
    fc.assert(
      fc.property(anyQuery, (query) => {
        const { text, losses } = dialect(id).print(query, context);
        const result = dialect(id).parse(text, context);
        expect(result).toMatchObject({ ok: true });
        if (losses.length > 0) return;
        without += 1;
        expect(result).toEqual({ ok: true, query: normaliseQuery(query) });
      }),
      { numRuns: 1500 },
    );
    expect(without).toBeGreaterThan(300);
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
      ...['OR', 'NOT', '*', 'sleep*', '?', '\\', 'year', 'descriptor', 'TO', 'near', '*:*', 'narrower'],
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
      { numRuns: 1500 },
    );
  });

  test('deep nesting and great length are refused, not run into', () => {
    expect(wrong(id, '('.repeat(5000))?.[1]).toMatch(/nested too deeply/);
    expect(wrong(id, 'a '.repeat(600_000))?.[1]).toMatch(/1000000 is the most/);
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
});

test('each dialect has its own precedence, and the same words are read differently', () => {
  const shape = (query: Query): string =>
    query.kind === 'words'
      ? query.phrase.map(({ text }) => text).join(' ')
      : query.kind === 'not'
        ? `(${shape(query.include)} − ${shape(query.exclude)})`
        : `(${childrenOf(query)
            .map(shape)
            .join(query.kind === 'and' ? ' ∧ ' : ' ∨ ')})`;
  expect(shape(read('corvane', 'a1 OR b1 AND c1 NOT d1'))).toBe('(a1 ∨ (b1 ∧ (c1 − d1)))');
  expect(shape(read('mindry', 'a1 OR b1 AND c1 NOT d1'))).toBe('(a1 ∨ ((b1 ∧ c1) − d1))');
  expect(shape(read('corvane', 'a1 NOT b1 OR c1'))).toBe('((a1 − b1) ∨ c1)');
});

test('a string pasted from one dialect into another is refused where it could be read another way', () => {
  expect(wrong('mindry', 'title("light") AND sleep')?.[1]).toMatch(/Expected/);
  expect(wrong('corvane', 'title:"light"')?.[0]).toBe(5);
  expect(wrong('corvane', 'year:[2005 TO 2026]')?.[0]).toBe(4);
  expect(wrong('mindry', 'year(2005..2026)')?.[0]).toBe(4);
  expect(wrong('corvane', '"light therapy"~3')).not.toBeNull();
});

test.each([...DIALECTS.keys()])('%s: words that are operators elsewhere are searched as words', (id) => {
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
      ['descriptor:"Light"', 'central', 'widens'],
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
    for (const id of DIALECTS.keys()) {
      expect(dialect(id).print(near, context).losses).toMatchObject([{ effect: 'widens' }]);
    }
  });
});

test('words without a call are joined with the heading they are an entry term of', () => {
  const headingFor = (words: string) => (words === 'bright light' ? 'Light therapy' : null);
  expect(read('corvane', 'bright light AND nurses', { headingFor })).toMatchObject({
    kind: 'and',
    operands: [
      {
        kind: 'or',
        operands: [{ kind: 'words' }, { kind: 'heading', label: 'Light therapy', narrower: true }],
      },
      { kind: 'words' },
    ],
  });
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
])('%s: an error in %s is told at %i', (id, text, at) => {
  expect(wrong(id, text)?.[0]).toBe(at);
});
