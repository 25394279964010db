import { vocabularyFromTurtle, vocabularyToTurtle, type Heading, type Vocabulary } from '@even-lantern/core';
import {
  PERSON_HEADER,
  type Rehearsal,
  type Review,
  type SettledStep,
  type TermCount,
  type Problem,
  type VocabularySummary,
} from '@even-lantern/contract';
import request from 'supertest';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';

const heading = (label: string, entryTerms: string[] = []): Heading => ({
  label,
  entryTerms,
  scopeNote: '',
  broader: [],
  related: [],
  historyNote: null,
  subheadings: [],
});

let server: TestApplication;
let harbour: FaultyConnector;
let coast: FaultyConnector;
let asked: string[];
let review: Review;

/** A database with a vocabulary of its own. */
function withVocabulary(id: string, headings: Heading[]): FaultyConnector {
  const connector = faultyConnector(20);
  const explain = connector.explain.bind(connector);
  connector.explain = async () => ({
    ...(await explain()),
    name: `The ${id} index`,
    vocabulary: { id, name: `${id} words`, address: `/${id}.ttl` },
  });
  connector.vocabulary = () =>
    vocabularyToTurtle({ id, name: `${id} words`, release: '2026-01-01', headings });
  const count = connector.count.bind(connector);
  connector.count = (query, signal) => {
    asked.push(query);
    return count(query, signal);
  };
  return connector;
}

beforeAll(async () => {
  harbour = withVocabulary('harbour', [heading('Lanterns', ['lamps']), heading('Tide tables')]);
  coast = withVocabulary('coast', [heading('Ship lights', ['lamps'])]);
  asked = [];
  server = await testApplication({ harbour, coast });
  review = (await server.post('/api/reviews', { title: 'Lights' })).body as Review;
  const laneId = laneOf(review, 'I').id;
  await server.post(`/api/reviews/${review.id}/terms`, { laneId, origin: 'lookup', content: lanterns });
});
beforeEach(() => {
  asked = [];
});
afterAll(() => server.application.close());

const lanterns = {
  kind: 'heading',
  vocabulary: 'harbour',
  label: 'Lanterns',
  narrower: true,
  central: false,
  subheadings: [],
};
const settle = (verdict: string, targetLabel: string | null, parts: object = {}) =>
  server.post('/api/crosswalk', {
    vocabulary: 'harbour',
    label: 'Lanterns',
    target: 'coast',
    targetLabel,
    verdict,
    ...parts,
  });
const rehearse = async (database: string) =>
  (await server.get(`/api/reviews/${review.id}/rehearsal?database=${database}`).expect(200))
    .body as Rehearsal;

test('a heading that nobody settled is not searched in another database, and says so', async () => {
  const { terms, problems, lines } = await rehearse('coast');
  expect(Object.values(terms)[0]).toMatchObject({
    hits: null,
    error: expect.stringContaining('“Lanterns” of the harbour words is not settled in the coast words'),
  });
  expect(problems.length).toBeGreaterThan(0);
  expect(lines).toEqual([]);
  const refused = await server
    .post(`/api/reviews/${review.id}/runs`, { database: 'coast', timeZone: 'UTC' })
    .expect(400);
  expect(JSON.stringify((refused.body as { errors: object[] }).errors)).toContain('not settled');
});

test('once confirmed it is searched there as the other heading, and remembered with person and time', async () => {
  const settled = (await settle('confirmed', 'Ship lights').expect(200)).body as SettledStep[];
  expect(settled).toMatchObject([{ label: 'Lanterns', targetLabel: 'Ship lights', person: 'Ada' }]);
  const { lines } = await rehearse('coast');
  expect(lines[0]).toMatchObject({
    string: 'el.heading ==/el.narrower "Ship lights"',
    description: 'Lanterns (with narrower)',
    hits: 20,
  });
  expect((await rehearse('harbour')).lines[0]?.string).toBe('el.heading ==/el.narrower "Lanterns"');
});

test('candidates and samples follow the crosswalk too', async () => {
  const counts = await server
    .post(`/api/reviews/${review.id}/candidates`, {
      database: 'coast',
      laneId: null,
      instead: null,
      contents: [{ ...lanterns, narrower: false }],
    })
    .expect(200);
  expect((counts.body as TermCount[])[0]).toMatchObject({ hits: 20, error: null });
  expect(asked).toEqual(['el.heading == "Ship lights"']);
  await server.post('/api/samples', { database: 'coast', content: lanterns }).expect(200);
});

test('what was settled is taken back by a later step, and words can be chosen instead', async () => {
  expect((await settle('open', 'Ship lights').expect(200)).body).toEqual([]);
  expect((await rehearse('coast')).lines).toEqual([]);
  await settle('words', null).expect(200);
  const { lines } = await rehearse('coast');
  expect(lines[0]).toMatchObject({
    string: 'el.words = "lanterns" or el.words = "lamps"',
    changes: ['searched as words'],
  });
});

test('only headings that exist can be settled', async () => {
  const wrong = await settle('confirmed', 'Moonbeams').expect(400);
  expect((wrong.body as { title: string }).title).toBe('The coast words has no heading “Moonbeams”.');
  await settle('confirmed', null).expect(400);
  await settle('confirmed', 'Ship lights', { vocabulary: 'nowhere' }).expect(400);
  await settle('confirmed', 'Lanterns', { target: 'harbour' }).expect(400);
});

describe('while the database that serves the headings', () => {
  let explain: FaultyConnector['explain'];
  let before: Rehearsal;
  let giveUp: (reason: Error) => void = () => undefined;
  beforeEach(async () => {
    ({ explain } = harbour);
    await settle('confirmed', 'Ship lights').expect(200);
    before = await rehearse('coast');
    expect(before.lines[0]?.string).toContain('"Ship lights"');
  });
  afterEach(() => {
    harbour.explain = explain;
    giveUp(new DatabaseError('It took too long.', false));
  });

  test.each([
    ['is away', () => Promise.reject(new DatabaseError('harbour.test cannot be reached.', false))],
    ['takes its time', () => new Promise<never>((_resolve, reject) => (giveUp = reject))],
  ])('%s, another one counts them as before, and their vocabulary is listed', async (_how, answer) => {
    harbour.explain = answer;
    expect((await rehearse('coast')).lines).toEqual(before.lines);
    const listed = (await server.get('/api/vocabularies').expect(200)).body as VocabularySummary[];
    expect(listed.map(({ id, headings }) => [id, headings])).toContainEqual(['harbour', 2]);
    await server.get('/api/vocabularies/harbour').expect(200);
  });
});

test('the crosswalk goes out as SKOS mappings and as CSV', async () => {
  await settle('confirmed', 'Ship lights').expect(200);
  const turtle = (await server.get('/api/crosswalk.ttl').expect(200)).text;
  expect(turtle).toContain('skos:closeMatch');
  expect(turtle).toContain('Ship%20lights');
  const csv = (await server.get('/api/crosswalk.csv').expect(200)).text;
  const rows = csv.split('\r\n').map((row) => row.split(',').slice(0, 6));
  expect(rows.slice(1, 3)).toEqual([
    ['harbour', 'Lanterns', 'coast', '', 'words instead', 'Ada'],
    ['harbour', 'Lanterns', 'coast', 'Ship lights', 'confirmed', 'Ada'],
  ]);
});

describe('vocabularies', () => {
  const PREFIX =
    '@prefix skos: <http://www.w3.org/2004/02/skos/core#> . @prefix dct: <http://purl.org/dc/terms/> .';
  const send = (type: string, body: string, file = 'pier.ttl') =>
    request(server.application.getHttpServer())
      .post(`/api/vocabularies?file=${file}`)
      .set({ Host: 'localhost', [PERSON_HEADER]: server.person, 'Content-Type': type })
      .send(body);

  test('those of databases are listed with their databases', async () => {
    const listed = (await server.get('/api/vocabularies').expect(200)).body as VocabularySummary[];
    expect(listed.map(({ id, headings, databases }) => [id, headings, databases])).toEqual([
      ['harbour', 2, ['The harbour index']],
      ['coast', 1, ['The coast index']],
    ]);
  });

  test('one whose letters came out wrong is read again in the encoding that a person names', async () => {
    // The byte of “Ł” in windows-1250 is that of “£” in windows-1252.
    const text = `${PREFIX} <urn:quay> a skos:ConceptScheme ; dct:identifier "quay" . <urn:q> a skos:Concept ; skos:prefLabel "?odka"@en .`;
    const bytes = Buffer.from(text, 'latin1');
    bytes[text.indexOf('?odka')] = 0xa3;
    const labelIn = async (encoding: string) => {
      await request(server.application.getHttpServer())
        .post(`/api/vocabularies?file=quay.ttl&encoding=${encoding}`)
        .set({ Host: 'localhost', [PERSON_HEADER]: server.person, 'Content-Type': 'text/turtle' })
        .send(bytes)
        .expect(201);
      const { headings } = (await server.get('/api/vocabularies/quay').expect(200)).body as Vocabulary;
      return headings.map(({ label }) => label);
    };
    expect(await labelIn('windows-1252')).toEqual(['£odka']);
    expect(await labelIn('windows-1250')).toEqual(['Łodka']);
    const refused = await send('text/turtle', text, 'quay.ttl&encoding=lamps').expect(400);
    expect((refused.body as Problem).title).toContain('There is no such encoding');
  });

  test('one is read from Turtle, with notes on what is odd, and comes out again', async () => {
    const pier = `${PREFIX}
      <urn:pier> a skos:ConceptScheme ; dct:identifier "pier" ; dct:title "Pier words"@en ; dct:issued "2026-02-02" .
      <urn:a> a skos:Concept ; skos:prefLabel "Planks"@en, "Planken"@de ; skos:altLabel "boards"@en .
      <urn:b> a skos:Concept ; skos:prefLabel "Nails"@en ; skos:broader <urn:a> .
      <urn:c> a skos:Concept .`;
    const read = (await send('text/turtle', pier).expect(201)).body as VocabularySummary;
    expect(read).toMatchObject({ id: 'pier', name: 'Pier words', release: '2026-02-02', headings: 2 });
    expect(read.imported?.notes).toEqual(['1 concept has no label and is left out: “urn:c”.']);
    const turtle = vocabularyFromTurtle((await server.get('/api/vocabularies/pier/turtle').expect(200)).text);
    expect(turtle.ok && turtle.vocabulary.headings.map(({ label, broader }) => [label, broader])).toEqual([
      ['Planks', []],
      ['Nails', ['Planks']],
    ]);
  });

  test('mappings name the concepts of a file by the addresses that they came with', async () => {
    await settle('confirmed', 'Planks', { target: 'pier' }).expect(200);
    const mappings = (await server.get('/api/crosswalk.ttl').expect(200)).text;
    expect(mappings).toMatch(/harbour:Lanterns> skos:closeMatch .*<urn:a>/);
    await settle('open', 'Planks', { target: 'pier' }).expect(200);
  });

  test('a newer release tells which headings are withdrawn and which lanes still hold', async () => {
    const content = { ...lanterns, vocabulary: 'pier', label: 'Nails' };
    const laneId = laneOf(review, 'C').id;
    await server.post(`/api/reviews/${review.id}/terms`, { laneId, origin: 'lookup', content }).expect(201);
    const jsonLd = JSON.stringify({
      '@context': { skos: 'http://www.w3.org/2004/02/skos/core#', dct: 'http://purl.org/dc/terms/' },
      '@graph': [
        {
          '@id': 'urn:pier',
          '@type': 'skos:ConceptScheme',
          'dct:identifier': 'pier',
          'dct:title': 'Pier words',
        },
        {
          '@id': 'urn:a',
          '@type': 'skos:Concept',
          'skos:prefLabel': { '@value': 'Planks', '@language': 'en' },
        },
      ],
    });
    const read = (await send('application/ld+json', jsonLd).expect(201)).body as VocabularySummary;
    expect(read.headings).toBe(1);
    expect(read.imported?.notes).toEqual([
      '1 heading of the release of 2026-02-02 is withdrawn: “Nails”.',
      'Lanes still hold withdrawn headings, which find nothing new: “Nails”. Choose others for them.',
    ]);
    const listed = (await server.get('/api/vocabularies')).body as VocabularySummary[];
    expect(listed.filter(({ id }) => id === 'pier')).toHaveLength(1);
  });

  test.each([
    ['text/turtle', 'this is not turtle .', /not Turtle.*line 1/],
    ['text/turtle', `${PREFIX} <urn:a> <urn:b> <urn:c> .`, /no skos:Concept/],
    ['application/ld+json', '{"@graph": [', /JSON-LD cannot be read/],
    [
      'application/ld+json',
      '{"@context": "https://elsewhere.test/c"}',
      /elsewhere.test\/c, which is not fetched/,
    ],
    ['text/csv', 'a,b', /Turtle \(.ttl\) or JSON-LD/],
  ])('%s %s is refused with the reason', async (type, body, reason) => {
    const refused = await send(type, body).expect(400);
    expect((refused.body as { title: string }).title).toMatch(reason);
  });

  test('a large file that is wrong at its start is still answered', async () => {
    const refused = await send('text/turtle', `nonsense ${'x '.repeat(3_000_000)}`).expect(400);
    expect((refused.body as { title: string }).title).toMatch(/not Turtle/);
  });

  test('one that a database serves is not replaced by a file', async () => {
    const own = await vocabularyToTurtle({
      id: 'coast',
      name: 'x',
      release: '',
      headings: [heading('Sand')],
    });
    expect((await send('text/turtle', own).expect(409)).body).toMatchObject({
      detail: expect.stringContaining('Nothing was read in'),
    });
  });

  test('one that does not name itself is named after its file', async () => {
    const plain = `${PREFIX} <urn:a> a skos:Concept ; skos:prefLabel "Gulls" .`;
    const read = (await send('text/turtle', plain, 'sea birds.ttl').expect(201)).body as VocabularySummary;
    expect(read).toMatchObject({ id: 'file:sea birds', name: 'sea birds' });
    await server.get('/api/vocabularies/file:sea%20birds').expect(200);
  });
});
