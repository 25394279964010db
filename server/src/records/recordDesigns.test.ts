import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  designTree,
  emptyRecord,
  likelyDesigns,
  readDesignRules,
  vocabularyFromTurtle,
  type BibRecord,
} from '@even-lantern/core';
import { DECISIONS, type DesignCounts, type RecordPage, type Run } from '@even-lantern/contract';
import { RunsService } from '../runs/runsService.js';
import { ReviewEndService } from '../reviews/reviewEndService.js';
import { DesignPassRow, RecordRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';
import { DesignContent } from '../designs/designContent.js';
import { RecordDesignsService } from './recordDesignsService.js';

const TITLES = [
  'Light at night: a randomised controlled trial',
  'Light at night: a cross-over trial',
  'Light on wards: a cohort study',
  'Light and sleep: a systematic review',
  'Light, a word',
];
const RECORDS = Array.from({ length: 450 }, (_, i): BibRecord => ({
  ...emptyRecord(),
  accession: `A${i}`,
  title: TITLES[i % TITLES.length] ?? '',
  abstract: [{ label: null, text: i % 2 === 0 ? 'Light was given to 40 nurses.' : 'Light, told of.' }],
}));

let light: LightReview;
beforeEach(async () => {
  light = await lightReview({ records: RECORDS }, words('light'));
});
afterEach(() => light.server.application.close());

const run = async () => {
  const body = { database: 'db', timeZone: 'UTC' };
  const started = (await light.server.post(`/api/reviews/${light.review.id}/runs`, body).expect(201))
    .body as Run;
  await light.server.application.get(RunsService).finished(started.id);
};
const counts = async () =>
  (await light.server.get(`/api/reviews/${light.review.id}/records/designs`).expect(200))
    .body as DesignCounts;
const told = async () => {
  await counts();
  await light.server.application.get(RecordDesignsService).settled(light.review.id);
  return counts();
};
const listed = async (query: string) =>
  (
    (await light.server.get(`/api/reviews/${light.review.id}/records?limit=200${query}`).expect(200))
      .body as RecordPage
  ).rows;

/** The designs as somebody would tell them who reads one record after the other. */
async function naive(records: readonly BibRecord[]): Promise<Map<string, number>> {
  const content = (name: string) =>
    readFileSync(join(__dirname, '..', '..', '..', 'core', 'content', name), 'utf8');
  const read = await vocabularyFromTurtle(content('study-designs.ttl'));
  if (!read.ok) throw new Error(read.message);
  const tree = designTree(read.vocabulary);
  const labels = new Set(tree.designs.map(({ label }) => label));
  const { rules } = readDesignRules(content('design-rules.txt'), labels);
  const numbers = new Map<string, number>();
  for (const record of records) {
    const design = likelyDesigns(record, rules, tree)[0]?.design ?? '';
    numbers.set(design, (numbers.get(design) ?? 0) + 1);
  }
  return numbers;
}
const numbers = ({ designs }: DesignCounts) =>
  new Map(
    designs.map(({ design, records }) => [design, DECISIONS.reduce((sum, each) => sum + records[each], 0)]),
  );

test('the designs of all records are worked out when somebody asks, as one after the other would tell them', async () => {
  expect(await counts()).toEqual({ designs: [], pending: 0, trouble: null });
  await run();
  expect((await counts()).pending).toBeGreaterThan(0);
  const { pending, trouble, ...rest } = await told();
  expect({ pending, trouble }).toEqual({ pending: 0, trouble: null });
  expect(numbers({ pending, trouble, ...rest })).toEqual(await naive(RECORDS));
});

test('a list is narrowed to a design with its kinds, within a decision, and pages on', async () => {
  await run();
  await told();
  const trials = await listed('&design=Randomised%20trial');
  expect(trials).toHaveLength(180);
  expect(new Set(trials.map(({ title }) => title))).toEqual(new Set(TITLES.slice(0, 2)));
  expect(await listed('&design=Cross-over%20trial')).toHaveLength(90);
  const [first] = trials;
  if (first === undefined) throw new Error('nothing is listed');
  await light.server.patch(`/api/records/${first.id}`, { decision: 'keep' }, first.version).expect(200);
  expect((await listed('&design=Randomised%20trial&decision=keep')).map(({ id }) => id)).toEqual([first.id]);
  const { designs } = await counts();
  expect(designs.find(({ design }) => design === first.design)?.records).toMatchObject({ keep: 1 });
  const page = (
    await light.server.get(`/api/reviews/${light.review.id}/records?limit=100&design=Randomised%20trial`)
  ).body as RecordPage;
  const next = (
    await light.server.get(
      `/api/reviews/${light.review.id}/records?limit=100&design=Randomised%20trial&after=${page.next ?? ''}`,
    )
  ).body as RecordPage;
  expect([...page.rows, ...next.rows].map(({ id }) => id)).toEqual(trials.map(({ id }) => id));
  expect(await listed('&design=')).toHaveLength((await naive(RECORDS)).get('') ?? 0);
  expect(await listed('&design=Moon%20study')).toEqual([]);
});

test('what a person judges goes before rules, while they are worked out and afterwards; taken back, it is told anew', async () => {
  await run();
  const [row] = await listed('');
  if (row === undefined) throw new Error('nothing is listed');
  const judge = (design: string | null) =>
    light.server.post(`/api/records/${row.id}/design`, { design }).expect(200);
  // At the same moment as the work begins.
  await Promise.all([counts(), judge('Guideline'), counts()]);
  await told();
  expect(await listed('&design=Guideline')).toMatchObject([{ id: row.id, designJudged: true }]);
  await judge(null);
  expect((await counts()).pending).toBe(1);
  await told();
  expect(await listed('&design=Guideline')).toEqual([]);
  expect(numbers(await counts())).toEqual(await naive(RECORDS));
});

test('a record that comes again is told anew only where the database says something else of it', async () => {
  await run();
  await told();
  const { read } = light.server.application.get(Store);
  const store = light.server.application.get(Store);
  const [same, changed] = await read.find(RecordRow, { order: { rank: 'ASC' }, take: 2 });
  if (same === undefined || changed === undefined) throw new Error('nothing was found');
  // As an earlier release would have had it.
  await store.write((manager) =>
    manager.update(RecordRow, { id: changed.id }, { record: '{}', design: 'Opinion' }),
  );
  await store.write((manager) => manager.update(RecordRow, { id: same.id }, { design: 'Opinion' }));
  await run();
  expect((await counts()).pending).toBe(1);
  await told();
  expect(await read.findOneBy(RecordRow, { id: changed.id })).toMatchObject({ design: changed.design });
  expect(await read.findOneBy(RecordRow, { id: same.id })).toMatchObject({ design: 'Opinion' });
});

test('what other rules told is told anew, but not what a person judged', async () => {
  await run();
  await told();
  const [row] = await listed('');
  if (row === undefined) throw new Error('nothing is listed');
  await light.server.post(`/api/records/${row.id}/design`, { design: 'Guideline' }).expect(200);
  const content = await light.server.application.get(DesignContent).get();
  Object.assign(content, { rules: '[Opinion]\n+9 title: light' });
  const before = await counts();
  expect(before).toMatchObject({ designs: [], pending: RECORDS.length });
  expect(numbers(await told())).toEqual(
    new Map([
      ['Opinion', RECORDS.length - 1],
      ['Guideline', 1],
    ]),
  );
});

test('a worker that fails leaves the records as they are and says so; the next time it goes on', async () => {
  await run();
  const content = await light.server.application.get(DesignContent).get();
  const { taxonomy } = content;
  Object.assign(content, { taxonomy: null });
  const { pending, trouble } = await told();
  expect(pending).toBe(RECORDS.length);
  expect(trouble).toContain('could not be worked out');
  await light.server.application.get(RecordDesignsService).settled(light.review.id);
  Object.assign(content, { taxonomy });
  expect((await told()).pending).toBe(0);
});

test('a review that is not there, and one that is deleted meanwhile, are told', async () => {
  await light.server.get('/api/reviews/moon/records/designs').expect(404);
  await run();
  await counts();
  await light.server.post(`/api/reviews/${light.review.id}/deletion`, { title: 'Light' }).expect(204);
  await light.server.application.get(RecordDesignsService).settled(light.review.id);
  await light.server.get(`/api/reviews/${light.review.id}/records/designs`).expect(404);
  await light.server.application.get(ReviewEndService).settled();
  // Nothing that was worked out meanwhile is left behind.
  const { read } = light.server.application.get(Store);
  expect([await read.count(RecordRow), await read.count(DesignPassRow)]).toEqual([0, 0]);
});
