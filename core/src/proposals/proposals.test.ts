import fc from 'fast-check';
import { parsePhrase } from '../query/index.js';
import { naiveWords } from '../testing/naive.js';
import { apartVariants, areKin, bestCut, commonestWord, cutsOf, readPasted, variantsOf } from './index.js';

const known = (words: Record<string, number>) =>
  Object.entries(words).map(([word, hits]) => ({ word, hits }));

test('the best cut takes in the forms of a word and leaves out its neighbours', () => {
  const words = known({ nurse: 90, nurses: 80, nursing: 70, nursery: 12, nurseries: 5, nurtured: 9 });
  const cut = bestCut(cutsOf('nurses', words));
  expect(cut?.stem).toBe('nurs');
  expect(cut?.words.map(({ word, kin }) => word + (kin ? '' : '!'))).toEqual([
    'nurse', 'nurses', 'nursing', 'nursery!', 'nurseries!',
  ]); // prettier-ignore
});

test('where a shorter cut brings in many strangers, the longer one is best', () => {
  const words = known({ light: 50, lights: 20, lighting: 30, lightning: 90, ligament: 400 });
  expect(bestCut(cutsOf('lights', words))?.stem).toBe('lights');
  expect(cutsOf('light', words).map(({ stem }) => stem)).toEqual(['light', 'ligh', 'lig']);
});

test('a stem is judged by the word it stands for most often', () => {
  const words = known({ sleepiness: 376, sleeping: 36, sleepier: 2 });
  expect(commonestWord('sleepi', words)).toBe('sleepiness');
  expect(
    cutsOf(commonestWord('sleepi', words), words)
      .at(-1)
      ?.words.every(({ kin }) => kin),
  ).toBe(true);
  expect(commonestWord('zz', words)).toBe('zz');
});

test.each([
  ['therapy', 'therapeutic', true],
  ['sleep', 'sleepiness', true],
  ['randomised', 'randomly', true],
  ['ward', 'wardrobe', false],
  ['light', 'lightning', false],
])('%s and %s are kin: %s', (one, other, kin) => {
  expect([areKin(one, other), areKin(other, one)]).toEqual([kin, kin]);
});

const written = (typed: string, names: string[] = []) =>
  variantsOf(typed, names).map(
    ({ text, near, reason }) => `${text}${near === null ? '' : ` ~${near}`}: ${reason}`,
  );

test('a phrase is offered with its words near each other, in both spellings, together, and in number', () => {
  expect(written('night shift')).toEqual([
    'night shift ~3: words near each other',
    '"night shifts": plural',
    'nightshift: written together',
  ]);
  expect(written('behaviour programme')).toEqual(
    expect.arrayContaining(['"behavior program": American spelling', '"behaviour programmes": plural']),
  );
  expect(written('pediatric anesthesia')).toContain('"paediatric anaesthesia": British spelling');
});

test('numbers, Greek letters and plurals have their other form', () => {
  expect(written('twelve-hour shifts')).toEqual(
    expect.arrayContaining(['"12 hour shifts": number as a figure', '"twelve hour shift": singular']),
  );
  expect(written('40 minutes')).toContain('"forty minutes": number as a word');
  expect(written('interferon alpha')).toContain('"interferon α": Greek letter');
  expect(written('β blocker')).toContain('"beta blocker": letter by name');
  expect(written('therapies')).toEqual(['therapy: singular']);
  expect(written('diagnosis')).not.toContain('diagnosi: singular');
});

test('names from a vocabulary are offered, abbreviations as such', () => {
  expect(written('bedsores', ['Pressure ulcers', 'bedsores', 'PU'])).toEqual(
    expect.arrayContaining(['"pressure ulcers": entry term', 'pu: abbreviation']),
  );
});

test('what is cut already is only put near, and what is no phrase has no variants', () => {
  expect(written('night* shift*')).toEqual(['night* shift* ~3: words near each other']);
  expect(variantsOf('"unclosed')).toEqual([]);
});

test('a word written together is offered in every way apart, for a count to choose from', () => {
  expect(apartVariants('bedsores').map(({ text }) => text)).toEqual([
    '"bed sores"',
    '"beds ores"',
    '"bedso res"',
  ]);
  expect([...apartVariants('nap'), ...apartVariants('night shift'), ...apartVariants('nightshif*')]).toEqual(
    [],
  );
});

const pasted = (text: string) =>
  readPasted(text).terms.map(
    ({ text: term, near, looksLikeHeading, duplicate }) =>
      `${term}${near === null ? '' : ` ~${near}`}${looksLikeHeading ? ' H' : ''}${duplicate ? ' again' : ''}`,
  );

test.each([
  ['night shift\nrotating shifts\n\nlamps', ['"night shift"', '"rotating shifts"', 'lamps']],
  ['night shift, rotating shifts; lamps', ['"night shift"', '"rotating shifts"', 'lamps']],
  ['nurse* OR midwi* OR "ward staff"', ['nurse*', 'midwi*', '"ward staff"']],
  ['(“night shift” or nightwork)', ['"night shift"', 'nightwork']],
  ['1. nurses\n2) midwives\n#3 porters\nS4 cleaners', ['nurses', 'midwives', 'porters', 'cleaners']],
  ['1  nurs$2\t12,345\n2  midwi*2  (872)', ['nurs*', 'midwi*']],
  ['wom#n or randomi?ed or behavio*r', ['wom?n', 'randomi?ed', 'behavio?r']],
  ['night shift.qq,zz. or sleep.zz.', ['"night shift"', 'sleep']],
  ['"bright light"[qq/rr] OR lamp*[qq]', ['"bright light"', 'lamp*']],
  ['zz:"night shift" or yy=(lamp or lantern)', ['"night shift"', 'lamp', 'lantern']],
  ["'bright light':qq,zz OR 'dim light'", ['"bright light"', '"dim light"']],
  ['QX "shift work" AND QY (sleep)', ['"shift work"', 'sleep']],
  ['wide Shift Work/ or Sleepiness/', ['Shift Work H', 'Sleepiness H']],
  ['light by3 therap*', ['light therap* ~3']],
  [
    '(light or lamp) q/5 (night or shift)',
    ['light night ~5', 'light shift ~5', 'lamp night ~5', 'lamp shift ~5'],
  ],
  ['"bright light"~4', ['bright light ~4']],
  ['lamp\nLamp\n"lamp"', ['lamp', 'lamp again', 'lamp again']],
  ['nurses not students', ['nurses', 'students']],
])('pasted %j', (text, expected) => {
  expect(pasted(text)).toEqual(expected);
});

test('lines that only join other lines are skipped, and said to be', () => {
  const { terms, skipped } = readPasted(
    '1. lamp\n2. lantern\n3. 1 or 2\n4. or/1-2\n#5 #1 AND (#2 OR #3)\n6. ***',
  );
  expect(terms.map(({ text, line }) => [text, line])).toEqual([
    ['lamp', 1],
    ['lantern', 2],
  ]);
  expect(skipped.map(({ line, reason }) => [line, reason])).toEqual([
    [3, 'joins other lines'],
    [4, 'joins other lines'],
    [5, 'joins other lines'],
    [6, 'no term in it'],
  ]);
});

test('what was left out around a term is told', () => {
  expect(readPasted('zz: "night shift"[qq]').terms[0]?.leftOut).toEqual(['zz:', '[qq]']);
});

test('an apostrophe within a word ends no quotation', () => {
  const terms = (text: string) => readPasted(text).terms.map((term) => term.text);
  expect(terms("'the carer's work' OR 'shift'")).toEqual(['"the carer work"', 'shift']);
  expect(terms("#1's work")).toEqual(['"1 work"']);
});

test('whatever is pasted, each term can be searched and its words were in the text', () => {
  const piece = fc.oneof(
    fc.constantFrom(
      'night shift',
      'lamp*',
      'OR',
      'and',
      '(',
      ')',
      '"',
      '“',
      '”',
      '[qq]',
      '.zz.',
      ':qq',
      '/',
      'beside3',
    ),
    fc.constantFrom(
      '\n',
      '\t',
      ' ',
      ',',
      ';',
      '#',
      '$',
      '?',
      '1.',
      '12,345',
      '~3',
      'wide',
      '|',
      "'",
      "0's",
      "'s",
      'ü',
      '\u0000',
    ),
    fc.string({ maxLength: 4 }),
  );
  fc.assert(
    fc.property(
      fc
        .tuple(fc.array(piece, { maxLength: 20 }), fc.constantFrom(' ', ''))
        .map(([parts, between]) => parts.join(between)),
      (text) => {
        // a mark for an unknown letter makes a word of what otherwise is a possessive: 0's#x
        const all = [...naiveWords(text), ...naiveWords(text.normalize('NFKC').replace(/['’ʼ]/g, ' '))].join(
          '',
        );
        for (const term of readPasted(text).terms) {
          if (!term.looksLikeHeading) expect(parsePhrase(term.text).ok).toBe(true);
          for (const word of naiveWords(term.text)) expect(all).toContain(word);
        }
      },
    ),
    { numRuns: 3000 },
  );
});

test('a megabyte is read without delay, and more is told', () => {
  const result = readPasted('nurse OR midwi* OR "ward staff"\n'.repeat(40_000));
  expect(result.cut).toBe(true);
  expect(result.terms.length).toBeGreaterThanOrEqual(2000);
  expect(readPasted(`${'('.repeat(100_000)}lamp`).terms.length).toBeLessThanOrEqual(1);
  expect(readPasted(`${'a'.repeat(500_000)}`).terms).toEqual([]);
});

test.each([
  ['Night Work/ 1,204', ['Night Work H']],
  ['*Night Work/ or *"Shift Work"/', ['Night Work H', 'Shift Work H']],
  ['ZH "Sleep Problems+"', ['Sleep Problems H']],
  ['lamp*.zq,zz. 33,871', ['lamp*']],
  ['Light Therapy/mt, ae or lamps', ['Light Therapy H', 'lamps']],
  ['wom[ae]n or organi[sz]ation*', ['wom?n', 'organi?ation*']],
  ['night adj duty', ['night duty ~1']],
  ['<b>night shift</b> &amp; &quot;day sleep&quot;', ['"night shift"', '"day sleep"']],
  ['&#60;lamp&#62; &#0; &#xfffff;', ['lamp']],
  ['TT nurs* OR AA porter*', ['nurs*', 'porter*']],
  ['1 | nurse* or midwi* | 54,321', ['nurse*', 'midwi*']],
  ['day sleep [all narrower terms]', ['"day sleep"']],
  ['lamp* AND english[zz] AND 2001:2020[yy]', ['lamp*']],
  ['ICU nurses', ['"icu nurses"']],
  ['nights and/or evenings', ['"nights and or evenings"']],
])('pasted %s: only its terms are read', (text, expected) => {
  expect(pasted(text).map((term) => term.toLowerCase())).toEqual(expected.map((term) => term.toLowerCase()));
});

test('terms behind NOT are told to have been left out', () => {
  const excluded = (text: string) =>
    readPasted(text).terms.map((term) => `${term.excluded ? '-' : ''}${term.text}`);
  expect(excluded('lamp* not jaundice')).toEqual(['lamp*', '-jaundice']);
  expect(excluded('lamp* AND NOT (mice OR rats) OR lantern')).toEqual(['lamp*', '-mice', '-rats', 'lantern']);
});

test.each([
  ['limit 4 to english', 'a limit or a date'],
  ['English language only', 'a limit or a date'],
  ['2015:2024', 'a limit or a date'],
  ['Searched on 12 March 2024', 'a limit or a date'],
  ['12,345', 'a header or a count'],
  ['No. Query Results', 'a header or a count'],
])('the line “%s” holds no terms, and is told to be %s', (text, reason) => {
  expect(readPasted(text)).toMatchObject({ terms: [], skipped: [{ line: 1, reason }] });
});
