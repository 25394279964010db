import { questionSentence, type ElementKey } from './index.js';

const sentence = (texts: Partial<Record<ElementKey, string>>) =>
  questionSentence(Object.entries(texts).map(([key, text]) => ({ key: key as ElementKey, text })));

test('all elements make one sentence', () => {
  expect(
    sentence({ P: 'night staff', I: 'bright light', C: 'dim light', O: 'sleepiness.', T: 'within a month' }),
  ).toBe('In night staff, does bright light, compared with dim light, affect sleepiness, within a month?');
});

test('what is missing is left out', () => {
  expect(sentence({})).toBe('');
  expect(sentence({ P: 'night staff', I: 'bright light', O: 'sleep' })).toBe(
    'In night staff, does bright light affect sleep?',
  );
  expect(sentence({ P: 'night staff', O: 'sleep' })).toBe('In night staff, what is the effect on sleep?');
});
