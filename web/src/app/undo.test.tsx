import { screen } from '@testing-library/react';
import { Toaster } from 'sonner';
import { renderAt } from '../testing/renderAt.js';
import { UndoProvider, useUndo } from './undo.js';

function Editor({ edits }: { edits: Record<string, () => Promise<void>> }) {
  const { remember } = useUndo();
  return Object.entries(edits).map(([what, undo]) => (
    <button key={what} onClick={() => remember({ what, undo })}>
      {what}
    </button>
  ));
}

function page(edits: Record<string, () => Promise<void>>) {
  return (
    <UndoProvider>
      <Editor edits={edits} />
      <Toaster />
    </UndoProvider>
  );
}

beforeAll(() => {
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
});

test('the latest edit is taken back first', async () => {
  const undone: string[] = [];
  const user = renderAt(
    '/',
    page({
      'added light': async () => void undone.push('added light'),
      'took out lamp': async () => void undone.push('took out lamp'),
    }),
  );
  await user.click(screen.getByText('added light'));
  await user.click(screen.getByText('took out lamp'));
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Undone: took out lamp')).toBeTruthy();
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Undone: added light')).toBeTruthy();
  expect(undone).toEqual(['took out lamp', 'added light']);
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('There is nothing to undo.')).toBeTruthy();
});

test('an edit that cannot be taken back says so', async () => {
  const user = renderAt('/', page({ 'added light': () => Promise.reject(new Error('changed since')) }));
  await user.click(screen.getByText('added light'));
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText(/could not be undone: added light/)).toBeTruthy();
});
