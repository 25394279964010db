import type { LaneCounts, TermChange } from '@even-lantern/contract';
import { screen, waitFor } from '@testing-library/react';
import { countsBy, renderInReview, reviewWith, term } from '../../testing/renderInReview.js';
import { Endings } from './Endings.js';
import { HeadingOptions } from './HeadingOptions.js';
import { HeadingPlace } from './HeadingPlace.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';
import { HoldBack } from './HoldBack.js';
import { whatItCosts } from './LaneBar.js';
import { PasteList } from './PasteList.js';
import { SampleRecords } from './SampleRecords.js';
import { Variants } from './Variants.js';

const light = headingContent('tree', 'Light therapy');
const added = () => term('new', wordsContent('x'));

test('some of the narrower headings are chosen, and what each choice would find stands beside it', async () => {
  const onChange = jest.fn();
  const { user } = renderInReview(
    reviewWith([]),
    () => (
      <HeadingOptions
        termId="t"
        laneId="l-i"
        content={{ ...light, narrower: ['Dawn simulation', 'Light glasses'] }}
        onChange={onChange}
      />
    ),
    {
      'POST reviews/r1/candidates': countsBy((content) =>
        content.kind === 'heading' && Array.isArray(content.narrower) ? content.narrower.length : 90,
      ),
    },
  );
  const dawn = await screen.findByLabelText(/Dawn simulation/);
  expect((dawn as HTMLInputElement).checked).toBe(true);
  await waitFor(() => expect(dawn.closest('label')?.textContent).toBe('Dawn simulation1'));
  await user.click(dawn);
  expect(onChange).toHaveBeenCalledWith({ ...light, narrower: ['Light glasses'] });
  await user.click(screen.getByLabelText(/^this heading alone/));
  expect(onChange).toHaveBeenLastCalledWith({ ...light, narrower: false });
});

test('one goes to a related heading, sees that it is another, and comes back', async () => {
  const { user } = renderInReview(reviewWith([]), (lane) => (
    <HeadingPlace vocabulary="tree" label="Light therapy" lane={lane} />
  ));
  await user.click(await screen.findByRole('button', { name: 'Lighting' }));
  expect(await screen.findByRole('heading', { name: 'Lighting' })).toBeTruthy();
  expect(screen.getByText('lamps')).toBeTruthy();
  await user.click(screen.getByRole('button', { name: 'back to Light therapy' }));
  await waitFor(() => expect(screen.queryByRole('heading', { name: 'Lighting' })).toBeNull());
});

test('a heading that the release no longer has is explained, with what to do', async () => {
  renderInReview(reviewWith([]), (lane) => (
    <HeadingPlace vocabulary="tree" label="Moonbeam therapy" lane={lane} />
  ));
  expect(await screen.findByText(/is not in the present release/)).toBeTruthy();
});

test('several neighbours are added at once', async () => {
  const { user, asked } = renderInReview(
    reviewWith([]),
    (lane) => <HeadingPlace vocabulary="tree" label="Light therapy" lane={lane} />,
    { 'POST reviews/r1/terms': added },
  );
  await user.click(await screen.findByLabelText('Add Dawn simulation'));
  await user.click(screen.getByLabelText('Add Lighting'));
  await user.click(screen.getByRole('button', { name: 'Add 2 headings to the lane' }));
  await waitFor(() =>
    expect(
      asked
        .filter(({ path }) => path === 'reviews/r1/terms')
        .map(({ body }) => (body as { content: { label: string } }).content.label),
    ).toEqual(['Dawn simulation', 'Lighting']),
  );
});

const words = { words: [{ word: 'ward', hits: 40 }, { word: 'wards', hits: 50 }, { word: 'warden', hits: 3 }, { word: 'wardrobe', hits: 9 }], more: false }; // prettier-ignore

test('a cut shows every word it brings in, those perhaps not meant first, and can be spelled out instead', async () => {
  const onChange = jest.fn();
  const onSpellOut = jest.fn();
  const { user } = renderInReview(
    reviewWith([]),
    () => <Endings content={wordsContent('ward*')} onChange={onChange} onSpellOut={onSpellOut} />,
    { 'GET databases/db/words': () => words },
  );
  await user.click(screen.getByText('Endings of “ward*”'));
  expect(await screen.findByText(/brings in 4 words/)).toBeTruthy();
  expect(screen.getByText('1 of them perhaps not meant')).toBeTruthy();
  const list = screen.getByLabelText('Words that the cut brings in');
  expect(list.querySelector('li')?.textContent).toBe('? wardrobe9');
  await user.click(screen.getByLabelText('wards*'));
  await user.click(screen.getByRole('button', { name: 'Cut to wards*' }));
  expect(onChange).toHaveBeenCalledWith(wordsContent('wards*'));
  await user.click(screen.getByLabelText('ward*'));
  await user.click(screen.getByRole('button', { name: 'Spell out the 3 meant' }));
  expect(onSpellOut).toHaveBeenCalledWith([
    wordsContent('wards'),
    wordsContent('ward'),
    wordsContent('warden'),
  ]);
});

test('a word of few letters is not offered for cutting', () => {
  renderInReview(reviewWith([]), () => (
    <Endings content={wordsContent('nap')} onChange={jest.fn()} onSpellOut={jest.fn()} />
  ));
  expect(screen.queryByText(/Endings of/)).toBeNull();
});

test('only the ways of writing that the database holds are offered, the others when asked for', async () => {
  const own = term('t', wordsContent('night shift'));
  const { user, asked } = renderInReview(
    reviewWith([own]),
    (lane) => <Variants term={own} content={wordsContent('night shift')} lane={lane} />,
    {
      'POST reviews/r1/candidates': countsBy((content) =>
        content.kind === 'words' && content.text === '"night shifts"' ? 12 : 0,
      ),
      'POST reviews/r1/terms': added,
    },
  );
  expect(await screen.findByText('Show the 2 that find nothing')).toBeTruthy();
  expect(screen.getAllByRole('listitem')).toHaveLength(1);
  await user.click(screen.getByRole('button', { name: 'Add "night shifts"' }));
  await waitFor(() =>
    expect(asked.find(({ path }) => path === 'reviews/r1/terms')?.body).toMatchObject({
      content: { text: '"night shifts"' },
      origin: 'proposed',
    }),
  );
});

test('a word is offered written apart only where the database holds it so', async () => {
  const own = term('t', wordsContent('bedsores'));
  renderInReview(
    reviewWith([own]),
    (lane) => <Variants term={own} content={wordsContent('bedsores')} lane={lane} />,
    {
      'POST reviews/r1/candidates': countsBy((content) =>
        content.kind === 'words' && content.text === '"bed sores"' ? 5 : 0,
      ),
    },
  );
  expect(await screen.findByText('written apart')).toBeTruthy();
  expect(screen.queryByText('"beds ores"')).toBeNull();
  expect(screen.getByText('Show the 1 that find nothing')).toBeTruthy();
});

test('a pasted list is shown before anything is added, and what is there already is not taken', async () => {
  const { user, asked } = renderInReview(
    reviewWith([term('t', wordsContent('lamp*'))]),
    (lane) => <PasteList lane={lane} />,
    { 'POST reviews/r1/terms': added },
  );
  await user.click(screen.getByRole('button', { name: 'Paste a list of terms' }));
  await user.click(screen.getByLabelText('A list, or a piece of a published strategy'));
  await user.paste('lamp$ or lantern\nphototherapy/\n<script>alert(1)</script>\n1 or 2');
  expect(await screen.findByText(/in the lane already/)).toBeTruthy();
  expect(screen.getByText('Light therapy')).toBeTruthy();
  expect(screen.getByText('1 line without a term')).toBeTruthy();
  expect(asked.filter(({ path }) => path === 'reviews/r1/terms')).toHaveLength(0);
  await user.click(screen.getByLabelText(/lantern/));
  await user.click(screen.getByRole('button', { name: /^Add \d terms?$/ }));
  await waitFor(() => expect(screen.queryByLabelText('Paste a list of terms')).toBeNull());
  const contents = asked
    .filter(({ path }) => path === 'reviews/r1/terms')
    .map(({ body }) => (body as { content: object }).content);
  expect(contents[0]).toMatchObject({ kind: 'heading', label: 'Light therapy' });
  expect(JSON.stringify(contents)).not.toContain('lantern');
});

test('plain words that name a heading offer it too, taken only when somebody asks for it', async () => {
  const { user, asked } = renderInReview(reviewWith([]), (lane) => <PasteList lane={lane} />, {
    'POST reviews/r1/terms': () => term('new', wordsContent('lamps')),
  });
  await user.click(screen.getByRole('button', { name: 'Paste a list of terms' }));
  await user.click(screen.getByLabelText('A list, or a piece of a published strategy'));
  await user.paste('phototherapy, lanterns, light therapy');
  expect(await screen.findByText(/the heading for these words/)).toBeTruthy();
  const rows = screen.getAllByRole('checkbox').map((box) => (box as HTMLInputElement).checked);
  expect(rows).toEqual([true, false, true, true]);
  await user.click(screen.getByLabelText(/Light therapy heading/));
  await user.click(screen.getByRole('button', { name: 'Add 4 terms' }));
  const sent = () =>
    asked.filter(({ path }) => path === 'reviews/r1/terms').map(({ body }) => JSON.stringify(body));
  await waitFor(() => expect(sent()).toHaveLength(4));
  expect(sent().filter((body) => body.includes('"label":"Light therapy"'))).toHaveLength(1);
});

test('a term is held back only with a reason, which is sent with the version that was seen', async () => {
  const own = term('t', wordsContent('work*'), { version: 4 });
  const { user, asked } = renderInReview(reviewWith([own]), () => <HoldBack term={own} asksWhy={false} />, {
    'PATCH terms/t': ({ body }) => ({ ...own, ...(body as TermChange), version: 5 }),
  });
  await user.click(screen.getByRole('button', { name: 'Hold back' }));
  await user.click(screen.getByRole('button', { name: 'Hold back' }));
  expect(asked.filter(({ method }) => method === 'PATCH')).toHaveLength(0);
  await user.click(screen.getByRole('button', { name: 'too broad' }));
  await waitFor(() =>
    expect(asked.find(({ method }) => method === 'PATCH')?.body).toEqual({ heldBack: 'too broad' }),
  );
  expect(asked.find(({ method }) => method === 'PATCH')?.headers.get('If-Match')).toBe('"4"');
});

test('a sample shows what the term marks, and markup in a title stays text', async () => {
  const record = {
    accession: 'A1', title: 'Lamps <b>on</b> wards', abstract: [{ label: null, text: 'A long tale of one lamp.' }],
    keywords: [], authors: [], journal: '', year: 2020, volume: '', issue: '', pages: '', doi: null, language: 'English',
    publicationTypes: [], headings: [], limits: {}, entered: null, changed: null,
  }; // prettier-ignore
  renderInReview(reviewWith([]), () => <SampleRecords content={wordsContent('lamp*')} />, {
    'POST samples': () => ({ hits: 1, error: null, records: [record] }),
  });
  expect((await screen.findByText('Lamps')).tagName).toBe('MARK');
  expect(screen.getByText(/<b>on<\/b> wards/)).toBeTruthy();
});

const lane = (parts: Partial<LaneCounts>): LaneCounts => ({
  hits: 1,
  error: null,
  headingsOnly: 10,
  both: 5,
  wordsOnly: 5,
  awaitingHeadings: 2,
  ...parts,
});

test.each([
  ['headings and words', {}, null],
  ['headings only', { both: 0, wordsOnly: 0 }, /newest records.*Add words/],
  ['words only', { both: 0, headingsOnly: 0 }, /Add a heading.*2 have no headings yet/],
  [
    'words only, where the database cannot tell',
    { both: 0, headingsOnly: 0, awaitingHeadings: null },
    /Add a heading\.$/,
  ],
])('a lane of %s says what that costs', (_name, parts, expected) => {
  const told = whatItCosts(lane(parts));
  if (expected === null) expect(told).toBeNull();
  else expect(told).toMatch(expected);
});
