import { PERSON_HEADER, type PeerReview, type Person, type Problem } from '@even-lantern/contract';
import request from 'supertest';
import { laneOf } from '../testing/laneOf.js';
import { lightReview, words, type LightReview } from '../testing/lightReview.js';

let light: LightReview;
let id: string;
beforeEach(async () => {
  light = await lightReview({}, words('light'));
  ({ id } = light.review);
});
afterEach(() => light.server.application.close());

/** Asks as somebody. */
function as(person: string) {
  const send = (method: 'post' | 'put', path: string, body: object) =>
    request(light.server.application.getHttpServer())
      [method](`/api/${path}`)
      .set({ Host: 'localhost', [PERSON_HEADER]: person })
      .send(body);
  return {
    ask: async (note = '') =>
      (await send('post', `reviews/${id}/peer-reviews`, { note })).body as PeerReview[],
    judge: (peer: string, point: string, judgement: string | null, note = '') =>
      send('put', `peer-reviews/${peer}/points/${point}`, { judgement, note }),
    comment: (peer: string, text: string, answers: string | null = null, place = 'whole') =>
      send('post', `peer-reviews/${peer}/comments`, { place, about: 'L2 light', text, answers }),
    settle: (peer: string, comment: string, settled: boolean) =>
      send('put', `peer-reviews/${peer}/comments/${comment}/settled`, { settled }),
    end: (peer: string, outcome: string | null, summary = '') =>
      send('post', `peer-reviews/${peer}/end`, { outcome, summary }),
  };
}
const ada = () => as(light.server.person);
const second = async () => as(((await light.server.post('/api/people', { name: 'Bo' })).body as Person).id);
const list = async () =>
  (await light.server.get(`/api/reviews/${id}/peer-reviews`).expect(200)).body as PeerReview[];
async function asked(note = ''): Promise<PeerReview> {
  const [first] = await ada().ask(note);
  if (first === undefined) throw new Error('no peer review');
  return first;
}

test('it belongs to the version that is kept when it is asked for, and tells when the strategy goes on', async () => {
  const peer = await asked('Mind the words.');
  expect(peer).toMatchObject({
    number: 1,
    version: 'Version 1',
    changedSince: false,
    asked: { text: 'Mind the words.', person: 'Ada' },
    comments: [],
    finished: null,
  });
  expect(peer.points.map((each) => [each.id, each.judgement])).toEqual(
    ['question', 'operators', 'headings', 'words', 'spelling', 'limits'].map((point) => [point, null]),
  );
  await light.server.post(`/api/reviews/${id}/terms`, {
    laneId: laneOf(light.review, 'I').id,
    origin: 'typed',
    content: words('night'),
  });
  expect((await list())[0]?.changedSince).toBe(true);
  const again = await asked();
  expect([again.number, again.version, again.changedSince]).toEqual([2, 'Version 2', false]);
});

test('somebody else judges every point and finishes it; who asked cannot', async () => {
  const { id: peer, points } = await asked();
  const bo = await second();
  const refused = (await ada().judge(peer, 'words', 'fine').expect(409)).body as Problem;
  expect(refused.title).toMatch(/somebody else has to judge/);
  await bo.judge(peer, 'words', 'fine').expect(200);
  await bo.judge(peer, 'words', 'change', 'Spellings are missing.').expect(200);
  const early = (await bo.end(peer, 'ready').expect(400)).body as Problem;
  expect(early.errors?.[0]?.message).toMatch(/Still to judge: The question .*Limits\./);
  for (const point of points) if (point.id !== 'words') await bo.judge(peer, point.id, 'fine').expect(200);
  await ada().end(peer, 'ready').expect(409);
  await bo.end(peer, 'change', 'Add the spellings.').expect(200);
  const [shown] = await list();
  expect(shown?.finished).toMatchObject({ outcome: 'change', text: 'Add the spellings.', person: 'Bo' });
  expect(shown?.points.find((each) => each.id === 'words')).toMatchObject({
    judgement: 'change',
    note: 'Spellings are missing.',
    person: 'Bo',
  });
  // What is finished stays as it is until it is taken up again.
  await bo.judge(peer, 'words', 'fine').expect(409);
  await bo.comment(peer, 'One more.').expect(409);
  await bo.end(peer, null).expect(200);
  await bo.judge(peer, 'words', 'fine').expect(200);
});

test('comments on lines are answered and settled, and opened again', async () => {
  const { id: peer } = await asked();
  const bo = await second();
  const place = `lane:${laneOf(light.review, 'I').id}`;
  const told = (await bo.comment(peer, ' Is this all? ', null, place).expect(201)).body as PeerReview;
  const [comment] = told.comments;
  expect(comment).toMatchObject({
    place,
    about: 'L2 light',
    text: 'Is this all?',
    person: 'Bo',
    settled: null,
  });
  await ada()
    .comment(peer, 'It is.', comment?.id ?? '')
    .expect(201);
  const answered = (
    await ada()
      .settle(peer, comment?.id ?? '', true)
      .expect(200)
  ).body as PeerReview;
  expect(answered.comments).toMatchObject([
    { text: 'Is this all?', answers: [{ text: 'It is.', person: 'Ada' }], settled: { person: 'Ada' } },
  ]);
  await bo.settle(peer, comment?.id ?? '', false).expect(200);
  expect((await list())[0]?.comments[0]?.settled).toBeNull();
});

test('what does not fit is refused, and nothing is kept of it', async () => {
  const { id: peer } = await asked();
  const bo = await second();
  await bo.judge(peer, 'none', 'fine').expect(404);
  await bo.judge('none', 'words', 'fine').expect(404);
  await bo.judge(peer, 'words', 'good').expect(400);
  await bo.comment(peer, '  ').expect(400);
  await bo.comment(peer, 'x'.repeat(5001)).expect(400);
  await bo.comment(peer, 'Where?', null, 'nowhere').expect(400);
  await bo.comment(peer, 'To what?', 'none').expect(404);
  expect((await list())[0]?.comments).toEqual([]);
});

test('an empty strategy is nothing to look over', async () => {
  const { id: empty } = (await light.server.post('/api/reviews', { title: 'Empty' })).body as { id: string };
  await light.server.post(`/api/reviews/${empty}/peer-reviews`, { note: '' }).expect(409);
});

test('twenty comments and judgements of two people at the same moment are all kept, in one order', async () => {
  const { id: peer } = await asked();
  const [bo, cy] = [await second(), await second()];
  await Promise.all(
    Array.from({ length: 20 }, (_, i) => [
      (i % 2 === 0 ? bo : cy).comment(peer, `Comment ${i}`).expect(201),
      (i % 2 === 0 ? bo : cy).judge(peer, 'words', i % 3 === 0 ? 'fine' : 'change').expect(200),
    ]).flat(),
  );
  expect((await list())[0]?.comments.map(({ text }) => text).sort()).toEqual(
    Array.from({ length: 20 }, (_, i) => `Comment ${i}`).sort(),
  );
});

test('as Markdown it holds all of it, and what people wrote stays text', async () => {
  const { id: peer } = await asked();
  const bo = await second();
  await bo.judge(peer, 'limits', 'suggestion', 'Why *English* <b>only</b>?').expect(200);
  const { comments } = (await bo.comment(peer, '# Not a head\n- nor a list').expect(201)).body as PeerReview;
  await ada().comment(peer, 'Right.', comments[0]?.id ?? '');
  const { text } = await light.server.get(`/api/peer-reviews/${peer}/report.md`).expect(200);
  expect(text).toContain('# Peer review 1 of the search strategy of Light');
  expect(text).toContain('**A suggestion** (Bo, ');
  expect(text).toContain('Why \\*English\\* \\<b\\>only\\</b\\>?');
  expect(text).toContain('- `L2 light`: Bo, ');
  expect(text).toContain(': \\# Not a head - nor a list\n  - Ada, ');
  expect(text).toContain('  - Open');
});
