import { emptyRecord } from '@even-lantern/core';
import {
  EDIT_HEADER,
  PERSON_HEADER,
  type EditTaken,
  type Person,
  type Problem,
  type Review,
  type ReviewTerm,
} from '@even-lantern/contract';
import request from 'supertest';
import { indexedConnector } from '../testing/indexedConnector.js';
import { laneOf } from '../testing/laneOf.js';
import { lightReview, vocabulary, words, type LightReview } from '../testing/lightReview.js';
import { testApplication } from '../testing/testApplication.js';

let light: LightReview;
let id: string;
beforeEach(async () => {
  light = await lightReview({}, words('light'));
  ({ id } = light.review);
});
afterEach(() => light.server.application.close());

/** Asks as somebody. */
function as(person: string, server = light.server) {
  const http = () => request(server.application.getHttpServer());
  const send = (
    method: 'post' | 'patch' | 'put' | 'delete',
    path: string,
    body: object,
    version?: number,
  ) => {
    const asked = http()
      [method](path)
      .set({ Host: 'localhost', [PERSON_HEADER]: person });
    return (version === undefined ? asked : asked.set('If-Match', `"${version}"`)).send(body);
  };
  return {
    add: (text: string, edit?: string) =>
      send('post', `/api/reviews/${id}/terms`, {
        laneId: laneOf(light.review, 'I').id,
        origin: 'typed',
        content: words(text),
      }).set(edit === undefined ? {} : { [EDIT_HEADER]: edit }),
    takeOut: async (text: string) => {
      const term = (await terms()).find(({ content }) => content.kind === 'words' && content.text === text);
      return send('patch', `/api/terms/${term?.id}`, { removed: true }, term?.version);
    },
    change: async (text: string, next: string) => {
      const term = (await terms()).find(({ content }) => content.kind === 'words' && content.text === text);
      return send('patch', `/api/terms/${term?.id}`, { content: words(next) }, term?.version);
    },
    send,
    undo: async (since: string | null = null) =>
      (await send('post', `/api/reviews/${id}/undo`, { since })).body as EditTaken & Problem,
    redo: async () => (await send('post', `/api/reviews/${id}/redo`, {})).body as EditTaken & Problem,
  };
}
const ada = () => as(light.server.person);
const another = async () => as(((await light.server.post('/api/people', { name: 'Bo' })).body as Person).id);
const present = async () => (await light.server.get(`/api/reviews/${id}`)).body as Review;
const terms = async () => (await present()).lanes.flatMap((lane) => lane.terms);
const texts = async () =>
  (await terms()).map(({ content }) => (content.kind === 'words' ? content.text : ''));
/** A review as it is shown, without the versions of what is in it. */
const shown = async () =>
  JSON.parse(
    JSON.stringify(await present(), (key, value: unknown) =>
      ['version', 'changedAt', 'acceptedAt'].includes(key) ? undefined : value,
    ),
  ) as object;

test('edits of every kind are taken back one by one, and done again', async () => {
  const { send, add, takeOut, change, undo, redo } = ada();
  const lane = laneOf(light.review, 'I').id;
  const states = [await shown()];
  const did: string[] = [];
  const step = async (what: string, edit: () => PromiseLike<{ status: number }>) => {
    const { status, body } = (await edit()) as { status: number; body: object };
    expect([status < 300, status < 300 || body]).toEqual([true, true]);
    did.push(what);
    states.push(await shown());
  };
  await step('added night', () => add('night'));
  await step('changed dusk', () => change('night', 'dusk'));
  await step('took out light', () => takeOut('light'));
  await step('added a line', () =>
    send('post', `/api/reviews/${id}/own-lines`, {
      lines: [{ role: 'narrows', text: 'lamp', note: '' }],
      before: null,
    }),
  );
  await step('put ward on the shelf', () =>
    send('post', `/api/reviews/${id}/shelf`, {
      name: 'ward',
      contents: [words('ward')],
      origin: 'typed',
      source: '',
    }),
  );
  await step('made 2 lanes', () =>
    send('post', `/api/reviews/${id}/concepts`, {
      concepts: ['bed', 'chart'].map((name) => ({
        elementId: null, name, terms: [{ content: words(name), origin: 'typed' }],
      })),
      texts: [],
    })); // prettier-ignore
  await step('added lamp', () => add('lamp'));
  await step('split Intervention', () =>
    terms().then(async (all) => {
      const { version } = (await present()).lanes.find((each) => each.id === lane) ?? {};
      const termIds = all
        .filter(({ laneId }) => laneId === lane)
        .slice(0, 1)
        .map((each) => each.id);
      return send('post', `/api/reviews/${id}/lanes`, {
        elementId: null,
        name: 'apart',
        take: { laneId: lane, version, termIds },
      });
    }),
  );
  await step('wrote intervention', async () => {
    const element = light.review.elements.find(({ key }) => key === 'I');
    return send('patch', `/api/elements/${element?.id}`, { text: 'light at night' }, element?.version);
  });
  const finding = { check: 'no-words', at: 'whole', detail: '', message: 'It has no words.' };
  const accept = (reason: string | null) =>
    send('post', `/api/reviews/${id}/accepted-findings`, { ...finding, reason });
  await step('accepted what a check found', () => accept('It is meant.'));
  await step('gave another reason for what a check found', () => accept('It is asked for.'));
  await step('took an acceptance back', () => accept(null));
  await step('chose a line for each lane', async () =>
    send('patch', `/api/reviews/${id}`, { linesFor: 'lane' }, (await present()).version),
  );
  const rungs = [{ designs: ['Systematic review'], answers: true, reason: 'It sums up.' }];
  await step('changed the ladder', async () =>
    send('put', `/api/reviews/${id}/ladder`, { rungs }, (await present()).version),
  );
  await step('framed the question another way', async () =>
    send('patch', `/api/reviews/${id}`, { framework: 'peo' }, (await present()).version),
  );
  // Elements that a framework brought stay, so going back is held to what was there before.
  const back = async (to: number) => {
    const {
      elements: _elements,
      lanes,
      ...rest
    } = states[to] as { elements: object[]; lanes: { id: string; terms: object[] }[] };
    const now = (await shown()) as typeof rest & { lanes: typeof lanes };
    expect(now).toMatchObject(rest);
    expect(now.lanes.filter((each) => each.terms.length > 0)).toEqual(
      lanes.filter((each) => each.terms.length > 0),
    );
  };
  for (let i = did.length; i > 0; i -= 1) {
    expect((await undo()).words).toBe(did[i - 1]);
    await back(i - 1);
  }
  // What came before was done while the review was made.
  for (let i = 1; i <= did.length; i += 1) {
    expect((await redo()).words).toBe(did[i - 1]);
    await back(i);
  }
  expect((await redo()).words).toBeNull();
});

test('what was taken out of the shelf, lanes and own lines between other edits leaves undo and redo their way', async () => {
  const { send, add, takeOut, undo, redo } = ada();
  const put = (name: string) =>
    send('post', `/api/reviews/${id}/shelf`, { name, contents: [words(name)], origin: 'typed', source: '' });
  const onShelf = async (name: string) => (await present()).shelf.find((item) => item.name === name);
  const off = async (name: string) => {
    const item = await onShelf(name);
    return send('delete', `/api/shelf/${item?.id}`, {}, item?.version);
  };
  const intoLane = async (name: string) => {
    const item = await onShelf(name);
    const { id: laneId } = laneOf(light.review, 'I');
    return send('post', `/api/shelf/${item?.id}/lane`, { laneId }, item?.version);
  };
  const line = (text: string, before: string | null = null) =>
    send('post', `/api/reviews/${id}/own-lines`, { lines: [{ role: 'narrows', text, note: '' }], before });
  const withoutLine = async (text: string) => {
    const own = (await present()).ownLines.find((each) => each.text === text);
    return send('patch', `/api/own-lines/${own?.id}`, { removed: true }, own?.version);
  };
  const edits = [
    () => put('ward'),
    () => put('bed'),
    () => off('ward'),
    () => add('night'),
    () => put('chart'),
    () => line('lamp'),
    () => line('dusk'),
    () => withoutLine('lamp'),
    () => takeOut('light'),
    () => intoLane('bed'),
    () => put('ward'),
    () => off('chart'),
    () => line('dawn'),
    () => takeOut('night'),
  ];
  const states = [await shown()];
  for (const [i, edit] of edits.entries()) {
    const { status, body } = await edit();
    expect([i, status < 300 ? 'done' : (body as object)]).toEqual([i, 'done']);
    states.push(await shown());
  }
  // Twice, for rows that came back have other places than they had at first.
  for (let round = 0; round < 2; round += 1) {
    for (let i = edits.length; i > 0; i -= 1) {
      expect(await undo()).toMatchObject({ words: expect.any(String) as string });
      expect([i, await shown()]).toEqual([i, states[i - 1]]);
    }
    for (let i = 1; i <= edits.length; i += 1) {
      expect(await redo()).toMatchObject({ words: expect.any(String) as string });
      expect([i, await shown()]).toEqual([i, states[i]]);
    }
  }
});

test('each takes back their own edits; what others did stays', async () => {
  const bo = await another();
  await ada().add('night');
  await bo.add('dusk');
  await ada().add('lamp');
  await bo.takeOut('light');
  expect((await ada().undo()).words).toBe('added lamp');
  expect((await ada().undo()).words).toBe('added night');
  expect(await texts()).toEqual(['dusk']);
  expect((await bo.undo()).words).toBe('took out light');
  expect(await texts()).toEqual(['light', 'dusk']);
  await ada().redo();
  expect(await texts()).toEqual(['light', 'night', 'dusk']);
});

test('what somebody changed since is told, nothing is changed, and earlier edits can still be taken back', async () => {
  const bo = await another();
  await ada().add('night');
  await ada().change('light', 'lights');
  await bo.change('lights', 'lightness');
  expect(await ada().undo()).toMatchObject({
    status: 409,
    title: 'This could not be undone: changed lights.',
  });
  expect(await texts()).toEqual(['lightness', 'night']);
  expect((await ada().undo()).words).toBe('added night');
});

test('a new edit ends what could be done again', async () => {
  await ada().add('night');
  await ada().undo();
  await ada().add('dusk');
  expect((await ada().redo()).words).toBeNull();
  expect(await texts()).toEqual(['light', 'dusk']);
});

test('only what was done later is taken back, where that is asked', async () => {
  await ada().add('night');
  const later = new Date(Date.now() + 1000).toISOString();
  expect((await ada().undo(later)).words).toBeNull();
  expect((await ada().undo(new Date(0).toISOString())).words).toBe('added night');
});

test('terms that are added as one edit are taken back together', async () => {
  await ada().add('night');
  for (const text of ['dusk', 'lamp', 'bed']) await ada().add(text, 'one');
  await ada().add('chart', 'other');
  expect((await ada().undo()).words).toBe('added chart');
  expect((await ada().undo()).words).toBe('added 3 terms');
  expect(await texts()).toEqual(['light', 'night']);
  expect((await ada().redo()).words).toBe('added 3 terms');
  expect(await texts()).toEqual(['light', 'night', 'dusk', 'lamp', 'bed']);
});

test('writing that goes on is one step; what is done besides is another', async () => {
  const element = light.review.elements.find(({ key }) => key === 'I');
  const write = async (change: object) => {
    const { version } = (await present()).elements.find((each) => each.id === element?.id) ?? {};
    await ada().send('patch', `/api/elements/${element?.id}`, change, version).expect(200);
  };
  await write({ text: 'li' });
  await write({ text: 'light' });
  await write({ searched: false });
  expect((await ada().undo()).words).toBe('stopped searching on intervention');
  expect((await ada().undo()).words).toBe('wrote intervention');
  expect((await present()).elements.find(({ key }) => key === 'I')).toMatchObject({
    text: '',
    searched: true,
  });
});

test('going back to a version is one step, whatever it changed', async () => {
  await ada().add('night');
  const [version] = (await light.server.post(`/api/reviews/${id}/versions`, {})).body as { id: string }[];
  await ada().takeOut('light');
  await ada().add('dusk');
  await light.server.post(`/api/reviews/${id}/versions/${version?.id}/go-back`, {}).expect(200);
  expect((await ada().undo()).words).toBe('went back to a version');
  expect(await texts()).toEqual(['night', 'dusk']);
});

test('an edit that was refused is no step', async () => {
  await ada().add('night');
  expect((await ada().add('night')).status).toBe(409);
  await ada().undo();
  expect(await texts()).toEqual(['light']);
});

test('what a key that was pressed twice took out comes back with one undo', async () => {
  await ada().add('night');
  const { id: term, version } = (await terms()).at(-1) as ReviewTerm;
  const out = (on: number) => light.server.patch(`/api/terms/${term}`, { removed: true }, on).expect(200);
  await out(((await out(version)).body as ReviewTerm).version);
  expect(await texts()).toEqual(['light']);
  await ada().undo();
  expect(await texts()).toEqual(['light', 'night']);
});

test('twenty edits of two people at the same moment: each is a step of the one who made it', async () => {
  const bo = await another();
  await Promise.all(
    Array.from({ length: 20 }, (_, i) => (i % 2 === 0 ? ada().add(`mine${i}`) : bo.add(`theirs${i}`))),
  );
  for (let i = 0; i < 10; i += 1) expect((await ada().undo()).words).toMatch(/^added mine/);
  expect((await texts()).filter((text) => text.startsWith('mine'))).toEqual([]);
  expect((await texts()).filter((text) => text.startsWith('theirs'))).toHaveLength(10);
  await Promise.all(Array.from({ length: 10 }, () => bo.undo()));
  expect(await texts()).toEqual(['light']);
});

test('steps outlast the program', async () => {
  await ada().add('night');
  const { person, storePath, application } = light.server;
  await application.close();
  const record = { ...emptyRecord(), accession: '1', title: 'Light' };
  const database = { name: 'A database', dialect: 'corvane', vocabulary, records: [record] };
  light.server = await testApplication({ first: indexedConnector(database) }, storePath);
  expect((await as(person).undo()).words).toBe('added night');
  expect(await texts()).toEqual(['light']);
  expect((await as(person).redo()).words).toBe('added night');
  expect(await texts()).toEqual(['light', 'night']);
});
