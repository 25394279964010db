import { cleanup, screen, waitFor as until } from '@testing-library/react';
import { Route, Routes } from 'react-router';
import { Toaster } from 'sonner';
import { fakeServer, Refusal } from '../testing/fakeServer.js';
import { renderAt } from '../testing/renderAt.js';
import { rememberPerson } from './api/person.js';
import type { Doing } from './remembered.js';
import { UndoProvider, useUndo } from './undo.js';

const asked = (atOnce: number): Doing => ({
  kind: 'budget calls',
  database: 'db',
  budget: { atOnce, perSecond: null },
});
const filter = (removed: boolean): Doing => ({ kind: 'take filter away', id: 'f', version: 2, removed });
const decided = (from: 'keep' | 'undecided', to: 'keep' | 'undecided'): Doing => ({
  kind: 'decide',
  review: 'r',
  record: 'a',
  design: null,
  from,
  to,
});

const EDITS: Record<string, { undo: Doing; redo: Doing }> = {
  'asked 5 at once': { undo: asked(4), redo: asked(5) },
  'asked 6 at once': { undo: asked(5), redo: asked(6) },
  'took a filter away': { undo: filter(false), redo: filter(true) },
  'keep: A lamp': { undo: decided('keep', 'undecided'), redo: decided('undecided', 'keep') },
};

function Editor() {
  const { remember } = useUndo();
  return Object.entries(EDITS).map(([what, edit]) => (
    <button key={what} onClick={() => remember({ what, ...edit })}>
      {what}
    </button>
  ));
}

const page = (path: string) =>
  renderAt(
    path,
    <Routes>
      <Route
        path="*"
        element={
          <UndoProvider>
            <Editor />
            <Toaster />
          </UndoProvider>
        }
      />
    </Routes>,
  );

/** A server that notes what it was told; what it keeps of a record can be changed. */
function noting() {
  const done: string[] = [];
  const record = { id: 'a', decision: 'keep', version: 7 };
  let filters = 2;
  fakeServer({
    'PUT databases/db/budget': ({ body }) => {
      done.push(`asked ${(body as { atOnce: number }).atOnce}`);
      return body;
    },
    'PATCH filters/f': ({ body, headers }) => {
      if (headers.get('If-Match') !== `"${filters}"`) return new Refusal(409, { title: 'changed since' });
      filters += 1;
      done.push(JSON.stringify(body));
      return { id: 'f', version: filters };
    },
    'GET records/a': () => record,
    'PATCH records/a': ({ body }) => {
      Object.assign(record, body, { version: record.version + 1 });
      done.push(record.decision);
      return record;
    },
    'POST reviews/r/undo': () => ({ words: null, at: null }),
    'POST reviews/r/redo': () => ({ words: null, at: null }),
    'POST reviews/other/undo': () => ({ words: null, at: null }),
  });
  return { done, record };
}

const UNDO = '{Control>}z{/Control}';
const REDO = '{Control>}y{/Control}';

beforeEach(() => {
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
  sessionStorage.clear();
  rememberPerson('ada');
});

test('the latest edit is taken back first, and done again last', async () => {
  const { done } = noting();
  const user = page('/');
  await user.click(screen.getByText('asked 5 at once'));
  await user.click(screen.getByText('asked 6 at once'));
  await user.keyboard(UNDO);
  expect(await screen.findByText('Undone: asked 6 at once')).toBeTruthy();
  await user.keyboard(UNDO);
  expect(await screen.findByText('Undone: asked 5 at once')).toBeTruthy();
  await user.keyboard(UNDO);
  expect(await screen.findByText('There is nothing to undo.')).toBeTruthy();
  await user.keyboard('{Control>}{Shift>}z{/Shift}{/Control}');
  expect(await screen.findByText('Done again: asked 5 at once')).toBeTruthy();
  await user.keyboard(REDO);
  expect(await screen.findByText('Done again: asked 6 at once')).toBeTruthy();
  expect(done).toEqual(['asked 5', 'asked 4', 'asked 5', 'asked 6']);
  await user.keyboard(REDO);
  expect(await screen.findByText('There is nothing to do again.')).toBeTruthy();
});

test('what was done and what was taken back outlast loading the page again', async () => {
  const { done } = noting();
  let user = page('/reviews/r/databases');
  await user.click(screen.getByText('asked 5 at once'));
  await user.click(screen.getByText('asked 6 at once'));
  cleanup();
  user = page('/reviews/r/databases');
  await user.keyboard(UNDO);
  await until(() => expect(done).toEqual(['asked 5']));
  cleanup();
  user = page('/reviews/r/databases');
  await user.keyboard(REDO);
  await until(() => expect(done).toEqual(['asked 5', 'asked 6']));
});

test('neither another review nor another person takes back what was done here', async () => {
  const { done } = noting();
  const user = page('/reviews/r/databases');
  await user.click(screen.getByText('asked 5 at once'));
  cleanup();
  const other = page('/reviews/other/databases');
  await other.keyboard(UNDO);
  expect(await screen.findByText('There is nothing to undo.')).toBeTruthy();
  cleanup();
  rememberPerson('bo');
  const bo = page('/reviews/r/databases');
  await bo.keyboard(UNDO);
  expect(await screen.findByText('There is nothing to undo.')).toBeTruthy();
  expect(done).toEqual([]);
});

test('a decision that somebody has changed since stays, and that is told', async () => {
  const { done, record } = noting();
  const user = page('/reviews/r/records');
  await user.click(screen.getByText('keep: A lamp'));
  record.decision = 'set aside';
  await user.keyboard(UNDO);
  expect(await screen.findByText(/could not be undone: keep: A lamp/)).toBeTruthy();
  expect(done).toEqual([]);
});

test('the way back and forth names the version that the one before it left', async () => {
  const { done } = noting();
  const user = page('/');
  await user.click(screen.getByText('took a filter away'));
  for (const keys of [UNDO, REDO, UNDO, REDO]) await user.keyboard(keys);
  const sent = () => done.map((each) => (JSON.parse(each) as { removed: boolean }).removed);
  await until(() => expect(sent()).toEqual([false, true, false, true]));
});

test('an edit that the server refuses to take back says so', async () => {
  fakeServer({ 'PUT databases/db/budget': () => new Refusal(409, { title: 'Changed since.' }) });
  const user = page('/');
  await user.click(screen.getByText('asked 5 at once'));
  await user.keyboard(UNDO);
  expect(await screen.findByText(/could not be undone: asked 5 at once/)).toBeTruthy();
});

test('of what the server keeps and what the page remembers, the later is taken back first', async () => {
  const { done } = noting();
  const kept = { words: 'took out “night”', at: new Date(Date.now() - 1000).toISOString() };
  const { fetch } = globalThis;
  // The server has one step, made before the page remembers another.
  let steps = [kept];
  globalThis.fetch = async (input, init) => {
    const request = input as Request;
    if (!/\/(?:un|re)do$/.test(request.url)) return fetch(input, init);
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
  };
  const user = page('/reviews/r/records');
  await user.click(screen.getByText('keep: A lamp'));
  await user.keyboard(UNDO);
  expect(await screen.findByText('Undone: keep: A lamp')).toBeTruthy();
  await user.keyboard(UNDO);
  expect(await screen.findByText('Undone: took out “night”')).toBeTruthy();
  await user.keyboard(REDO);
  expect(await screen.findByText('Done again: took out “night”')).toBeTruthy();
  await user.keyboard(REDO);
  expect(await screen.findByText('Done again: keep: A lamp')).toBeTruthy();
  expect(done).toEqual(['undecided', 'undo kept', 'redo kept', 'keep']);
});
