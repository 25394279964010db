import fc from 'fast-check';
import { query as anyQuery } from '../testing/arbitraries.js';
import { read } from '../testing/dialectStrings.js';
import { plainReading, plainSentence } from './index.js';

test.each([
  ['words("night shift*")', '“night shift*” with any ending in title, abstract or keywords'],
  ['title("light")', 'light in the title'],
  ['near(3, "bright", "light")', 'bright within 3 words of light, in title, abstract or keywords'],
  ['heading("Light", narrower, central)', 'the heading Light, with narrower, central'],
  [
    'heading("Light", subheading: "dose")',
    'the heading Light, alone, without narrower, with the subheading dose',
  ],
  ['year(2005..2026)', 'of the years 2005 to 2026'],
  ['year(2005..)', 'of 2005 or after'],
  ['year(..1999)', 'of 1999 or before'],
  ['year(2005)', 'of the year 2005'],
  ['language("English", "German")', 'language English or German'],
  ['line(1) AND line(2)', 'L1 and L2'],
  ['(line(1) OR line(2)) NOT line(3)', '(L1 or L2) but not L3'],
  ['all()', 'all records'],
])('%s reads “%s”', (text, said) => {
  expect(plainSentence(read('corvane', text))).toBe(said);
});

test('operators stand over what they join', () => {
  expect(plainReading(read('corvane', '(title("a") OR title("b")) NOT title("c")'))).toEqual({
    text: 'those with',
    parts: [
      {
        text: 'any of',
        parts: [
          { text: 'a in the title', parts: [] },
          { text: 'b in the title', parts: [] },
        ],
      },
      { text: 'but not', parts: [{ text: 'c in the title', parts: [] }] },
    ],
  });
});

test('every query can be said', () => {
  fc.assert(
    fc.property(anyQuery, (query) => plainSentence(query).trim() !== '' && plainReading(query).text !== ''),
  );
});
