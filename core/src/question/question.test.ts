import {
  arrangeElements,
  elementShape,
  FRAMEWORK_IDS,
  frameworkOf,
  FRAMEWORKS,
  questionSentence,
  questionTypeOf,
  recommend,
  type ElementKey,
} from './index.js';

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

test('setting comes last, and elements of other frameworks are left out', () => {
  expect(sentence({ P: 'nurses', I: 'naps', O: 'errors', S: 'in acute hospitals', E: 'noise' })).toBe(
    'In nurses, does naps affect errors, in acute hospitals?',
  );
});

test.each([
  [
    'peo',
    { P: 'nurses', E: 'rotating shifts', O: 'burnout' },
    'In nurses, is rotating shifts linked to burnout?',
  ],
  ['peo', { E: 'noise' }, 'Is noise linked to …?'],
  [
    'pico-qualitative',
    { P: 'volunteers', PI: 'being woken on call', Co: 'in rural services' },
    'How do volunteers live with being woken on call, in rural services?',
  ],
  [
    'spider',
    {
      Sa: 'volunteers',
      PI: 'being woken',
      Ev: 'their family life',
      D: 'interviews',
      R: 'qualitative research',
    },
    'What do volunteers say of being woken, namely their family life, as studied by interviews, in qualitative research?',
  ],
  ['spider', {}, ''],
] as const)('a question by %s has its own sentence', (framework, texts, expected) => {
  const elements = Object.entries(texts).map(([key, text]) => ({ key: key as ElementKey, text }));
  expect(questionSentence(elements, framework)).toBe(expected);
});

test('what was written under another framework stays in view; what was left empty does not', () => {
  const element = (key: ElementKey, text: string) => ({ key, text, note: '', searched: false });
  const elements = [
    element('P', 'nurses'),
    element('I', 'naps'),
    element('C', ''),
    element('E', ''),
    element('O', ''),
  ];
  const { own, others } = arrangeElements('peo', elements, ({ text }) => text === '');
  expect(own.map(({ key }) => key)).toEqual(['P', 'E', 'O']);
  expect(others.map(({ key }) => key)).toEqual(['I']);
});

test('every framework has elements that have a shape, and searches on some of its own', () => {
  for (const { id, elements, searchedAtFirst } of FRAMEWORKS) {
    expect(frameworkOf(id).elements.map((key) => elementShape(key).name).length).toBe(elements.length);
    expect(searchedAtFirst.every((key) => elements.includes(key))).toBe(true);
  }
});

test('every framework is made for one type of question', () => {
  expect(FRAMEWORK_IDS.map((id) => [id, questionTypeOf(id)])).toEqual([
    ['pico', 'intervention'],
    ['peo', 'exposure'],
    ['pico-qualitative', 'experience'],
    ['spider', 'experience'],
  ]);
});

const suits = (degree: number) => ({ degree, because: 'Trials of every field' });

test('a database made for the question is where to begin, whatever the strategy finds there yet', () => {
  expect(recommend(suits(3), null)).toEqual({ advice: 'begin', reasons: ['Trials of every field'] });
  expect(recommend(suits(3), { works: 0, onlyHere: 0 })).toEqual({
    advice: 'begin',
    reasons: ['Trials of every field', 'The strategy finds nothing there yet'],
  });
});

test('a useful one is added where one in ten of the works it finds is in none of the others', () => {
  expect(recommend(suits(2), { works: 100, onlyHere: 10 }).advice).toBe('add');
  expect(recommend(suits(2), { works: 100, onlyHere: 9 }).advice).toBe('consider');
  expect(recommend(suits(2), { works: 0, onlyHere: 0 }).advice).toBe('consider');
  expect(recommend(suits(2), null).advice).toBe('consider');
});

test('one that says little for itself has to bring something of its own', () => {
  expect(recommend(suits(1), { works: 40, onlyHere: 1 }).advice).toBe('consider');
  expect(recommend(suits(1), { works: 40, onlyHere: 0 }).advice).toBe('little use');
  expect(recommend(suits(0), { works: 40, onlyHere: 3 }).advice).toBe('little use');
  expect(recommend(suits(0), { works: 40, onlyHere: 4 }).advice).toBe('consider');
  expect(recommend(null, null)).toEqual({ advice: 'consider', reasons: [] });
});

test.each([
  [40, 0, 'The others have all 40 works it finds'],
  [1, 0, 'The others have what it finds'],
  [1, 1, 'No other has what it finds: 1 work'],
  [40, 7, '7 of 40 works it finds are in none of the others'],
])('of %i works found, %i only here: %s', (works, onlyHere, said) => {
  expect(recommend(null, { works, onlyHere }).reasons).toEqual([said]);
});
