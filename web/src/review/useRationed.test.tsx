import { screen } from '@testing-library/react';
import { useState } from 'react';
import { renderAt } from '../testing/renderAt.js';
import { useRationed } from './useRationed.js';

/** A database that tells so many more counts each time it is asked. */
function Counts({
  steps,
  byItself,
  asked,
}: {
  steps: readonly number[];
  byItself: boolean;
  asked: () => void;
}) {
  const [at, setAt] = useState(0);
  const refetch = () => {
    asked();
    setTimeout(() => setAt((before) => before + 1), 5);
  };
  const left = steps[Math.min(at, steps.length - 1)];
  const { counting, start } = useRationed([{ left, isFetching: false, refetch }], byItself);
  return (
    <>
      <button onClick={start}>count</button>
      <p>
        {left} left, {counting ? 'counting' : 'resting'}
      </p>
    </>
  );
}

test('what somebody wants is asked for until all is there, and not before', async () => {
  const asked = jest.fn();
  const user = renderAt('/', <Counts steps={[9, 5, 2, 0]} byItself={false} asked={asked} />);
  expect(screen.getByText('9 left, resting')).toBeTruthy();
  expect(asked).not.toHaveBeenCalled();
  await user.click(screen.getByText('count'));
  expect(await screen.findByText('0 left, resting')).toBeTruthy();
  expect(asked).toHaveBeenCalledTimes(3);
});

test('those of a slow database come by themselves', async () => {
  const asked = jest.fn();
  renderAt('/', <Counts steps={[9, 4, 0]} byItself asked={asked} />);
  expect(await screen.findByText(/^0 left/)).toBeTruthy();
  expect(asked).toHaveBeenCalledTimes(2);
});
