import type { NewSettlement, SettledStep, VocabularySummary } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { Toaster } from 'sonner';
import { PersonContext } from '../../review/api/person.js';
import { fakeServer, Refusal, type FakeRequest } from '../../testing/fakeServer.js';
import { renderAt } from '../../testing/renderAt.js';
import { VocabulariesPage } from './VocabulariesPage.js';

const tree: VocabularySummary = {
  id: 'tree',
  name: 'A tree',
  release: '2026-10-01',
  headings: 1200,
  databases: ['A database', 'B database'],
  imported: null,
};
const pier: VocabularySummary = {
  id: 'pier',
  name: 'Pier words',
  release: '',
  headings: 2,
  databases: [],
  imported: { at: '2026-11-02T10:00:00Z', person: 'Ada', notes: ['1 concept has no label.'] },
};
const step: SettledStep = {
  vocabulary: 'tree',
  label: 'Light',
  target: 'pier',
  targetLabel: 'Lamps',
  verdict: 'confirmed',
  at: '2026-11-02T10:00:00Z',
  person: 'Ada',
};

function show(answers: Parameters<typeof fakeServer>[0] = {}) {
  const asked = fakeServer({
    'GET vocabularies': () => [tree, pier],
    'GET crosswalk': () => [step],
    'GET people': () => [],
    ...answers,
  });
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
  const user = renderAt(
    '/vocabularies',
    <PersonContext value={{ person: { id: 'p1', name: 'Ada' }, leave: () => undefined }}>
      <VocabulariesPage />
      <Toaster />
    </PersonContext>,
  );
  return { user, asked };
}

const file = (name: string, text: string) => new File([text], name);

test('vocabularies are listed with where they come from, and what was odd in a file', async () => {
  show();
  expect(await screen.findByText(/Served by A database, B database; release 2026-10-01/)).toBeTruthy();
  expect(screen.getByText(/Read from a file by Ada/)).toBeTruthy();
  expect(screen.getByText('1 concept has no label.')).toBeTruthy();
  expect(screen.getByRole('link', { name: 'Pier words as SKOS in JSON-LD' }).getAttribute('href')).toBe(
    '/api/vocabularies/pier/json-ld',
  );
});

test('a file is sent in its form, and what came of it is told', async () => {
  const { user, asked } = show({ 'POST vocabularies': () => pier });
  await user.upload(await screen.findByLabelText('File of a vocabulary'), file('pier.ttl', '"turtle"'));
  expect(await screen.findByText(/See above for what was odd/)).toBeTruthy();
  const sent = asked.find(({ method, path }) => method === 'POST' && path === 'vocabularies');
  expect(sent?.headers.get('content-type')).toBe('text/turtle');
  await user.click(screen.getByRole('combobox', { name: 'Encoding of the file' }));
  await user.click(screen.getByRole('option', { name: 'windows-1250' }));
  const encodings = () =>
    asked.flatMap(({ method, query }) => (method === 'POST' ? [query.get('encoding')] : []));
  await waitFor(() => expect(encodings()).toEqual([null, 'windows-1250']));
});

test('what is wrong with a file is told, and that nothing was read in', async () => {
  const title = 'This is not Turtle: unexpected “x” on line 3.';
  const { user } = show({ 'POST vocabularies': () => new Refusal(400, { title }) });
  await user.upload(await screen.findByLabelText('File of a vocabulary'), file('pier.ttl', '"x"'));
  expect(await screen.findByText(title)).toBeTruthy();
  expect(screen.getByText(/Nothing was read in/)).toBeTruthy();
});

test('what is settled is listed and can be taken back', async () => {
  let settled = [step];
  const { user, asked } = show({
    'GET crosswalk': () => settled,
    'POST crosswalk': ({ body }: FakeRequest) => {
      settled = (body as NewSettlement).verdict === 'open' ? [] : settled;
      return settled;
    },
  });
  await user.click(await screen.findByRole('button', { name: 'Take back Lamps for Light' }));
  expect(await screen.findByText(/Nothing is settled yet/)).toBeTruthy();
  await waitFor(() => expect(asked.filter(({ method }) => method === 'POST')).toHaveLength(1));
});
