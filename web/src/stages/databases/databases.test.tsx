import type { DatabaseChoice, DatabaseProfile } from '@even-lantern/contract';
import { screen, waitFor, within } from '@testing-library/react';
import type { Asked } from '../../testing/fakeServer.js';
import { renderInReview, reviewWith } from '../../testing/renderInReview.js';
import { DatabasesStage } from './DatabasesStage.js';

const profile = (id: string, name: string, suits: number): DatabaseProfile => ({
  id,
  name,
  description: '',
  release: '2026-10-01',
  simulated: true,
  records: 8000,
  vocabulary: null,
  limits: { careSetting: [] },
  dialect: { kind: 'skein', names: {}, lacks: [] },
  reached: 'shipped',
  releases: ['2026-10-01'],
  nextRelease: id === 'old' ? '2027-01-15' : null,
  about: {
    covers: 'All there is',
    goodFor: 'much',
    weakFor: 'little',
    firstYear: 1994,
    lastYear: 2026,
    suits: { intervention: suits },
  },
});

function show(choices: DatabaseChoice[] = []) {
  return renderInReview(reviewWith([]), () => <DatabasesStage />, {
    'GET databases': () => ({
      databases: [profile('old', 'Old index', 1), profile('new', 'New index', 3)],
      failed: [{ id: 'gone', reason: 'it cannot be reached.' }],
    }),
    'GET reviews/r1/databases': () => choices,
    'GET reviews/r1/rehearsal': () => ({ whole: { hits: 1234, error: null }, problems: [{ message: 'x' }] }),
    'PUT reviews/r1/databases/old': ({ body }: Asked) => {
      choices = [
        {
          database: 'old',
          at: '2026-11-23T10:00:00Z',
          person: 'Ada',
          ...(body as { chosen: boolean; note: string }),
        },
      ];
      return choices;
    },
    'POST databases/old/advance': () => ({ ...profile('old', 'Old index', 1), release: '2027-01-15' }),
  });
}

const entry = async (name: string) => {
  const found = (await screen.findByRole('heading', { name: new RegExp(name) })).closest('li');
  if (found === null) throw new Error(name);
  return within(found);
};

test('databases that suit the question stand first, each with what it is and what the strategy finds there', async () => {
  show();
  const best = await entry('New index');
  expect(best.getByText('Recommended')).toBeTruthy();
  expect(await best.findByText('1 234')).toBeTruthy();
  expect(best.getByText('1994 to 2026')).toBeTruthy();
  expect(best.getByText('year, care setting')).toBeTruthy();
  expect(best.getByText(/plain form; without near/)).toBeTruthy();
  expect(best.getByText('without 1 term that is still to settle there')).toBeTruthy();
  const names = screen.getAllByRole('heading', { level: 2 }).map((heading) => heading.textContent);
  expect(names[0]).toContain('New index');
  expect(screen.getByText('gone does not answer: it cannot be reached.')).toBeTruthy();
});

test('a database is left out with the reason', async () => {
  const { user, asked } = show();
  const old = await entry('Old index');
  await user.click(old.getByRole('radio', { name: 'Leave it out' }));
  const note = await screen.findByRole('textbox', { name: 'Note on Old index' });
  expect(screen.getByText(/Nobody has written why yet/)).toBeTruthy();
  await user.type(note, 'Too old');
  await user.tab();
  const puts = () => asked.filter(({ method }) => method === 'PUT').map(({ body }) => body);
  await waitFor(() =>
    expect(puts()).toEqual([
      { chosen: false, note: '' },
      { chosen: false, note: 'Too old' },
    ]),
  );
});

test('a simulated database goes on to its next release, and one without says nothing of it', async () => {
  const { user } = show();
  await user.click((await entry('Old index')).getByRole('button', { name: 'Go on to 2027-01-15' }));
  expect(await screen.findByText('Old index is now in release 2027-01-15.')).toBeTruthy();
  expect((await entry('New index')).queryByRole('button')).toBeNull();
});
