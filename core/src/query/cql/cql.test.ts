import fc from 'fast-check';
import { query } from '../../testing/arbitraries.js';
import { normaliseQuery, parseCql, printCql } from '../index.js';

const options = { vocabulary: 'tree', limitFields: ['language'] };

test('any query, printed and read again, is the same query', () => {
  fc.assert(
    fc.property(query, fc.constantFrom('tree', 'another'), (anyQuery, vocabulary) => {
      const result = parseCql(printCql(anyQuery, { vocabulary }), { ...options, vocabulary });
      expect(result).toMatchObject({ ok: true, query: normaliseQuery(anyQuery) });
    }),
    { numRuns: 2000 },
  );
});

test('printing is stable: canonical text is a fixed point', () => {
  fc.assert(
    fc.property(query, (anyQuery) => {
      const text = printCql(anyQuery, options);
      const result = parseCql(text, options);
      expect(result.ok && printCql(result.query, options)).toBe(text);
    }),
  );
});

test('no text makes the parser throw, and every error has a place inside the text', () => {
  const piece = fc.constantFrom(
    'el.words',
    '=',
    '"',
    '(',
    ')',
    'and',
    'prox',
    '/',
    'distance',
    '<=',
    '3',
    '\\',
    'a*',
    '*',
    '?',
    'x',
    ' ',
    '^',
    'sortby',
    'el.heading',
    '==',
    '/el.narrower',
    'el.year',
    'within',
    '"2005 2026"',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.array(piece).map((pieces) => pieces.join(' ')),
      ),
      (text) => {
        const result = parseCql(text, options);
        if (result.ok) return;
        expect(result.error.at).toBeGreaterThanOrEqual(0);
        expect(result.error.at).toBeLessThanOrEqual(text.length);
        expect(result.error.message).not.toBe('');
      },
    ),
    { numRuns: 2000 },
  );
});

test.each([
  ['a or b and c', '(el.words = "a" or el.words = "b") and el.words = "c"'],
  ['a and b or c', '(el.words = "a" and el.words = "b") or el.words = "c"'],
  ['a not b not c', '(el.words = "a" not el.words = "b") not el.words = "c"'],
  ['el.words any "nurse midwife"', 'el.words = "nurse" or el.words = "midwife"'],
  ['dc.title = "bright light"', 'el.title = "bright light"'],
  ['el.year > 2004', 'el.year >= 2005'],
  [
    'el.title = "bright light" prox/unit=word/distance<=3 el.words = "therap*"',
    'el.title = "bright light" prox/unit=word/distance<=3 el.words = "therap*"',
  ],
  [
    'el.heading ==/el.narrower/el.subheading="effects" "Light"',
    'el.heading ==/el.narrower/el.subheading="effects" "Light"',
  ],
])('%s is read as %s', (text, canonical) => {
  const result = parseCql(text, options);
  expect(result.ok && printCql(result.query, options)).toBe(canonical);
});

test.each([
  ['', 10, 0],
  ['(light or dark', 13, 14],
  ['light or dark)', 13, 13],
  ['el.words = "light', 14, 11],
  ['light and', 10, 9],
  ['el.colour = red', 16, 0],
  ['zz.words = red', 15, 0],
  ['el.words = "a*"', 29, 12],
  ['el.words = "li*t"', 28, 14],
  ['el.words = ""', 27, 12],
  ['el.words within "a b"', 19, 0],
  ['light prox/unit=sentence dark', 42, 11],
  ['light prox/distance<=0 dark', 41, 11],
  ['(a and b) prox c', 44, 10],
  ['el.year = 05', 36, 10],
  ['cql.resultSetId = "first"', 51, 19],
  ['el.words = "^light"', 31, 12],
  ['el.heading ==/el.loud "Light"', 20, 14],
])('%s answers diagnostic %i at %i', (text, diagnostic, at) => {
  expect(parseCql(text, options)).toMatchObject({ ok: false, error: { diagnostic, at } });
});

test('a query of a thousand nested parentheses is refused, not crashed on', () => {
  const text = '('.repeat(1000) + 'a' + ')'.repeat(1000);
  expect(parseCql(text, options)).toMatchObject({ ok: false, error: { diagnostic: 13 } });
});

test('a chain of ten thousand operands is read without deep recursion', () => {
  const text = Array.from({ length: 10_000 }, (_, i) => `w${i}`).join(' or ');
  const result = parseCql(text, options);
  expect(result.ok && result.query.kind === 'or' && result.query.operands.length).toBe(10_000);
});

test.each([
  ['> t = "info:srw/cql-context-set/1/dc-v1.1" t.title = light', 'dc.title = light'],
  ['> "info:srw/cql-context-set/1/dc-v1.1" title = light', 'dc.title = light'],
  [
    '(> x = "urn:even-lantern:context-set" x.words = light) and dc.title = naps',
    'el.words = light and dc.title = naps',
  ],
  [
    '> a="info:srw/cql-context-set/1/dc-v1.1" > b="urn:even-lantern:context-set" a.title=x or b.words=y',
    'dc.title=x or el.words=y',
  ],
])('the prefixes of %s stand for their context sets', (mapped, plain) => {
  const [a, b] = [parseCql(mapped, options), parseCql(plain, options)];
  expect(a.ok && b.ok && printCql(a.query, options) === printCql(b.query, options)).toBe(true);
});

test('a prefix holds within its parentheses only, and a context set that is not known is told with its place', () => {
  expect(
    parseCql('(> x = "urn:even-lantern:context-set" x.words = a) and x.words = b', options),
  ).toMatchObject({
    ok: false,
    error: { diagnostic: 15 },
  });
  expect(parseCql('> x = "urn:lamps" x.title = a', options)).toMatchObject({
    ok: false,
    error: { diagnostic: 15, at: 6 },
  });
  for (const cut of ['>', '> x', '> x =', '> x = "urn:even-lantern:context-set"']) {
    expect(parseCql(cut, options).ok).toBe(false);
  }
});
