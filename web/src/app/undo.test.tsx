import { screen } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { renderAt } from '../testing/renderAt.js';
import { UndoProvider, useUndo } from './undo.js';

interface Edit {
  undo: () => Promise<void>;
  redo: () => Promise<void>;
}

function Editor({ edits }: { edits: Record<string, Edit> }) {
  const { remember } = useUndo();
  return Object.entries(edits).map(([what, edit]) => (
    <button key={what} onClick={() => remember({ what, ...edit })}>
      {what}
    </button>
  ));
}

function page(edits: Record<string, Edit>) {
  return (
    <Routes>
      <Route
        path="*"
        element={
          <UndoProvider>
            <Editor edits={edits} />
            <Toaster />
          </UndoProvider>
        }
      />
    </Routes>
  );
}

/** Edits that note what was done to them. */
const noting = (done: string[], ...names: string[]) =>
  Object.fromEntries(
    names.map((what) => [
      what,
      { undo: async () => void done.push(`undo ${what}`), redo: async () => void done.push(`redo ${what}`) },
    ]),
  );

beforeAll(() => {
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
});

test('the latest edit is taken back first, and done again last', async () => {
  const done: string[] = [];
  const user = renderAt('/', page(noting(done, 'added light', 'took out lamp')));
  await user.click(screen.getByText('added light'));
  await user.click(screen.getByText('took out lamp'));
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Undone: took out lamp')).toBeTruthy();
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Undone: added light')).toBeTruthy();
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('There is nothing to undo.')).toBeTruthy();
  await user.keyboard('{Control>}{Shift>}z{/Shift}{/Control}');
  expect(await screen.findByText('Done again: added light')).toBeTruthy();
  await user.keyboard('{Control>}y{/Control}');
  expect(await screen.findByText('Done again: took out lamp')).toBeTruthy();
  expect(done).toEqual(['undo took out lamp', 'undo added light', 'redo added light', 'redo took out lamp']);
  await user.keyboard('{Control>}y{/Control}');
  expect(await screen.findByText('There is nothing to do again.')).toBeTruthy();
});

test('an edit that cannot be taken back says so', async () => {
  const refused = () => Promise.reject(new Error('changed since'));
  const user = renderAt('/', page({ 'added light': { undo: refused, redo: refused } }));
  await user.click(screen.getByText('added light'));
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText(/could not be undone: added light/)).toBeTruthy();
});

test('of what the server keeps and what the page remembers, the later is taken back first', async () => {
  const done: string[] = [];
  const kept = { words: 'took out “night”', at: new Date(Date.now() - 1000).toISOString() };
  // The server has one step, made before the page remembers another.
  let steps = [kept];
  globalThis.fetch = jest.fn(async (input: RequestInfo | URL) => {
    const request = input as Request;
    const { since } = (await request.json()) as { since?: string | null };
    let taken: object = { words: null, at: null };
    if (request.url.endsWith('/undo') && steps.length > 0 && (since == null || since < kept.at)) {
      steps = [];
      done.push('undo kept');
      taken = kept;
    } else if (request.url.endsWith('/redo')) {
      done.push('redo kept');
      taken = kept;
    }
    return new Response(JSON.stringify(taken), { headers: { 'Content-Type': 'application/json' } });
  });
  const user = renderAt('/reviews/r/records', page(noting(done, 'keep: A lamp')));
  await user.click(screen.getByText('keep: A lamp'));
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Undone: keep: A lamp')).toBeTruthy();
  await user.keyboard('{Control>}z{/Control}');
  expect(await screen.findByText('Undone: took out “night”')).toBeTruthy();
  await user.keyboard('{Control>}y{/Control}');
  expect(await screen.findByText('Done again: took out “night”')).toBeTruthy();
  await user.keyboard('{Control>}y{/Control}');
  expect(await screen.findByText('Done again: keep: A lamp')).toBeTruthy();
  expect(done).toEqual(['undo keep: A lamp', 'undo kept', 'redo kept', 'redo keep: A lamp']);
});
