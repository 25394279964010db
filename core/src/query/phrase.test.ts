import { parsePhrase, printPhrase } from './index.js';

test.each([
  ['"night shift*"', 'night shift*'],
  ['  Night-Shift ', 'night shift'],
  ['Ménière’s disease', 'meniere disease'],
  ['wom?n*', 'wom?n*'],
  ['5,000 lux', '5 000 lux'],
])('%s is read as the words %s', (text, words) => {
  const result = parsePhrase(text);
  expect(result.ok && printPhrase(result.phrase)).toBe(words);
});

test.each([
  ['', 'empty', 0],
  ['""', 'empty', 1],
  ['a*', 'pattern-too-short', 0],
  ['night a*', 'pattern-too-short', 6],
  ['"night shift', 'unbalanced-quote', 0],
  ['"night" "shift"', 'unbalanced-quote', 6],
  ['the*rapy', 'star-not-at-end', 3],
  ['—', 'no-letters', 0],
  ['x'.repeat(10_000), 'too-long', 1000],
])('%.20s is refused as %s at %i', (text, problem, at) => {
  expect(parsePhrase(text)).toMatchObject({ ok: false, error: { problem, at } });
});
