import { peerReviewMarkdown, peerReviewProgress, type WrittenPeerReview } from './index.js';

const AT = '2026-11-01T08:30:00.000Z';
const remark = (text: string, person = 'Bo') => ({ text, person, at: AT });
const written: WrittenPeerReview = {
  number: 2,
  version: 'Version 3',
  asked: remark('Mind the words.', 'Ada'),
  points: [
    { id: 'words', name: 'Words', asks: 'Are any missing?', judgement: 'change', note: 'Add “nights”.', person: 'Bo', at: AT },
    { id: 'limits', name: 'Limits', asks: 'Does each have a reason?', judgement: null, note: '', person: '', at: '' },
  ],
  comments: [
    { about: 'L7 nightwork*', ...remark('Finds nothing.'), answers: [remark('It may later.', 'Ada')], settled: null },
    { about: '', ...remark('Well made.'), answers: [], settled: { person: 'Ada', at: AT } },
  ],
  finished: null,
}; // prettier-ignore

test('it tells who asked, what was judged of each point, and which comments are open', () => {
  expect(peerReviewMarkdown('Light at night', written))
    .toBe(`# Peer review 2 of the search strategy of Light at night

- Version looked at: Version 3
- Asked for by Ada, 2026-11-01: Mind the words.
- Not finished

## Points

### Words

_Are any missing?_

**Has to change** (Bo, 2026-11-01): Add “nights”.

### Limits

_Does each have a reason?_

Not judged.

## Comments

- \`L7 nightwork*\`: Bo, 2026-11-01: Finds nothing.
  - Ada, 2026-11-01: It may later.
  - Open

- The whole strategy: Bo, 2026-11-01: Well made.
  - Settled by Ada, 2026-11-01
`);
});

test('a finished one says what it came to', () => {
  const finished = { ...remark('Ready but for one word.'), outcome: 'change' as const };
  const text = peerReviewMarkdown('Light', { ...written, finished, comments: [] });
  expect(text).toContain('- Finished by Bo, 2026-11-01: to be changed first');
  expect(text).toContain('\n\nReady but for one word.\n\n');
  expect(text).toContain('## Comments\n\nNone.\n');
});

test('what people typed makes no headings, links, markup or code of its own', () => {
  const nasty = '# Big\n\n[link](http://x.test) <script>alert(1)</script> **bold** `code`';
  const text = peerReviewMarkdown(nasty, {
    ...written,
    asked: remark(nasty, nasty),
    comments: [{ about: 'L1 `x`\n# y', ...remark(nasty), answers: [remark(nasty)], settled: null }],
  });
  const headings = text.split('\n').filter((line) => line.startsWith('#'));
  expect(headings.slice(1)).toEqual(['## Points', '### Words', '### Limits', '## Comments']);
  expect(text).not.toMatch(/(?<!\\)<script|(?<!\\)\[link/);
  expect(text).toContain('`L1  x # y`');
});

test('progress counts points that are judged and comments that are open', () => {
  expect(peerReviewProgress(written)).toEqual({ judged: 1, open: 1 });
  expect(peerReviewProgress({ points: [], comments: [] })).toEqual({ judged: 0, open: 0 });
});
