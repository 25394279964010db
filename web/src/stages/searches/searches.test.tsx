import type { TranslatedLine } from '@even-lantern/contract';
import { act, screen, waitFor, within } from '@testing-library/react';
import { Refusal, type FakeRequest } from '../../testing/fakeServer.js';
import { database, renderInReview, reviewWith, term } from '../../testing/renderInReview.js';
import { line, rehearsal, translated, translation, ALL_LINES } from '../../testing/searchFixtures.js';
import { wordsContent } from '../../review/headingContent.js';
import { SearchesStage } from './SearchesStage.js';

jest.mock('../../review/startLookups.js', () =>
  jest.requireActual<object>('../../testing/lookupsInPlace.js'),
);

const show = (answer: () => unknown, more: Record<string, (asked: FakeRequest) => unknown> = {}) =>
  renderInReview(reviewWith([term('t', wordsContent('light'))]), () => <SearchesStage />, {
    'GET reviews/r1/rehearsal': answer,
    'GET reviews/r1/translation': () => translation(ALL_LINES),
    ...more,
  });

test('the string of the last line is shown first, and that of any line when it is chosen', async () => {
  const { user } = show(() => rehearsal({}));
  expect((await screen.findByTestId('string')).textContent).toBe('words("3")');
  await user.click(within(screen.getByRole('grid')).getByTitle('line 1'));
  expect(screen.getByTestId('string').textContent).toBe('words("1")');
  expect(screen.getByText('L1 as A database gets it')).toBeTruthy();
});

test('what cannot be said is told, with what is said instead and how many records that makes', async () => {
  const loss = { from: 0, to: 5, lost: 'near', instead: 'anywhere', gained: 1, missed: 0 };
  const lines = [
    ...ALL_LINES.slice(0, 2),
    translated(3, { losses: [{ ...loss, effect: 'widens' }], intended: { hits: 2, error: null } }),
  ];
  show(() => rehearsal({}), { 'GET reviews/r1/translation': () => translation(lines) });
  const lost = await screen.findByRole('region', { name: 'What is lost' });
  expect(lost.textContent).toContain('It cannot say near. Said instead: anywhere.');
  expect(lost.textContent).toContain('Finds more: 1 record too many, 0 missed.');
  expect(lost.textContent).toContain('With nothing lost the line would find 2.');
  expect(screen.getByTestId('string').querySelector('.underline')?.textContent).toBe('words');
});

test('what is said otherwise and finds the same stands apart, folded where it is much', async () => {
  const loss = (from: number, found: Partial<TranslatedLine['losses'][number]> = {}) => ({
    from, to: from + 1, lost: `part ${from}`, instead: 'its names', effect: 'same' as const, gained: 0, missed: 0, ...found,
  }); // prettier-ignore
  const losses = [loss(0), loss(1), loss(2), loss(3, { gained: 2 })];
  const lines = [...ALL_LINES.slice(0, 2), translated(3, { losses })];
  show(() => rehearsal({}), { 'GET reviews/r1/translation': () => translation(lines) });
  const lost = await screen.findByRole('region', { name: 'What is lost' });
  const folded = within(lost).getByText('3 things are said otherwise and find the same').closest('details');
  expect(folded?.open).toBe(false);
  expect(folded?.textContent).not.toContain('part 3');
  expect(lost.textContent).toContain('Finds the same, as of this release: 2 records too many, 0 missed.');
  const underlined = screen.getByTestId('string').querySelectorAll('.decoration-dotted');
  expect([...underlined].map((each) => each.textContent).join('')).toBe('word');
});

test('what the database added to a string by itself is shown and marked', async () => {
  const understood = 'el.words = "3" or el.heading == "Three"';
  const lines = [...ALL_LINES.slice(0, 2), translated(3, { understood })];
  show(() => rehearsal({}), { 'GET reviews/r1/translation': () => translation(lines) });
  const section = await screen.findByRole('region', { name: 'What it understood' });
  expect(section.textContent).toContain('A database read the string differently.');
  expect(section.querySelector('ins')?.textContent).toContain('or el.heading == "Three');
});

test('a string that cannot be translated says why, and the counts stay', async () => {
  show(() => rehearsal({}), {
    'GET reviews/r1/translation': () => new Refusal(502, { title: 'It went away.' }),
  });
  expect(await screen.findByText('It went away.')).toBeTruthy();
  expect(within(screen.getByRole('grid')).getByTitle('line 1')).toBeTruthy();
});

test('two databases stand side by side, line by line, and each string can be copied', async () => {
  const profile = (id: string, name: string) => ({
    id,
    name,
    description: '',
    release: '2026-10-01',
    simulated: true,
    state: 'ready' as const,
    trouble: null,
    records: 1,
    vocabulary: null,
    limits: {},
    dialect: null,
    reached: 'shipped' as const,
    releases: [],
    nextRelease: null,
    about: null,
  });
  const { user } = show(() => rehearsal({}), {
    'GET databases': () => ({
      databases: [profile('db', 'A database'), profile('other', 'Another')],
      failed: [],
      order: ['db', 'other'],
    }),
    'GET reviews/r1/translation': () =>
      translation([translated(1, { changes: ['searched as words'] }), ...ALL_LINES.slice(1)]),
  });
  await user.click(await screen.findByRole('combobox', { name: /Another database beside this one/ }));
  await user.click(await screen.findByRole('option', { name: /Another/ }));
  const table = await screen.findByRole('table');
  expect(within(table).getAllByRole('row')).toHaveLength(4);
  expect(within(table).getAllByText('searched as words')).toHaveLength(2);
  const write = jest.spyOn(navigator.clipboard, 'writeText');
  await user.click(within(table).getByRole('button', { name: 'Copy L2 for Another' }));
  expect(write).toHaveBeenCalledWith('words("2")');
});

test('side by side, arrows choose a line and one key copies its string for either database', async () => {
  const { user } = show(() => rehearsal({}), {
    'GET databases': () => ({
      databases: [database, { ...database, id: 'other', name: 'Another' }],
      failed: [],
      order: ['db', 'other'],
    }),
    'GET reviews/r1/translation': ({ query }: FakeRequest) =>
      translation(
        query.get('database') === 'other'
          ? ALL_LINES.map((each) => ({ ...each, sent: `other ${each.number}` }))
          : ALL_LINES,
      ),
  });
  await user.click(await screen.findByRole('combobox', { name: /Another database beside this one/ }));
  await user.click(await screen.findByRole('option', { name: /Another/ }));
  const rows = within(await screen.findByRole('table')).getAllByRole('row');
  const write = jest.spyOn(navigator.clipboard, 'writeText');
  await user.keyboard('{Alt>}c{/Alt}');
  expect(write).toHaveBeenLastCalledWith('words("3")');
  act(() => rows.at(-1)?.focus());
  await user.keyboard('{ArrowUp}{ArrowUp}');
  expect(document.activeElement).toBe(rows[1]);
  await user.keyboard('{Alt>}{Shift>}c{/Shift}{/Alt}');
  expect(write).toHaveBeenLastCalledWith('other 1');
});

test('the counts of every line stand in all databases, and what is not settled in one is left empty there', async () => {
  const { user } = show(() => rehearsal({}), {
    'GET databases': () => ({
      databases: [database, { ...database, id: 'other', name: 'Another', release: '' }],
      failed: [],
      order: ['db', 'other'],
    }),
    'GET reviews/r1/rehearsal': ({ query }: FakeRequest) =>
      query.get('database') === 'other'
        ? rehearsal({
            lines: [
              line(1, { kind: 'lane', termId: null, hits: 70 }),
              line(2, { kind: 'whole', laneId: null, termId: null, hits: 71 }),
            ],
            problems: [{ laneId: 'l-i', termId: 't', message: 'Settle it.' }],
          })
        : rehearsal({}),
  });
  await user.click(await screen.findByRole('combobox', { name: /Another database beside this one/ }));
  await user.click(await screen.findByRole('option', { name: /Counts in all databases/ }));
  const table = await screen.findByRole('table');
  await within(table).findByText('71');
  const cells = within(table)
    .getAllByRole('row')
    .map((row) =>
      within(row)
        .queryAllByRole('cell')
        .map((cell) => cell.textContent),
    );
  expect(cells).toEqual([[], ['1', '–'], ['2', '70'], ['3', '71']]);
  expect(within(table).getByText('release not told')).toBeTruthy();
  expect(within(table).getByText('1 to settle')).toBeTruthy();
});

test('an earlier release can be chosen for the run', async () => {
  const { user, asked } = renderInReview(
    reviewWith([term('t', wordsContent('light'))]),
    () => <SearchesStage />,
    {
      'GET reviews/r1/rehearsal': () => rehearsal({}),
      'GET reviews/r1/translation': () => translation(ALL_LINES),
      'GET reviews/r1/ledger': () => ({
        seal: { entries: 0, hash: null },
        brokenAt: null,
        lastRun: null,
        running: [],
      }),
    },
    { ...database, releases: ['2026-07-01', '2026-10-01'] },
  );
  await user.click(await screen.findByRole('combobox', { name: /Release to run against/ }));
  await user.click(await screen.findByRole('option', { name: /2026-07-01/ }));
  await user.click(screen.getByRole('button', { name: /Run and log/ }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path === 'reviews/r1/runs')?.body).toMatchObject({
      release: '2026-07-01',
    }),
  );
});

const HAND = { ...database, reached: 'hand' as const, release: '' };
const byHand = (more: Record<string, (asked: FakeRequest) => unknown> = {}) =>
  renderInReview(
    reviewWith([term('t', wordsContent('light'))]),
    () => <SearchesStage />,
    {
      'GET reviews/r1/rehearsal': () =>
        rehearsal({
          lines: rehearsal({}).lines.map((each) => ({ ...each, hits: null, error: 'Nobody yet.' })),
        }),
      'GET reviews/r1/translation': () => translation(ALL_LINES),
      'POST databases/db/answers': () => ({
        id: 'a1',
        hits: 40,
        enteredBy: 'Ada',
        enteredAt: '2026-11-01T10:00:00Z',
        records: 38,
      }),
      'PUT databases/db/answers': () => ({
        id: 'a1',
        hits: 41,
        enteredBy: 'Ada',
        enteredAt: '2026-11-01T10:00:00Z',
        records: 38,
      }),
      ...more,
    },
    HAND,
  );

test('where a person asks, the count is entered beside the string, and missing counts are no trouble', async () => {
  const { user, asked } = byHand();
  expect(await screen.findByText(/40, entered by Ada, 1 Nov 2026/)).toBeTruthy();
  expect(screen.queryByText('Nobody yet.')).toBeNull();
  const field = screen.getByRole('textbox', { name: 'Records that L3 finds' });
  await user.type(field, 'many{Enter}');
  expect(screen.getByText('A whole number, digits only.')).toBeTruthy();
  await user.clear(field);
  await user.type(field, '41{Enter}');
  await waitFor(() =>
    expect(asked.filter(({ method }) => method === 'PUT').map(({ body }) => body)).toEqual([
      { text: 'words("3")', hits: 41 },
    ]),
  );
});

test('where a person asks, exported files are given back, and fewer records than were counted are told', async () => {
  const { user, asked } = byHand({
    'POST databases/db/answers/a1/records': () => ({
      read: 2,
      added: 2,
      total: 40,
      troubles: [],
      encoding: { name: 'utf-8', how: 'utf8' },
    }),
  });
  expect(await screen.findByText('38 records given; 40 were counted.')).toBeTruthy();
  await user.upload(screen.getByLabelText('Exported file of records'), new File(['TY  - JOUR'], 'a.ris'));
  expect(await screen.findByText('2 records read, 2 of them new.')).toBeTruthy();
  const sent = asked.find(({ path }) => path === 'databases/db/answers/a1/records');
  expect(sent?.headers.get('content-type')).toBe('text/plain');
});

test('a line written by hand is marked, with who wrote it and what the lanes would find', async () => {
  const written = {
    language: 'own' as const,
    text: 'title("x")',
    at: '2026-11-01T10:00:00Z',
    person: 'Ada',
    problem: null,
    cautions: [{ at: 4, message: 'AND and OR stand side by side.' }],
  };
  show(() => rehearsal({}), {
    'GET reviews/r1/translation': () =>
      translation([...ALL_LINES.slice(0, 2), translated(3, { written, sent: 'title("x")' })]),
  });
  expect(
    await screen.findByText(/Written by hand by Ada, 1 Nov 2026.*The lanes would give a line that finds 3/),
  ).toBeTruthy();
  expect(screen.getByLabelText('Written by hand:')).toBeTruthy();
  expect(screen.getByText('At 5: AND and OR stand side by side.')).toBeTruthy();
});

test('many things to settle wait to be opened, and a line that cannot be read is opened to be mended', async () => {
  const problem = (line: string) => ({ laneId: null, termId: null, line, message: `Mend ${line}.` });
  const { user } = show(() => rehearsal({ problems: ['whole', 'a', 'b'].map(problem) }));
  const section = await screen.findByRole('region', { name: 'To settle before a run' });
  await user.click(within(section).getByText('3 things to settle before this can be run'));
  await user.click(within(section).getAllByRole('button', { name: 'mend it' })[0] as HTMLElement);
  expect(await screen.findByRole('region', { name: 'L3 as text' })).toBeTruthy();
});

test('what is to settle before a run is told with the way there', async () => {
  show(() => rehearsal({ problems: [{ laneId: 'l-i', termId: 't', message: '“a*” is unfinished.' }] }));
  const section = await screen.findByRole('region', { name: 'To settle before a run' });
  expect(within(section).getByRole('link', { name: 'go there' }).getAttribute('href')).toContain('?term=t');
});

test('a line that could not be counted shows the reason, never a nought', async () => {
  show(() => rehearsal({ lines: [line(1, { hits: null, error: 'It does not answer.' })] }));
  expect(await screen.findByText('It does not answer.')).toBeTruthy();
  expect(within(screen.getByRole('grid')).getByText('—')).toBeTruthy();
  expect(screen.getByText('Not counted.')).toBeTruthy();
});

test('when nothing can be counted, that is said and can be tried again', async () => {
  let failing = true;
  const { user } = show(() =>
    failing ? new Refusal(502, { title: 'The database does not answer.' }) : rehearsal({}),
  );
  expect(await screen.findByText('The database does not answer.')).toBeTruthy();
  expect((screen.getByRole('button', { name: /Run and log/ }) as HTMLButtonElement).disabled).toBe(true);
  failing = false;
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  await waitFor(() => expect(screen.queryByText('The database does not answer.')).toBeNull());
  expect((screen.getByRole('button', { name: /Run and log/ }) as HTMLButtonElement).disabled).toBe(false);
});

test('several databases are run by one action, with what it is for; totals are those of the tabs', async () => {
  const other = { ...database, id: 'other', name: 'Another database' };
  const { user, asked } = renderInReview(
    reviewWith([term('t', wordsContent('light'))]),
    () => <SearchesStage />,
    {
      'GET databases': () => ({ databases: [database, other], failed: [], order: ['db', 'other'] }),
      'GET reviews/r1/rehearsal': () => rehearsal({}),
      'GET reviews/r1/translation': () => translation(ALL_LINES),
      'GET reviews/r1/total': ({ query }: FakeRequest) => {
        const { whole, problems, release } = rehearsal({});
        const remains = { ...whole, hits: query.get('database') === 'db' ? 41 : 17 };
        return { database: query.get('database'), release, whole, remains, problems };
      },
      'GET reviews/r1/databases': () => [],
      'POST reviews/r1/runs/together': () => ({ started: [], refused: [] }),
    },
  );
  await screen.findByText('Beside another database');
  await user.keyboard('{Shift>}R{/Shift}');
  const section = await screen.findByRole('region', { name: 'Run in several databases' });
  const box = (name: string) => within(section).getByRole('checkbox', { name: new RegExp(name) });
  await waitFor(() => expect(section.textContent).toContain('17'));
  expect((box('^A database') as HTMLInputElement).checked).toBe(true);
  await user.click(box('Another'));
  await user.type(within(section).getByLabelText(/What for/), 'Update of the search');
  await user.click(within(section).getByRole('button', { name: 'Run in 2 databases' }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path.endsWith('runs/together'))?.body).toMatchObject({
      databases: ['db', 'other'],
      purpose: 'Update of the search',
    }),
  );
});
