import { indexForLookup, indexVocabulary, lookUp, type Heading } from './index.js';

const heading = (label: string, entryTerms: string[], scopeNote = ''): Heading => ({
  label,
  entryTerms,
  scopeNote,
  broader: [],
  related: [],
  historyNote: null,
  subheadings: [],
});

const index = indexForLookup(
  indexVocabulary({
    id: 'tree',
    name: 'A tree',
    release: '2026-10-01',
    headings: [
      heading('Light therapy', ['bright light treatment', 'phototherapy'], 'For fittings use Lighting.'),
      heading('Lighting', ['lamps', 'luminaires'], 'Fittings and plans for rooms.'),
      heading('Pressure ulcers', ['bedsores', 'pressure sores'], 'Damage to skin from lying or sitting.'),
      heading('Leg ulcers', ['venous leg ulcers']),
      heading('Shift work', ['work in shifts'], 'Work at hours other than the usual day.'),
      heading('Shift workers', ['rota workers']),
      heading('Anaesthetists', []),
      heading('Sleepiness', ['drowsiness', 'feeling sleepy', 'trouble staying awake']),
      heading('Health programmes', []),
    ],
  }),
);
const first = (typed: string) => {
  const [hit] = lookUp(index, typed);
  return hit === undefined ? null : [hit.heading.label, hit.reason, hit.matched];
};

test.each([
  ['light therapy', 'Light therapy', 'same label', 'Light therapy'],
  ['LIGHT-THERAPY', 'Light therapy', 'same label', 'Light therapy'],
  ['shift workers', 'Shift workers', 'same label', 'Shift workers'],
  ['bedsore', 'Pressure ulcers', 'entry term', 'bedsores'],
  ['bed sores', 'Pressure ulcers', 'entry term', 'bedsores'],
  ['photo-therapy', 'Light therapy', 'entry term', 'phototherapy'],
  ['anesthetist', 'Anaesthetists', 'same label', 'Anaesthetists'],
  ['health program', 'Health programmes', 'same label', 'Health programmes'],
  ['ulcer of the leg', 'Leg ulcers', 'other form of a label', 'Leg ulcers'],
  ['venous', 'Leg ulcers', 'part of an entry term', 'venous leg ulcers'],
  ['slepiness', 'Sleepiness', 'likely misspelling', 'Sleepiness'],
  ['drowsynes', 'Sleepiness', 'likely misspelling', 'drowsiness'],
  ['damage from sitting', 'Pressure ulcers', 'words of the scope note', 'Pressure ulcers'],
  ['nurses who feel sleepy at night', 'Sleepiness', 'part of an entry term', 'feeling sleepy'],
  ['can’t stay sleepless', 'Sleepiness', 'part of an entry term', 'trouble staying awake'],
  ['does bright light treatment help', 'Light therapy', 'part of an entry term', 'bright light treatment'],
])('“%s” leads to %s: %s', (typed, label, reason, matched) => {
  expect(first(typed)).toEqual([label, reason, matched]);
});

test('while a word is being typed, names that begin with it are offered', () => {
  expect(lookUp(index, 'ulc').map(({ heading: { label } }) => label)).toEqual(
    expect.arrayContaining(['Leg ulcers', 'Pressure ulcers']),
  );
  expect(first('pressure ul')?.[0]).toBe('Pressure ulcers');
});

test('a sentence of a note that sends elsewhere does not bring in its heading', () => {
  expect(lookUp(index, 'fittings').map(({ heading: { label } }) => label)).toEqual(['Lighting']);
});

test('what leads nowhere gives no heading, and the surest come first', () => {
  expect(lookUp(index, 'zebra')).toEqual([]);
  expect(lookUp(index, '  ')).toEqual([]);
  expect(lookUp(index, '<b>*?"')).toEqual([]);
  const scores = lookUp(index, 'light').map(({ score }) => score);
  expect(scores).toEqual([...scores].sort((a, b) => b - a));
  expect(lookUp(index, 'light', 1)).toHaveLength(1);
});
