import { screen } from '@testing-library/react';
import { useState } from 'react';
import { renderAt } from '../testing/renderAt.js';
import { MayFail } from './MayFail.js';

function Part({ fails }: { fails: () => boolean }) {
  if (fails()) throw new Error('no such line');
  return <p>All is well.</p>;
}

function Page({ fails }: { fails: () => boolean }) {
  const [key, setKey] = useState('a');
  return (
    <>
      <button onClick={() => setKey('b')}>elsewhere</button>
      <MayFail resetKey={key}>
        <Part fails={fails} />
      </MayFail>
    </>
  );
}

test('a part that fails says so in its place, and is shown again when asked', async () => {
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  let broken = true;
  const user = renderAt('/', <Page fails={() => broken} />);
  expect(screen.getByRole('alert').textContent).toContain('no such line');
  broken = false;
  await user.click(screen.getByText('Show it again'));
  expect(screen.getByText('All is well.')).toBeTruthy();
});
