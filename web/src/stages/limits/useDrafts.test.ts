import { readTried } from './useDrafts.js';

const draft = {
  id: 'tried-1',
  kind: 'language',
  values: { kind: 'values', values: ['English'] },
  on: true,
  ways: {},
  reason: '',
};

test('what was tried is read as it was', () => {
  const tried = { drafts: [draft], gathering: true };
  expect(readTried(JSON.stringify(tried))).toEqual(tried);
  expect(readTried(null)).toEqual({ drafts: [], gathering: false });
});

test.each([
  ['a kind that there is not', { ...draft, kind: 'moon' }],
  ['values of another kind', { ...draft, values: { kind: 'years', from: 2000, to: null } }],
  ['nothing', null],
  ['a number', 7],
])('%s is left out, and nothing fails', (_what, kept) => {
  expect(readTried(JSON.stringify({ drafts: [kept, draft] })).drafts).toEqual([draft]);
});

test.each(['{', '[]', 'null', '{"drafts": 3}'])('%s is nothing that was tried', (text) => {
  expect(readTried(text)).toEqual({ drafts: [], gathering: false });
});
