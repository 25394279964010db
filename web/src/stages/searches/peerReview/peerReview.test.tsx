import type { PeerReview } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import { PersonContext } from '../../../review/api/person.js';
import { Refusal } from '../../../testing/fakeServer.js';
import { renderInReview, reviewWith } from '../../../testing/renderInReview.js';
import { PeerReviewPane } from './PeerReviewPane.js';

const AT = '2026-11-20T10:00:00.000Z';
const point = (id: string, judgement: 'fine' | null = null) => ({
  id,
  name: `About ${id}`,
  asks: `Is ${id} right?`,
  judgement,
  note: '',
  person: judgement === null ? '' : 'Bo',
  at: judgement === null ? '' : AT,
});
const peer = (parts: Partial<PeerReview> = {}): PeerReview => ({
  id: 'pr',
  number: 1,
  askedById: 'ada',
  versionId: 'v1',
  version: 'Version 3',
  changedSince: false,
  asked: { text: 'Mind the words.', person: 'Ada', at: AT },
  points: [point('words'), point('limits', 'fine')],
  comments: [],
  finished: null,
  ...parts,
});
const comment = {
  id: 'c',
  place: 'lane:l-i',
  about: 'L2 light',
  text: 'Is this <b>all</b>?',
  person: 'Bo',
  at: AT,
  answers: [],
  settled: null,
};

function show(who: string, list: PeerReview[], answers: Parameters<typeof renderInReview>[2] = {}) {
  return renderInReview(
    reviewWith([]),
    () => (
      <PersonContext value={{ person: { id: who, name: who }, leave: () => undefined }}>
        <PeerReviewPane
          line={{ key: 'lane:l-i', name: 'L2', about: 'L2 light' }}
          nameOf={(key) => (key === 'lane:l-i' ? 'L2' : null)}
          onGo={() => undefined}
          onVersions={() => undefined}
          onClose={() => undefined}
        />
      </PersonContext>
    ),
    { 'GET reviews/r1/peer-reviews': () => list, ...answers },
  );
}

test('it is asked for with what to look at', async () => {
  const { user, asked } = show('ada', [], { 'POST reviews/r1/peer-reviews': () => [peer()] });
  await user.type(await screen.findByLabelText(/What to look at especially/), 'Mind the words.');
  await user.click(screen.getByText('Ask for a peer review'));
  await waitFor(() =>
    expect(asked.find(({ method }) => method === 'POST')?.body).toEqual({ note: 'Mind the words.' }),
  );
  expect(await screen.findByText('Version 3')).toBeTruthy();
});

test('who asked sees what was judged, and judges nothing', async () => {
  show('ada', [peer()]);
  expect(await screen.findByText(/Somebody else judges these/)).toBeTruthy();
  expect(screen.queryAllByRole('radio')).toEqual([]);
  expect(screen.getByText('not judged yet')).toBeTruthy();
});

test('somebody else judges, and finishes only when every point is judged', async () => {
  const done = peer({ points: [point('words', 'fine'), point('limits', 'fine')] });
  const { user, asked } = show('bo', [peer()], { 'PUT peer-reviews/pr/points/words': () => done });
  const words = within(await screen.findByRole('group', { name: 'About words' }));
  expect(screen.getByText('1 point is still to be judged.')).toBeTruthy();
  await user.click(words.getByLabelText('as it should be'));
  await waitFor(() => expect(screen.queryByText(/still to be judged/)).toBeNull());
  expect(asked.find(({ method }) => method === 'PUT')?.body).toEqual({ judgement: 'fine', note: '' });
  const finish = screen.getByText('Finish') as HTMLButtonElement;
  expect(finish.disabled).toBe(true);
  await user.click(screen.getByLabelText('ready to run'));
  expect(finish.disabled).toBe(false);
});

test('a comment goes to the line that is chosen, or to the whole; markup in it stays text', async () => {
  const { user, asked } = show('bo', [peer({ comments: [comment] })], {
    'POST peer-reviews/pr/comments': () => peer({ comments: [comment] }),
  });
  expect(await screen.findByText('Is this <b>all</b>?')).toBeTruthy();
  await user.type(screen.getByLabelText('Comment on L2'), 'More?{Control>}{Enter}{/Control}');
  await user.click(screen.getByLabelText('on the whole strategy instead'));
  await user.type(await screen.findByLabelText('Comment on the whole strategy'), 'Well made.');
  await user.click(screen.getByText('Comment'));
  const sent = () => asked.filter(({ method }) => method === 'POST').map(({ body }) => body);
  await waitFor(() =>
    expect(sent()).toEqual([
      { place: 'lane:l-i', about: 'L2 light', answers: null, text: 'More?' },
      { place: '', about: '', answers: null, text: 'Well made.' },
    ]),
  );
});

test('what is refused is told, and what was typed stays', async () => {
  const { user } = show('bo', [peer()], {
    'POST peer-reviews/pr/comments': () => new Refusal(409, { title: 'This peer review is finished.' }),
  });
  const field = await screen.findByLabelText('Comment on L2');
  await user.type(field, 'Too late{Control>}{Enter}{/Control}');
  expect(await screen.findByText('This peer review is finished.')).toBeTruthy();
  expect((field as HTMLTextAreaElement).value).toBe('Too late');
});

test('one that is finished says what it came to, and can be taken up again', async () => {
  const finished = { outcome: 'change' as const, text: 'Add spellings.', person: 'Bo', at: AT };
  const { user, asked } = show('ada', [peer({ finished, changedSince: true })], {
    'POST peer-reviews/pr/end': () => peer(),
  });
  expect(await screen.findByText('to be changed first')).toBeTruthy();
  expect(screen.getByText(/The strategy has changed since/)).toBeTruthy();
  expect(screen.queryByLabelText('Comment on L2')).toBeNull();
  await user.click(screen.getByText('take it up again'));
  await waitFor(() =>
    expect(asked.find(({ path }) => path === 'peer-reviews/pr/end')?.body).toEqual({
      outcome: null,
      summary: '',
    }),
  );
});
