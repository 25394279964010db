import type { Problem, RecordPage, Review, ReviewRecord, Run, StudyDesigns } from '@even-lantern/contract';
import { RunsService } from '../runs/runsService.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';

let light: LightReview;
let review: Review;
let record: { id: string };
beforeEach(async () => {
  light = await lightReview({}, words('light'));
  review = light.review;
  const { id } = (
    await light.server.post(`/api/reviews/${review.id}/runs`, { database: 'db', timeZone: 'UTC' }).expect(201)
  ).body as Run;
  await light.server.application.get(RunsService).finished(id);
  const { rows } = (await light.server.get(`/api/reviews/${review.id}/records`)).body as RecordPage;
  if (rows[0] === undefined) throw new Error('nothing was found');
  record = rows[0];
});
afterEach(() => light.server.application.close());

const judge = (design: string | null, id = record.id) =>
  light.server.post(`/api/records/${id}/design`, { design });
const opened = async () => (await light.server.get(`/api/records/${record.id}`)).body as ReviewRecord;
const present = async () => (await light.server.get(`/api/reviews/${review.id}`)).body as Review;
const ladder = (rungs: Review['ladder'], version: number) =>
  light.server.put(`/api/reviews/${review.id}/ladder`, { rungs }, version);

test('the study designs are served with their definitions and rules, and as SKOS', async () => {
  const { taxonomy, rules } = (await light.server.get('/api/designs').expect(200)).body as StudyDesigns;
  expect(taxonomy.headings.find(({ label }) => label === 'Cohort study')?.scopeNote).toContain(
    'follows people over time',
  );
  expect(rules).toContain('[Cohort study]');
  const turtle = await light.server.get('/api/designs.ttl').expect(200);
  expect(turtle.headers['content-type']).toContain('text/turtle');
  expect(turtle.text).toContain('skos:definition');
});

test('a judgement is kept with name and time, and goes before others; it can be changed and taken back', async () => {
  expect((await opened()).judged).toBeNull();
  expect(((await judge('Cohort study').expect(200)).body as ReviewRecord).judged).toMatchObject({
    design: 'Cohort study',
    person: 'Ada',
  });
  await judge('Case report').expect(200);
  expect((await opened()).judged?.design).toBe('Case report');
  await judge(null).expect(200);
  expect((await opened()).judged).toBeNull();
});

test('what is no design is refused with those there are; a record that is not there is told', async () => {
  const { errors } = (await judge('Moon study').expect(400)).body as Problem;
  expect(errors?.[0]).toMatchObject({
    path: 'design',
    message: expect.stringContaining('Cohort study') as string,
  });
  await judge('Cohort study', 'nobody').expect(404);
});

test('judgements at the same moment are all kept, one after the other', async () => {
  const designs = ['Cohort study', 'Case report', 'Randomised trial', 'Opinion', 'Guideline'];
  const answers = await Promise.all(designs.map((design) => judge(design)));
  expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200, 200]);
  expect(designs).toContain((await opened()).judged?.design);
});

test('the ladder is changed with reasons, on the version that was seen, and goes back to what is proposed', async () => {
  const rungs = [
    { designs: ['Randomised trial'], answers: true, reason: 'only trials tell' },
    { designs: ['Opinion'], answers: false, reason: '' },
  ];
  const before = await present();
  expect(before.ladder).toBeNull();
  const changed = (await ladder(rungs, before.version).expect(200)).body as Review;
  expect(changed.ladder).toEqual(rungs);
  await ladder(null, before.version).expect(412);
  await ladder(null, changed.version).expect(200);
  expect((await present()).ladder).toBeNull();
});

test.each([
  [[{ designs: ['Moon study'], answers: true, reason: '' }], 'There is no study design'],
  [
    [
      { designs: ['Opinion'], answers: true, reason: '' },
      { designs: ['Opinion'], answers: true, reason: '' },
    ],
    'two rungs',
  ],
])('a ladder of %j is refused', async (rungs, message) => {
  const { errors } = (await ladder(rungs, (await present()).version).expect(400)).body as Problem;
  expect(errors?.[0]?.message).toContain(message);
});
