import fc from 'fast-check';
import { american, british, foldWord, slips } from './index.js';

test.each([
  ['randomised', 'randomized'],
  ['hospitalisation', 'hospitalization'],
  ['analysed', 'analyzed'],
  ['behavioural', 'behavioral'],
  ['tumours', 'tumors'],
  ['centre', 'center'],
  ['fibres', 'fibers'],
  ['haemorrhage', 'hemorrhage'],
  ['anaemia', 'anemia'],
  ['ischaemic', 'ischemic'],
  ['paediatrics', 'pediatrics'],
  ['anaesthetist', 'anesthetist'],
  ['gynaecology', 'gynecology'],
  ['oesophagus', 'esophagus'],
  ['oestrogen', 'estrogen'],
  ['oedema', 'edema'],
  ['foetal', 'fetal'],
  ['diarrhoea', 'diarrhea'],
  ['dyspnoea', 'dyspnea'],
  ['sulphate', 'sulfate'],
  ['dialogue', 'dialog'],
  ['programmes', 'programs'],
  ['defence', 'defense'],
  ['counselling', 'counseling'],
  ['ageing', 'aging'],
  ['caesarean', 'cesarean'],
])('%s and %s are one word', (one, other) => {
  expect([american(one), british(other)]).toEqual([other, one]);
  expect(foldWord(one)).toBe(foldWord(other));
});

test.each([
  'exercise', 'rise', 'noise', 'surprise', 'supervised', 'size', 'prize', 'falling', 'killed', 'four', 'hour',
  'after', 'doctor', 'metered', 'chemistry', 'wise', 'disease', 'raised', 'seller', 'caller',
])('%s has one spelling', (word) => {
  expect([american(word), british(word)]).toEqual([word, word]);
}); // prettier-ignore

test('words of one family fold to the same letters', () => {
  expect(new Set(['nurse', 'nurses', 'nursing'].map(foldWord)).size).toBe(1);
  expect(foldWord('sleepy')).toBe(foldWord('sleepiness'));
  expect(foldWord('night')).not.toBe(foldWord('nine'));
});

test.each([
  ['insomia', 'insomnia', 1],
  ['caffiene', 'caffeine', 1],
  ['sleep', 'sleep', 0],
  ['ward', 'word', 1],
  ['', 'abc', 3],
])('from %s to %s it is %d slips', (a, b, expected) => {
  expect(slips(a, b, 3)).toBe(expected);
});

test('slips are the same in both directions, and never fewer than the lengths differ', () => {
  const word = fc.stringMatching(/^[a-d]{0,7}$/);
  fc.assert(
    fc.property(word, word, (a, b) => {
      const count = slips(a, b, 9);
      expect(slips(b, a, 9)).toBe(count);
      expect(count).toBeGreaterThanOrEqual(Math.abs(a.length - b.length));
      expect(count === 0).toBe(a === b);
      expect(Math.min(slips(a, b, 1), 2)).toBe(Math.min(count, 2));
    }),
  );
});
