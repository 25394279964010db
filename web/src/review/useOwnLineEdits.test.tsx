import type { OwnLineChange, ReviewOwnLine } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { Refusal } from '../testing/fakeServer.js';
import { renderInReview, reviewWith } from '../testing/renderInReview.js';
import { useOwnLineEdits } from './useOwnLineEdits.js';

const LINE: ReviewOwnLine = {
  id: 'o',
  role: 'looks',
  on: true,
  text: 'night',
  note: '',
  changedAt: '2026-11-01T00:00:00.000Z',
  changedBy: 'Ada',
  version: 1,
};

function Changing({ change }: { change: OwnLineChange }) {
  const edits = useOwnLineEdits();
  return <button onClick={() => void edits.change(LINE, change)}>change</button>;
}

/** A server at which somebody has changed the line meanwhile. */
async function changes(now: Partial<ReviewOwnLine>, change: OwnLineChange) {
  const current = { ...LINE, ...now, version: 2 };
  let refused = false;
  const { user, asked } = renderInReview(reviewWith([]), () => <Changing change={change} />, {
    'PATCH own-lines/o': () => {
      if (refused) return { ...current, ...change, version: 3 };
      refused = true;
      return new Refusal(412, { title: 'Somebody else changed this line in the meantime.', current });
    },
  });
  await user.click(screen.getByText('change'));
  return {
    sent: () => asked.filter(({ path }) => path === 'own-lines/o').length,
    lookedAgain: () => asked.some(({ path }) => path === 'reviews/r1'),
  };
}

test('what somebody changed elsewhere in a line keeps nobody from changing the rest of it', async () => {
  const { sent } = await changes({ text: 'night or dusk' }, { role: 'narrows' });
  await waitFor(() => expect(sent()).toBe(2));
});

test('what somebody changed at the very place is not written over', async () => {
  const { sent, lookedAgain } = await changes({ text: 'night or dusk' }, { text: 'dawn' });
  await waitFor(() => expect(lookedAgain()).toBe(true));
  expect(sent()).toBe(1);
});
