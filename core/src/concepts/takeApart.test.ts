import fc from 'fast-check';
import { parsePhrase } from '../query/index.js';
import { indexForLookup, indexVocabulary, type Heading } from '../vocabulary/index.js';
import { MOST_CONCEPTS, takeApart } from './takeApart.js';

const heading = (label: string, broader: string[] = [], entryTerms: string[] = []): Heading => ({
  label,
  entryTerms,
  scopeNote: '',
  broader,
  related: [],
  historyNote: null,
  subheadings: [],
});

const headings = [
  heading('People'),
  heading('Older adults', ['People'], ['older people', 'the elderly']),
  heading('Health workers', ['People']),
  heading('Nurses', ['Health workers'], ['nurse', 'nursing staff']),
  heading('Doctors', ['Health workers'], ['physicians']),
  heading('Conditions'),
  heading('Dementia', ['Conditions'], ['memory loss disease']),
  heading('Pain', ['Conditions'], ['ache', 'pain after surgery']),
  heading('Depression', ['Conditions'], ['low mood']),
  heading('Places'),
  heading('Care homes', ['Places'], ['nursing homes', 'homes for the aged']),
  heading('Night work', ['Conditions'], ['night shift', 'working nights']),
  heading('Rotating shifts', ['Conditions']),
  heading('Massage', [], ['hand massage']),
  heading('Bright light', [], ['bright light treatment', 'exposure to bright light']),
  heading('Quality of sleep', [], ['sleep quality']),
  heading('Colds', ['Conditions']),
  heading('Burnout', ['Conditions']),
  heading('Fatigue', ['Conditions'], ['worn out']),
  heading('On-call duty', [], ['being on call']),
];
const index = indexForLookup(indexVocabulary({ id: 'v', name: 'V', release: '2026-01-01', headings }));
const parts = (text: string) =>
  takeApart(index, text).concepts.map(
    (concept) => `${concept.text}: ${concept.headings.map(({ label }) => label).join(', ')}`,
  );

test('a clause of several concepts is parted into them, in order', () => {
  expect(parts('older people with dementia in care homes')).toEqual([
    'older people: Older adults',
    'dementia: Dementia',
    'care homes: Care homes',
  ]);
});

test('what people say for a heading names it, unless names of the vocabulary stand in it', () => {
  expect(parts('a snotty nose in nurses')).toEqual(['snotty nose: Colds', 'nurses: Nurses']);
  expect(parts('nurse burnout')).toEqual(['nurse: Nurses', 'burnout: Burnout']);
});

test('a concept holds all of its name, also where the first or last word says nothing by itself', () => {
  expect(parts('doctors on call')).toEqual(['doctors: Doctors', 'on call: On-call duty']);
  expect(parts('doctors on the call')).toEqual(['doctors: Doctors', 'call: On-call duty']);
  expect(parts('worn out doctors')).toEqual(['worn out: Fatigue', 'doctors: Doctors']);
  expect(parts('worn. Out of doctors')).toEqual(['worn: Fatigue', 'doctors: Doctors']);
});

test('the longest name counts, also across small words', () => {
  expect(parts('homes for the aged')).toEqual(['homes for the aged: Care homes']);
  expect(parts('the quality of their sleep')).toEqual(['quality of their sleep: Quality of sleep']);
});

test('words beside a name belong to it, and such as say nothing do not', () => {
  expect(parts('effects of timed bright light')).toEqual(['timed bright light: Bright light']);
  expect(parts('timed exposure to bright light')).toEqual(['timed exposure to bright light: Bright light']);
  expect(parts('nurses who can’t stop')).toEqual(['nurses: Nurses', 'can’t stop: ']);
  expect(parts('patients with dementia')).toEqual(['dementia: Dementia']);
});

test('alternatives are one concept: “or”, and “and” between headings that stand together', () => {
  expect(parts('night or rotating shifts')).toEqual([
    'night or rotating shifts: Night work, Rotating shifts',
  ]);
  expect(takeApart(index, 'night or rotating shifts').concepts[0]?.words).toEqual([
    '"night shift*"',
    '"rotating shift*"',
    '"night work*"',
    '"working night*"',
  ]);
  expect(parts('nurses and doctors')).toEqual(['nurses and doctors: Nurses, Doctors']);
  expect(parts('pain and nurses')).toEqual(['pain: Pain', 'nurses: Nurses']);
});

test('what has no heading is a concept of words', () => {
  const { concepts } = takeApart(index, 'sand trays for nurses');
  expect(concepts.map(({ text, headings, words }) => [text, headings.length, words])).toEqual([
    ['sand trays', 0, ['"sand tray*"']],
    ['nurses', 1, ['nurse*', '"nursing staff"']],
  ]);
});

test('a slip of the fingers still leads to the heading, and says so', () => {
  const [concept] = takeApart(index, 'dementa').concepts;
  expect(concept?.words).toEqual(['dementia', '"memory loss disease*"']);
  expect(concept?.headings).toEqual([
    { label: 'Dementia', matched: 'Dementia', reason: 'likely misspelling' },
  ]);
});

test('the parts of a question are told where the sentence tells them', () => {
  const roles = (text: string) => takeApart(index, text).concepts.map(({ role }) => role);
  expect(roles('In nurses, does bright light, compared with massage, affect pain?')).toEqual([
    'population',
    'intervention',
    'comparison',
    'outcome',
  ]);
  expect(roles('hand massage for pain in older people')).toEqual(['intervention', 'outcome', 'population']);
  expect(roles('massage for older people')).toEqual(['intervention', 'population']);
  expect(roles('nurses and their sleepiness, and massage for it')).toEqual([
    'population',
    null,
    'intervention',
  ]);
  expect(roles('dementia')).toEqual([null]);
});

test('where nothing can be searched for, there is no concept', () => {
  for (const text of ['', '   ', '?!', 'what is the effect of', 'does it help more than others do'])
    expect(takeApart(index, text)).toEqual({ concepts: [], unread: null });
});

test('what is named twice is proposed once', () => {
  expect(parts('pain in nurses; ache, nursing staff')).toEqual(['pain: Pain', 'nurses: Nurses']);
});

test('of a long text the rest is told to be unread', () => {
  const text = 'nurses pain '.repeat(300);
  const { concepts, unread } = takeApart(index, text);
  expect(concepts.length).toBeLessThanOrEqual(MOST_CONCEPTS);
  expect(unread).toBe(text.indexOf('nurses', 200 * 'nurses pain '.length));
});

test('whatever is written: concepts stand in the text one after the other, and can be searched for', () => {
  const words = [...headings.flatMap(({ label, entryTerms }) => [label, ...entryTerms]), 'of', 'and', 'or', ', ', 'who',
    'effect', '"', '*', '(', 'compared with', 'Ångström', '12', '\n', '夜勤', 'İ', 'x'.repeat(200)]; // prettier-ignore
  const text = fc.oneof(
    fc.string({ unit: 'grapheme', maxLength: 80 }),
    fc.array(fc.constantFrom(...words), { maxLength: 20 }).map((all) => all.join(' ')),
  );
  const known = new Set(headings.map(({ label }) => label));
  fc.assert(
    fc.property(text, (written) => {
      let end = 0;
      for (const concept of takeApart(index, written).concepts) {
        expect(concept.from).toBeGreaterThanOrEqual(end);
        expect(concept.to).toBeGreaterThan(concept.from);
        expect(written.slice(concept.from, concept.to)).toBe(concept.text);
        end = concept.to;
        expect(concept.headings.every(({ label }) => known.has(label))).toBe(true);
        expect(concept.words.map((each) => [each, parsePhrase(each).ok])).toEqual(
          concept.words.map((each) => [each, true]),
        );
      }
    }),
    { numRuns: 400 },
  );
});

test.each<[string, string[]]>([
  // Verbs stand between concepts.
  ['does massage prevent falls in care homes?', ['massage', 'falls', 'care homes']],
  ['does bullying lead to burnout', ['bullying', 'burnout']],
  ['lead poisoning in nurses', ['lead poisoning', 'nurses']],
  // What is left out is none; what a question denies is asked for all the same.
  ['pain without dementia', ['pain']],
  ['massage NOT bright light for pain', ['massage', 'pain']],
  ['massage, but not bright light, for pain', ['massage', 'pain']],
  ['massage other than reflexology for pain', ['massage', 'pain']],
  ['doctors w/ low mood w/out dementia', ['doctors', 'low mood']],
  ['massage for nurses not in care homes', ['massage', 'nurses']],
  ['massage with or without bright light', ['massage', 'bright light']],
  ['massage w/ or w/out bright light', ['massage', 'bright light']],
  ['why do doctors not report pain', ['doctors', 'report pain']],
  ['is massage no better than bright light for pain', ['massage', 'bright light', 'pain']],
  // Messages greet and take their leave.
  ['Hi all, hope you are well! Does massage ease pain? Many thanks, Oda', ['massage', 'pain']],
  ['Dear colleagues, massage for pain, please', ['massage', 'pain']],
  ['patients’ wishes after massage', ['wishes', 'massage']],
  ['hand hygiene in weight control after early massage', ['hand hygiene', 'weight control', 'early massage']],
  // People are a concept too, and what belongs to them another.
  ['women with dementia', ['women', 'dementia']],
  ['nurses’ burnout and students’ low mood', ['nurses', 'burnout', 'students', 'low mood']],
  // What something is compared with by habit is none, also by itself.
  ['massage compared with usual care for pain', ['massage', 'pain']],
  ['usual care', []],
  ['no treatment', []],
  ['English only', []],
])('“%s” is of %j', (text, expected) => {
  expect(takeApart(index, text).concepts.map((concept) => concept.text)).toEqual(expected);
});
