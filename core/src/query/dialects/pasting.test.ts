import fc from 'fast-check';
import { ALL, context, dialect, read, wrong } from '../../testing/dialectStrings.js';
import { childrenOf, type Query } from '../index.js';

const shape = (query: Query): string =>
  query.kind === 'words'
    ? query.phrase.map(({ text }) => text).join(' ')
    : query.kind === 'not'
      ? `(${shape(query.include)} − ${shape(query.exclude)})`
      : `(${childrenOf(query)
          .map(shape)
          .join(query.kind === 'and' ? ' ∧ ' : ' ∨ ')})`;

test('each dialect has its own precedence, and the same words are read differently', () => {
  expect(shape(read('corvane', 'a1 OR b1 AND c1 NOT d1'))).toBe('(a1 ∨ (b1 ∧ (c1 − d1)))');
  expect(shape(read('mindry', 'a1 OR b1 AND c1 NOT d1'))).toBe('(a1 ∨ ((b1 ∧ c1) − d1))');
  expect(shape(read('wardline', 'a1 or b1 and c1 not d1'))).toBe('(((a1 ∨ b1) ∧ c1) − d1)');
  expect(shape(read('assayhouse', "'a1' | 'b1' & 'c1' & !'d1'"))).toBe('(a1 ∨ ((b1 ∧ c1) − d1))');
  expect(shape(read('skein', 'a1 OR b1 c1 -d1'))).toBe('(((a1 ∨ b1) ∧ c1) − d1)');
  expect(shape(read('corvane', 'a1 NOT b1 OR c1'))).toBe('((a1 − b1) ∨ c1)');
  expect(shape(read('skein', 'in:title (a1 OR "b1 c1") d1'))).toBe('((a1 ∨ b1 c1) ∧ d1)');
});

describe('a string pasted from one dialect into another is not silently read another way', () => {
  /** Operands and operators as people of each database type them, without parentheses. */
  const typed: Record<string, { word: (word: string) => string; and: string; or: string; not: string }> = {
    corvane: { word: (word) => word, and: ' AND ', or: ' OR ', not: ' NOT ' },
    wardline: { word: (word) => word, and: ' and ', or: ' or ', not: ' not ' },
    mindry: { word: (word) => word, and: ' AND ', or: ' OR ', not: ' NOT ' },
    assayhouse: { word: (word) => `'${word}'`, and: ' & ', or: ' | ', not: ' & !' },
    skein: { word: (word) => word, and: ' ', or: ' OR ', not: ' -' },
  };
  const finds = (query: Query, held: ReadonlySet<string>): boolean => {
    switch (query.kind) {
      case 'and':
        return query.operands.every((each) => finds(each, held));
      case 'or':
        return query.operands.some((each) => finds(each, held));
      case 'not':
        return finds(query.include, held) && !finds(query.exclude, held);
      case 'words':
        return query.phrase.length === 1 && held.has(query.phrase[0]?.text ?? '');
      default:
        throw new Error(`${query.kind} was not typed`);
    }
  };
  const WORDS = ['a1', 'b1', 'c1', 'd1'];

  test.each(ALL.flatMap((from) => ALL.filter((to) => to !== from).map((to) => [from, to])))(
    'from %s into %s',
    (from, to) => {
      const operators = fc.array(fc.constantFrom('and', 'or', 'not' as const), {
        minLength: 1,
        maxLength: 3,
      });
      fc.assert(
        fc.property(operators, fc.subarray(WORDS), (chosen, held) => {
          const form = typed[from];
          if (form === undefined) throw new Error(from);
          const text = WORDS.slice(0, chosen.length + 1)
            .map((word, i) => (i === 0 ? '' : form[chosen[i - 1] as 'and']) + form.word(word))
            .join('');
          const there = dialect(to).parse(text, context);
          if (!there.ok || there.cautions.length > 0) return;
          const set = new Set(held);
          expect([text, finds(there.query, set)]).toEqual([text, finds(read(from, text), set)]);
        }),
        { numRuns: 400 },
      );
    },
  );

  test.each([
    ['mindry', 'title("light") AND sleep', 5],
    ['skein', 'title("light")', 5],
    ['assayhouse', 'title("light")', 5],
    ['wardline', 'title("light")', 5],
    ['corvane', 'title:"light"', 5],
    ['skein', 'title:"light"', 0],
    ['corvane', 'year:[2005 TO 2026]', 4],
    ['mindry', 'year(2005..2026)', 4],
    ['corvane', '"light therapy"~3', 15],
    ['skein', '"light therapy"~3', 15],
    ['corvane', 'night shift', 6],
    ['mindry', 'night shift', 6],
    ['wardline', 'night shift', 6],
    ['assayhouse', 'night', 0],
    ['corvane', 'night OR -day', 9],
    ['mindry', '-day', 0],
    ['wardline', '-day', 0],
    ['mindry', "title ~ 'light'", 6],
    ['skein', "title ~ 'light'", 6],
    ['skein', 'night AND day', 6],
    ['wardline', 'el.title = "light"', 0],
    ['mindry', 'wn.title = "light"', 9],
  ])('%s refuses %s at %i', (id, text, at) => {
    expect(wrong(id, text)?.[0]).toBe(at);
  });
});

test('operators side by side are cautioned about where databases differ, and not where they agree', () => {
  const cautions = (id: string, text: string) => {
    const result = dialect(id).parse(text, context);
    return result.ok ? result.cautions.map(({ at }) => at) : null;
  };
  expect(cautions('wardline', 'a1 or b1 and c1')).toEqual([9]);
  expect(cautions('corvane', 'a1 OR b1 AND c1')).toEqual([9]);
  expect(cautions('skein', 'a1 OR b1 c1')).toEqual([9]);
  expect(cautions('assayhouse', "'a1' | 'b1' & 'c1'")).toEqual([12]);
  expect(cautions('mindry', 'a1 AND (b1 OR c1) NOT d1')).toEqual([]);
});
