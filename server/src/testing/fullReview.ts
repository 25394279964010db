/** A review that has a row of every kind, made as people would make it: through the API. */
import { emptyRecord, type BibRecord, type Vocabulary } from '@even-lantern/core';
import {
  PERSON_HEADER,
  type HandAnswer,
  type NewSchedule,
  type PeerReview,
  type Person,
  type RecordPage,
  type Review,
  type Run,
  type WaitingFile,
} from '@even-lantern/contract';
import request from 'supertest';
import { indexedConnector } from './indexedConnector.js';
import { laneOf } from './laneOf.js';
import { testApplication, type TestApplication } from './testApplication.js';

const VOCABULARY: Vocabulary = {
  id: 'tree',
  name: 'A tree',
  release: '2026-10-01',
  headings: ['Light', 'Sleep'].map((label) => ({
    label, entryTerms: [], scopeNote: '', broader: [], related: [], historyNote: null, subheadings: [],
  })), // prettier-ignore
};
const record = (accession: string, title: string): BibRecord => ({
  ...emptyRecord(), accession, title, journal: 'Annals', year: 2020, language: 'English',
  authors: [{ family: 'Ortvik', given: 'L' }],
}); // prettier-ignore
const EARLIER = [record('1', 'Light at night'), record('2', 'Ligth in a ward, light')];
const LATER = [
  record('1', 'Light at night'),
  record('2', 'Light in a ward, light'),
  record('3', 'A trial of light'),
];
const words = (text: string) => ({ kind: 'words', text, field: 'words', near: null });
const heading = { kind: 'heading', vocabulary: 'tree', label: 'Light', narrower: true, central: false, subheadings: [] }; // prettier-ignore

/** Ends a test where a request was refused, with what it was told. */
function done({ status, body }: request.Response): void {
  if (status >= 300) throw new Error(JSON.stringify(body));
}

/** The databases that the review is made with. */
export function databasesOfFullReview() {
  return {
    db: indexedConnector({
      name: 'A database', dialect: 'corvane', vocabulary: VOCABULARY, records: LATER, earlier: EARLIER,
      releases: ['2026-09-01', '2026-10-01'],
    }),
  }; // prettier-ignore
}

/**
 * @param look lets schedules that are due be looked at, at a moment
 * @returns the server with the review, and the review’s id
 */
export async function fullReview(
  look: (server: TestApplication, at: Date) => Promise<void>,
): Promise<{ server: TestApplication; reviewId: string }> {
  const server = await testApplication(databasesOfFullReview());
  const { post, put, patch, get } = server;
  const review = (await post('/api/reviews', { title: 'Light for “nights”' }).expect(done)).body as Review;
  const reviewId = review.id;
  const at = `/api/reviews/${reviewId}`;
  const laneId = laneOf(review, 'I').id;
  const element = (key: string) => review.elements.find((each) => each.key === key);
  await patch(`/api/elements/${element('P')?.id}`, { text: 'night staff', searched: false }, 1).expect(done);
  await post(`${at}/terms`, { laneId, origin: 'typed', content: words('light') }).expect(done);
  const added = await post(`${at}/terms`, { laneId, origin: 'lookup', content: heading }).expect(done);
  await patch(`/api/terms/${(added.body as { id: string }).id}`, { heldBack: 'Too broad.' }, 1).expect(done);
  await post(`${at}/shelf`, { name: 'ward', contents: [words('ward')], origin: 'typed', source: 'a paper' }).expect(done); // prettier-ignore
  await post(`${at}/limits`, {
    limits: [{ kind: 'language', values: { kind: 'values', values: ['eng'] }, reason: 'We read English.', on: false, ways: {} }],
  }).expect(done); // prettier-ignore
  await post(`${at}/own-lines`, { lines: [{ role: 'looks', text: 'ward', note: 'to see' }], before: null }).expect(done); // prettier-ignore
  await post(`${at}/accepted-findings`, { check: 'no-words', at: 'whole', detail: '', message: 'It has no words.', reason: 'It is meant.' }).expect(done); // prettier-ignore
  await put(`${at}/lines`, { database: 'db', line: 'whole', language: 'cql', text: 'el.words = "light"', version: 0 }).expect(done); // prettier-ignore
  await put(`${at}/databases/db`, { chosen: true, note: 'It has trials.' }).expect(done);
  await post('/api/crosswalk', { vocabulary: 'tree', label: 'Light', target: 'coast', targetLabel: null, verdict: 'words' }).expect(done); // prettier-ignore

  const bo = ((await post('/api/people', { name: 'Bo' })).body as Person).id;
  const [peer] = (await post(`${at}/peer-reviews`, { note: 'Mind the words.' }).expect(done))
    .body as PeerReview[];
  const asBo = (method: 'post' | 'put', path: string, body: object) =>
    request(server.application.getHttpServer())
      [method](path)
      .set({ Host: 'localhost', [PERSON_HEADER]: bo })
      .send(body);
  await asBo('put', `/api/peer-reviews/${peer?.id}/points/words`, { judgement: 'fine', note: '' }).expect(
    done,
  );
  await asBo('post', `/api/peer-reviews/${peer?.id}/comments`, { place: 'whole', about: 'L1 light', text: 'More words?', answers: null }).expect(done); // prettier-ignore

  const finished = async (run: Run) => {
    while (((await get(`/api/runs/${run.id}`)).body as Run).status === 'running') {
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  };
  await finished((await post(`${at}/runs`, { database: 'db', timeZone: 'UTC', release: '2026-09-01' }).expect(done)).body as Run); // prettier-ignore
  await finished((await post(`${at}/ledger/entries/1/runs`, { release: 'present', timeZone: 'UTC' }).expect(done)).body as Run); // prettier-ignore
  await get(`${at}/ledger/entries/2/drift`).expect(done);
  await post(`${at}/ledger/notes`, { about: 1, text: 'Tried first.', timeZone: 'UTC' }).expect(done);
  const { rows } = (await get(`${at}/records`).expect(done)).body as RecordPage;
  const [first, second] = rows;
  await patch(`/api/records/${first?.id}`, { decision: 'keep' }, first?.version).expect(done);
  await post(`/api/records/${second?.id}/design`, { design: 'Randomised trial' }).expect(done);
  await get(`${at}/records/designs`).expect(done);

  const file = await request(server.application.getHttpServer())
    .post(`${at}/ledger/files?name=found.ris&job=one`)
    .set({ Host: 'localhost', [PERSON_HEADER]: server.person, 'Content-Type': 'text/plain' })
    .send('TY  - JOUR\nTI  - Dusk\nER  - \nTY  - JOUR\nTI  - Dawn\nER  - \n')
    .expect(done);
  await post(`${at}/ledger/elsewhere`, {
    way: 'expert', place: 'A night nurse', string: '', count: 2, searchedOn: '2026-11-01', text: '',
    timeZone: 'UTC', file: (file.body as WaitingFile).id,
  }).expect(done); // prettier-ignore

  const hand = { how: 'hand', name: 'Ferrow Index', description: '', release: '', vocabulary: null, dialect: { kind: 'corvane', names: {}, lacks: [] } }; // prettier-ignore
  await post('/api/databases', hand).expect(done);
  await put(`${at}/databases/ferrow-index`, { chosen: true, note: '' }).expect(done);
  const answer = (await put('/api/databases/ferrow-index/answers', { text: 'words("light")', hits: 1 }).expect(done)).body as HandAnswer; // prettier-ignore
  await request(server.application.getHttpServer())
    .post(`/api/databases/ferrow-index/answers/${answer.id}/records`)
    .set({ Host: 'localhost', [PERSON_HEADER]: server.person, 'Content-Type': 'text/plain' })
    .send('TY  - JOUR\nTI  - Light by hand\nPY  - 2020\nER  - \n')
    .expect(done);

  const daily: NewSchedule = {
    entries: [1],
    every: 'day',
    weekday: 1,
    day: 1,
    time: '07:30',
    timeZone: 'UTC',
  };
  const [schedule] = (await post(`${at}/schedules`, daily).expect(done)).body as { nextAt: string }[];
  await look(server, new Date(Date.parse(schedule?.nextAt ?? '') + 60_000));
  return { server, reviewId };
}
