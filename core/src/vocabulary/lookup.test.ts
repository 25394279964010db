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
      heading('Varve counts', ['yearly silt rows'], 'Ages read from banded mud.'),
      heading('Colds', ['common cold']),
      heading('Airway infections', ['colds in winter']),
      heading('Spectacles', []),
      heading('Diarrhoea', []),
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
  ['silt', 'Varve counts', 'part of an entry term', 'yearly silt rows'],
  ['slepiness', 'Sleepiness', 'likely misspelling', 'Sleepiness'],
  ['drowsynes', 'Sleepiness', 'likely misspelling', 'drowsiness'],
  ['age of banded mud', 'Varve counts', 'words of the scope note', 'Varve counts'],
  ['venous', 'Leg ulcers', 'in other words', 'venous ulcer'],
  ['snotty nose', 'Colds', 'in other words', 'snotty nose'],
  ['a child with a snotty nose', 'Colds', 'in other words', 'snotty nose'],
  ['diahorrea', 'Diarrhoea', 'likely misspelling', 'Diarrhoea'],
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

test('people say for a heading what they say for its label, or for an entry term that is no label', () => {
  const sayingsIn = (headings: Heading[]) => {
    const own = indexForLookup(indexVocabulary({ id: 'v', name: 'V', release: '2026-10-01', headings }));
    return lookUp(own, 'snotty nose').map(({ heading: { label } }) => label);
  };
  expect(sayingsIn([heading('Common ailments', ['colds'])])).toEqual(['Common ailments']);
  expect(sayingsIn([heading('Common ailments', ['colds']), heading('Colds', [])])).toEqual(['Colds']);
  expect(sayingsIn([heading('Common ailments', ['coldness'])])).toEqual([]);
});

test('words of one meaning lead to each other, after those that are the same', () => {
  expect(first('goggles')).toEqual(['Spectacles', 'part of a label', 'Spectacles']);
  expect(first('spectacles')?.[1]).toBe('same label');
});

test('where two things are typed, the headings of one do not hide the other', () => {
  const labels = lookUp(index, 'pressure ulcers in shift workers').map((hit) => hit.heading.label);
  expect(labels.slice(0, 2).sort()).toEqual(['Pressure ulcers', 'Shift workers']);
});

test('what is said of people tells more than that they are people', () => {
  const headings = [heading('Resident people', []), heading('Meal times', [])];
  const own = indexForLookup(indexVocabulary({ id: 'v', name: 'V', release: '2026-10-01', headings }));
  expect(lookUp(own, 'residents at meals')[0]?.heading.label).toBe('Meal times');
});

test('a name with the word as it was typed comes before one with another form of it', () => {
  const headings = [heading('Watch nursing', []), heading('Grove nurses', []), heading('Nurses', [])];
  const own = indexForLookup(indexVocabulary({ id: 'v', name: 'V', release: '2026-10-01', headings }));
  const labels = lookUp(own, 'nurses').map((hit) => hit.heading.label);
  expect(labels).toEqual(['Nurses', 'Grove nurses', 'Watch nursing']);
});

test('a word is not all of a name that says more in small words', () => {
  const headings = [heading('Aches of all kinds', ['pain all over']), heading('Pain relief', [])];
  const own = indexForLookup(indexVocabulary({ id: 'v', name: 'V', release: '2026-10-01', headings }));
  expect(lookUp(own, 'pain').map(({ reason }) => reason)).not.toContain('other form of an entry term');
});
