import { emptyRecord, type BibRecord } from '@even-lantern/core';
import type {
  FilterFiguresAnswer,
  FilterFiguresRequest,
  Problem,
  RecordPage,
  Review,
  Run,
  SavedFilter,
} from '@even-lantern/contract';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { RunsService } from '../runs/runsService.js';
import { indexedConnector } from '../testing/indexedConnector.js';
import { lightReview, vocabulary, words, type LightReview } from '../testing/lightReview.js';
import { testApplication } from '../testing/testApplication.js';
import { DesignContent } from './designContent.js';

const WORDS = { any: ['random*', 'title:trial'], without: ['protocol'] };
const NEW = { name: 'Trials, ours', designs: ['Randomised trial'], words: WORDS };

describe('saved filters', () => {
  let light: LightReview;
  beforeEach(async () => {
    light = await lightReview({}, words('light'));
  });
  afterEach(() => light.server.application.close());

  const list = async () => (await light.server.get('/api/filters').expect(200)).body as SavedFilter[];
  const save = (filter: object = NEW) => light.server.post('/api/filters', filter);

  test('are kept for all reviews with name and time, changed on the version that was seen, and taken away and back', async () => {
    const saved = (await save().expect(201)).body as SavedFilter;
    expect(await list()).toEqual([saved]);
    expect(saved).toMatchObject({ ...NEW, changedBy: 'Ada', version: 1 });
    const change = (body: object, version: number) =>
      light.server.patch(`/api/filters/${saved.id}`, body, version);
    const changed = (await change({ words: { any: ['lots'], without: [] } }, 1).expect(200))
      .body as SavedFilter;
    expect(changed).toMatchObject({ name: NEW.name, words: { any: ['lots'], without: [] }, version: 2 });
    await change({ name: 'Late' }, 1).expect(412);
    await change({ removed: true }, 2).expect(200);
    expect(await list()).toEqual([]);
    await change({ removed: false }, 3).expect(200);
    expect(await list()).toMatchObject([{ name: NEW.name, version: 4 }]);
  });

  test('have names of their own, also when one is brought back, in whatever case', async () => {
    const { id } = (await save().expect(201)).body as SavedFilter;
    const { title } = (await save({ ...NEW, name: 'TRIALS, ours ' }).expect(409)).body as Problem;
    expect(title).toContain('Trials, ours');
    await light.server.patch(`/api/filters/${id}`, { removed: true }, 1).expect(200);
    await save().expect(201);
    await light.server.patch(`/api/filters/${id}`, { removed: false }, 2).expect(409);
    await light.server.patch(`/api/filters/${id}`, { removed: false, name: 'Another' }, 2).expect(200);
  });

  test('one name saved by ten people at the same moment is saved once', async () => {
    const answers = await Promise.all(Array.from({ length: 10 }, () => save()));
    expect(answers.map(({ status }) => status).sort()).toEqual([201, ...Array<number>(9).fill(409)]);
    expect(await list()).toHaveLength(1);
  });

  test.each([
    ['no name', { ...NEW, name: '  ' }, 'Give the filter a name.'],
    ['a design that there is not', { ...NEW, designs: ['Moon study'] }, 'There is no study design'],
    ['no words', { ...NEW, words: { any: [], without: [] } }, 'at least one word'],
    ['a phrase that cannot be read', { ...NEW, words: { any: ['"open'], without: [] } }, '“"open”'],
    ['no designs', { ...NEW, designs: [] }, 'designs'],
  ])('%s is refused, saying where', async (_what, filter, message) => {
    const { errors } = (await save(filter).expect(400)).body as Problem;
    expect(errors?.[0]?.message).toContain(message);
    expect(await list()).toEqual([]);
  });

  test('whose words a limit took are told with it, and stay when the filter is changed', async () => {
    const saved = (await save().expect(201)).body as SavedFilter;
    const from = { name: saved.name, by: saved.changedBy, date: saved.changedAt.slice(0, 10) };
    const values = { kind: 'values', values: ['Randomised trial'], words: { ...WORDS, from } };
    const limit = { kind: 'design', values, reason: 'only trials', on: true, ways: {} };
    await light.server.post(`/api/reviews/${light.review.id}/limits`, { limits: [limit] }).expect(201);
    await light.server.patch(
      `/api/filters/${saved.id}`,
      { words: { any: ['lots'], without: [] } },
      saved.version,
    );
    const review = (await light.server.get(`/api/reviews/${light.review.id}`)).body as Review;
    expect(review.limits[0]?.values).toEqual(values);
  });
});

/** Records of two years, every third a trial, some of which say so. */
const record = (i: number): BibRecord => ({
  ...emptyRecord(),
  accession: `K${i}`,
  title:
    i % 3 === 0 ? `Light at night: a ${i % 2 === 0 ? 'randomised trial' : 'study'}` : 'Light and cohorts',
  year: i < 80 ? 2018 : 2001,
});
const RECORDS = Array.from({ length: 90 }, (_, i) => record(i));
const KNOWN = [
  {
    database: 'db',
    from: 2018,
    to: 2018,
    designs: {
      'Randomised trial': RECORDS.filter((_, i) => i % 3 === 0).map(({ accession }) => accession),
      '': RECORDS.filter((_, i) => i % 3 === 1).map(({ accession }) => accession),
    },
  },
];
/** Those of the year whose design is known: 27 trials, of which 14 say so, and 27 others. */
const COUNTS = { right: 14, missed: 13, wrong: 0, passed: 27 };

describe('figures of filters', () => {
  let light: LightReview;
  beforeEach(async () => {
    light = await lightReview({ records: RECORDS }, words('light'));
    const content = light.server.application.get(DesignContent);
    Object.assign(await content.get(), { known: KNOWN });
  });
  afterEach(() => light.server.application.close());

  const measure = (request: Partial<FilterFiguresRequest> = {}) =>
    light.server.post(`/api/reviews/${light.review.id}/filter-figures`, {
      database: 'db',
      designs: ['Randomised trial'],
      words: { any: ['randomised'], without: [] },
      ...request,
    });
  const measured = async (request: Partial<FilterFiguresRequest> = {}) =>
    (await measure(request).expect(200)).body as FilterFiguresAnswer;

  test('words are measured on the records whose designs are known, as many as there are of them', async () => {
    const { known, trouble, judged, judgedRecords } = await measured();
    expect(trouble).toBeNull();
    expect(known?.measuredOn).toContain('54 records of 2018');
    expect(known?.figures.find(({ how }) => how === 'own words')?.counts).toEqual(COUNTS);
    expect(known?.figures.map(({ how }) => how)).toEqual([
      'nearly all',
      'balanced',
      'nearly only',
      'own words',
    ]);
    expect(judged).toBeNull();
    expect(judgedRecords).toEqual({ ofDesign: 0, others: 0 });
  });

  test('the records are fetched once, however often and by however many words are changed at once', async () => {
    const before = light.asked.length;
    await Promise.all([measured(), measured({ words: { any: ['cohorts'], without: [] } })]);
    const fetched = light.asked.length - before;
    expect(fetched).toBe(2);
    await measured({ words: { any: ['night'], without: ['study'] } });
    expect(light.asked.length - before).toBe(fetched);
  });

  test('without words of one’s own nothing is fetched', async () => {
    const before = light.asked.length;
    const request = { database: 'db', designs: ['Randomised trial'] };
    await light.server.post(`/api/reviews/${light.review.id}/filter-figures`, request).expect(200);
    expect(light.asked.length).toBe(before);
  });

  test('once enough were judged in the review, filters are measured on those; the last judgement counts', async () => {
    const run = (
      await light.server
        .post(`/api/reviews/${light.review.id}/runs`, { database: 'db', timeZone: 'UTC' })
        .expect(201)
    ).body as Run;
    await light.server.application.get(RunsService).finished(run.id);
    const { rows } = (await light.server.get(`/api/reviews/${light.review.id}/records?limit=200`))
      .body as RecordPage;
    const judge = (design: string | null, id: string) =>
      light.server.post(`/api/records/${id}/design`, { design }).expect(200);
    const trials = rows.filter(({ title }) => title.includes('night'));
    const others = rows.filter(({ title }) => title.includes('cohorts'));
    for (const { id } of trials.slice(0, 10)) await judge('Cross-over trial', id);
    for (const { id } of others.slice(0, 9)) await judge('Cohort study', id);
    const before = await measured();
    expect(before.judged).toBeNull();
    expect(before.judgedRecords).toEqual({ ofDesign: 10, others: 9 });
    const [eleventh, tenth] = [others[10], others[9]];
    if (eleventh === undefined || tenth === undefined) throw new Error('too few records');
    await judge('Randomised trial', tenth.id);
    await judge('Cohort study', tenth.id);
    await judge('Randomised trial', eleventh.id);
    await judge(null, eleventh.id);
    const { judged, judgedRecords } = await measured();
    expect(judgedRecords).toEqual({ ofDesign: 10, others: 10 });
    const saying = trials.slice(0, 10).filter(({ title }) => title.includes('randomised')).length;
    expect(judged?.figures.find(({ how }) => how === 'own words')?.counts).toEqual({
      right: saying, missed: 10 - saying, wrong: 0, passed: 10,
    }); // prettier-ignore
  });

  test.each([
    ['a design that there is not', { designs: ['Moon study'] }, 400],
    ['words that cannot be read', { words: { any: ['"open'], without: [] } }, 400],
    ['a database that there is not', { database: 'moon' }, 404],
  ])('%s is refused', async (_what, request, status) => {
    await measure(request).expect(status);
  });
});

test('a database that fails leaves the figures out, says why, and is asked again the next time', async () => {
  const connector = indexedConnector({ name: 'A', dialect: 'corvane', vocabulary, records: RECORDS });
  let failing = true;
  const search = connector.search.bind(connector);
  connector.search = (...asked) =>
    failing ? Promise.reject(new DatabaseError('it is being mended', false)) : search(...asked);
  const server = await testApplication({ db: connector });
  try {
    Object.assign(await server.application.get(DesignContent).get(), { known: KNOWN });
    const review = (await server.post('/api/reviews', { title: 'Light' })).body as Review;
    const body = {
      database: 'db',
      designs: ['Randomised trial'],
      words: { any: ['randomised'], without: [] },
    };
    const measured = async () =>
      (await server.post(`/api/reviews/${review.id}/filter-figures`, body).expect(200))
        .body as FilterFiguresAnswer;
    expect(await measured()).toMatchObject({ known: null, trouble: 'it is being mended' });
    failing = false;
    const { known, trouble } = await measured();
    expect(trouble).toBeNull();
    expect(known?.figures.find(({ how }) => how === 'own words')?.counts).toEqual(COUNTS);
  } finally {
    await server.application.close();
  }
});
