import { parseFeed } from '@rowanmanning/feed-parser';
import type { NewSchedule, Problem, Review, Run, Schedule } from '@even-lantern/contract';
import { DatabaseError } from '../connectors/databaseConnector.js';
import { RunsService } from '../runs/runsService.js';
import { OccurrenceRow, RunRow, ScheduleRow } from '../store/entities.js';
import { Store } from '../store/store.js';
import { entriesOf } from '../testing/entriesOf.js';
import { faultyConnector, type FaultyConnector } from '../testing/faultyConnector.js';
import { testApplication, type TestApplication } from '../testing/testApplication.js';
import { nextTime, timesBetween } from './recurrence.js';
import { Scheduler } from './scheduler.js';

let server: TestApplication;
let database: FaultyConnector;
let review: Review;

beforeEach(async () => {
  database = faultyConnector(5);
  server = await testApplication({ faulty: database });
  review = await server.reviewWithLane();
  const run = (
    await server.post(`/api/reviews/${review.id}/runs`, { database: 'faulty', timeZone: 'UTC' }).expect(201)
  ).body as Run;
  await server.application.get(RunsService).finished(run.id);
});
afterEach(() => server.application.close());

const DAILY: NewSchedule = {
  entries: [1],
  every: 'day',
  weekday: 1,
  day: 1,
  time: '07:30',
  timeZone: 'Europe/Lisbon',
};
const at = () => `/api/reviews/${review.id}/schedules`;
const add = async (parts: Partial<NewSchedule> = {}) => {
  const [schedule] = (await server.post(at(), { ...DAILY, ...parts }).expect(201)).body as Schedule[];
  if (schedule === undefined) throw new Error('not added');
  return schedule;
};
const list = async () => (await server.get(at()).expect(200)).body as Schedule[];
const only = async () => {
  const [schedule] = await list();
  if (schedule === undefined) throw new Error('there is none');
  return schedule;
};
const scheduler = () => server.application.get(Scheduler);
/** Lets a moment come, and waits until what was due has ended. */
const moment = async (now: string | Date) => {
  await scheduler().look(new Date(now));
  await scheduler().settled();
};
const minutesAfter = (iso: string | null, minutes: number) =>
  new Date(Date.parse(iso ?? '') + minutes * 60_000);
const entries = () => entriesOf(server, review.id);

test('a schedule runs its entry again when it is due, once, and tells what is new', async () => {
  const { nextAt, feed } = await add();
  await moment(minutesAfter(nextAt, -1));
  expect(await entries()).toHaveLength(1);
  database.hits = 8;
  database.release = '2026-11-01';
  const looks = Array.from({ length: 5 }, () => scheduler().look(minutesAfter(nextAt, 1)));
  await Promise.all(looks);
  await scheduler().settled();
  expect(
    (await entries()).map(({ content }) => [content.fetched, content.repeats?.entry, content.purpose]),
  ).toEqual([
    [5, undefined, ''],
    [8, 1, 'Run on schedule'],
  ]);
  const told = await only();
  expect(told).toMatchObject({
    unseen: 3,
    occurrences: [
      {
        dueAt: nextAt,
        missed: 0,
        fresh: 3,
        seen: false,
        parts: [{ databaseName: 'Faulty', status: 'done', entry: 2, fresh: 3, trouble: null }],
      },
    ],
  });
  expect(Date.parse(told.nextAt ?? '') - Date.parse(nextAt ?? '')).toBe(86_400_000);
  const atom = await server
    .get(feed)
    .expect(200)
    .expect('Content-Type', /application\/atom\+xml/);
  expect(atom.text).toContain('<title type="html"><![CDATA[3 new records]]></title>');
  expect(atom.text).toContain('Record 8');
  expect(atom.text).not.toContain('Record 5 ');
  const mail = await server.get(`/api/schedules/${told.id}/mails/${nextAt}.eml`).buffer(true).expect(200);
  const { text } = mail;
  expect(text).toContain('Subject: 3 new records: Light\r\n');
  expect(text).toContain('X-Unsent: 1\r\n');
  expect(text).toContain('From: Even Lantern <even-lantern@localhost>\r\n');
  const read = parseFeed(atom.text);
  const uuid = /^urn:uuid:[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/;
  expect(read.meta.type).toBe('atom');
  expect(read.items.map(({ id, title }) => [uuid.test(id ?? ''), title])).toEqual([[true, '3 new records']]);
  const [seen] = (await server.post(`/api/schedules/${told.id}/seen`, {}).expect(200)).body as Schedule[];
  expect(seen?.unseen).toBe(0);
});

test('the next time is compared with what the schedule found last', async () => {
  const { nextAt } = await add();
  database.hits = 6;
  await moment(minutesAfter(nextAt, 1));
  database.hits = 7;
  await moment(minutesAfter((await only()).nextAt, 1));
  expect((await entries()).map(({ content }) => content.repeats?.entry)).toEqual([undefined, 1, 2]);
  expect((await only()).occurrences.map(({ fresh }) => fresh)).toEqual([1, 1]);
});

test('a database that is away when it is due is tried again, told, and given up in the end', async () => {
  const { nextAt } = await add();
  database.callsLeft = 0;
  let now = minutesAfter(nextAt, 0);
  await moment(now);
  const [part] = (await only()).occurrences[0]?.parts ?? [];
  expect(part).toMatchObject({
    status: 'waits',
    entry: null,
    trouble: expect.stringContaining('cannot be reached'),
  });
  expect(part?.againAt).toBe(minutesAfter(nextAt, 1).toISOString());
  await server
    .patch(`/api/schedules/${(await only()).id}`, { recurrence: { ...recurrence(), every: 'month' } }, 1)
    .expect(200);
  for (let tries = 2; tries <= 8; tries += 1) {
    const again = (await only()).occurrences[0]?.parts[0]?.againAt ?? null;
    if (again === null) throw new Error(`given up after ${tries - 1}`);
    now = new Date(again);
    if (tries === 4) database.callsLeft = Infinity;
    await moment(now);
    if (tries === 4) break;
  }
  expect((await only()).occurrences[0]?.parts[0]).toMatchObject({ status: 'done', trouble: null });
  // The runs that were cut off stand in the ledger too.
  expect((await entries()).map(({ content }) => content.outcome)).toEqual([
    'complete',
    'interrupted',
    'interrupted',
    'interrupted',
    'complete',
  ]);
});
const recurrence = () => {
  const { entries: _entries, ...rest } = DAILY;
  return rest;
};

test('after a day of trying, it is told as not searched', async () => {
  const { nextAt, id } = await add({ every: 'month' });
  database.callsLeft = 0;
  let now: Date | null = minutesAfter(nextAt, 0);
  for (let tries = 0; now !== null && tries < 20; tries += 1) {
    await moment(now);
    const again: string | null = (await only()).occurrences[0]?.parts[0]?.againAt ?? null;
    now = again === null ? null : new Date(again);
  }
  expect((await only()).occurrences[0]?.parts[0]).toMatchObject({ status: 'failed', againAt: null });
  const text = (await server.get((await only()).feed)).text;
  expect(text).toContain('No new records, 1 of 1 databases not searched');
  await server.get(`/api/schedules/${id}/mails/nowhen.eml`).expect(404);
});

test('what a stopped program missed fires once when it starts again, and is told as missed', async () => {
  const { nextAt } = await add();
  await moment(minutesAfter(nextAt, 3 * 24 * 60 + 5));
  expect(await entries()).toHaveLength(2);
  const told = await only();
  expect(told.occurrences).toMatchObject([{ dueAt: nextAt, missed: 3 }]);
  expect(Date.parse(told.nextAt ?? '')).toBeGreaterThan(minutesAfter(nextAt, 3 * 24 * 60 + 5).getTime());
});

test.each([
  ['whose run was cut off, tries it again', 'interrupted', 3],
  ['whose run had ended, makes no second run', 'complete', 2],
])('a program that is killed in the middle of a occurrence %s', async (_name, status, count) => {
  const { nextAt } = await add();
  await moment(minutesAfter(nextAt, 1));
  // As a kill leaves it: the run was begun, and nothing was noted of its end.
  await server.application.get(Store).write(async (manager) => {
    const occurrence = await manager.findOneByOrFail(OccurrenceRow, { status: 'done' });
    await manager.update(OccurrenceRow, { id: occurrence.id }, { status: 'running', became: null });
    await manager.update(RunRow, { id: occurrence.runId ?? '' }, { status });
  });
  const path = server.storePath;
  await server.application.close();
  server = await testApplication({ faulty: database }, path);
  await moment(new Date(Date.now() + 1000));
  await moment(new Date(Date.now() + 1000));
  expect(await entries()).toHaveLength(count);
  expect((await only()).occurrences).toMatchObject([{ parts: [{ status: 'done', entry: count }] }]);
});

test('a clock that was far ahead leaves no schedule asleep, and one set back a little makes none run twice', async () => {
  const { id, nextAt } = await add();
  await moment(minutesAfter(nextAt, 400 * 24 * 60));
  expect(await entries()).toHaveLength(2);
  const day = 24 * 60;
  // The clock is right again.
  await moment(minutesAfter(nextAt, 30));
  expect(Date.parse((await only()).nextAt ?? '')).toBe(minutesAfter(nextAt, day).getTime());
  await moment(minutesAfter(nextAt, day + 1));
  expect(await entries()).toHaveLength(3);
  const after = (await only()).nextAt;
  await moment(minutesAfter(nextAt, day - 59));
  await moment(minutesAfter(nextAt, day + 1));
  expect(await entries()).toHaveLength(3);
  expect(await only()).toMatchObject({ id, nextAt: after });
});

test('what failed while the clock was far ahead is tried again when it is right', async () => {
  const { nextAt } = await add();
  database.callsLeft = 0;
  await moment(minutesAfter(nextAt, 400 * 24 * 60));
  expect((await only()).occurrences).toMatchObject([{ parts: [{ status: 'waits' }] }]);
  database.callsLeft = Infinity;
  await moment(minutesAfter(nextAt, 30));
  expect((await only()).occurrences).toMatchObject([{ parts: [{ status: 'done' }] }]);
});

test('a clock that was set back an hour does not tell records as new that were found before', async () => {
  const { nextAt } = await add();
  database.hits = 8;
  await moment(minutesAfter(nextAt, 1));
  expect(await only()).toMatchObject({ unseen: 3 });
  // What was found so far was found later, by the clock of then.
  await server.application.get(Store).write(async (manager) => {
    for (const run of await manager.find(RunRow)) {
      const startedAt = new Date(Date.parse(run.startedAt) + 3_600_000).toISOString();
      await manager.update(RunRow, { id: run.id }, { startedAt });
    }
  });
  await moment(minutesAfter(nextAt, 24 * 60 + 1));
  const [last] = (await only()).occurrences;
  expect(last?.parts).toMatchObject([{ status: 'done', fresh: 0 }]);
});

test('a schedule can be paused, gone on with, changed and ended; the later of two changes is told', async () => {
  const { id, nextAt } = await add();
  const change = (version: number, body: object) => server.patch(`/api/schedules/${id}`, body, version);
  expect((await change(1, { state: 'paused' }).expect(200)).body).toMatchObject([
    { state: 'paused', nextAt: null },
  ]);
  await moment(minutesAfter(nextAt, 60));
  expect(await entries()).toHaveLength(1);
  await change(1, { state: 'active' }).expect(412);
  await change(2, { state: 'active' }).expect(200);
  const weekly = { ...recurrence(), every: 'week', weekday: 3 };
  const [changed] = (await change(3, { recurrence: weekly }).expect(200)).body as Schedule[];
  expect(new Date(changed?.nextAt ?? '').getUTCDay()).toBe(3);
  await change(4, { state: 'ended' }).expect(200);
  expect(((await change(5, { recurrence: weekly }).expect(400)).body as Problem).title).toContain(
    'was ended',
  );
  expect(await only()).toMatchObject({ state: 'ended', nextAt: null });
});

test.each([
  [{ entries: [9] }, 404, 'Entry 9'],
  [{ entries: [] }, 400, 'entries'],
  [{ time: '25:00' }, 400, 'Write the time'],
  [{ timeZone: 'Nowhere' }, 400, 'no time zone'],
  [{ day: 30 }, 400, 'last of the month'],
  [{ every: 'hour' }, 400, 'every'],
])('a schedule of %j is refused with the reason', async (parts, status, reason) => {
  const answer = await server.post(at(), { ...DAILY, ...parts }).expect(status);
  expect((answer.body as Problem).title).toContain(reason);
  expect(await list()).toEqual([]);
});

test('a note cannot be run on a schedule, nor two entries of one database', async () => {
  await server
    .post(`/api/reviews/${review.id}/ledger/notes`, { about: 1, text: 'x', timeZone: 'UTC' })
    .expect(201);
  await server.post(at(), { ...DAILY, entries: [2] }).expect(400);
  const run = (await server.post(`/api/reviews/${review.id}/runs`, { database: 'faulty', timeZone: 'UTC' }))
    .body as Run;
  await server.application.get(RunsService).finished(run.id);
  const answer = await server.post(at(), { ...DAILY, entries: [1, 3] }).expect(400);
  expect((answer.body as Problem).title).toContain('one entry of Faulty alone');
});

test('only who knows its address reads a feed, and what titles bring along stays text', async () => {
  const { feed, nextAt } = await add();
  const { search } = database;
  database.hits = 6;
  database.search = async (...asked) => {
    const answer = await search(...asked);
    return { ...answer, records: answer.records.map((each) => ({ ...each, title: ']]><script>&\u0000' })) };
  };
  await moment(minutesAfter(nextAt, 1));
  const { text } = await server.get(feed).expect(200);
  expect(text).not.toContain('<script>');
  expect(text).not.toContain('\u0000');
  await server.get(feed.replace(/[^/]{10}\.atom$/, 'aaaaaaaaaa.atom')).expect(404);
  await server.post(`/api/reviews/${review.id}/deletion`, { title: 'Light' }).expect(204);
  await server.get(feed).expect(404);
  const { read } = server.application.get(Store);
  for (let tries = 0; tries < 100 && (await read.countBy(ScheduleRow, {})) > 0; tries += 1) {
    await new Promise((next) => setTimeout(next, 20));
  }
  expect(await read.countBy(ScheduleRow, {})).toBe(0);
});

test('a database that refuses the search is told as it says', async () => {
  const { nextAt } = await add();
  database.count = () => Promise.reject(new DatabaseError('There is no heading “Light”.', true));
  await moment(minutesAfter(nextAt, 1));
  expect((await only()).occurrences[0]?.parts[0]?.trouble).toContain('There is no heading “Light”.');
});

test('times are those of the person’s clock, on days when clocks change too', () => {
  const lisbon = recurrence();
  const next = (after: string, parts: object = {}) =>
    nextTime({ ...lisbon, ...parts }, new Date(after)).toISOString();
  expect(next('2026-03-28T12:00:00Z')).toBe('2026-03-29T06:30:00.000Z');
  expect(next('2026-10-24T12:00:00Z')).toBe('2026-10-25T07:30:00.000Z');
  // 01:30 does not exist on that night, and is there twice on the other.
  expect(next('2026-03-28T12:00:00Z', { time: '01:30' })).toMatch(/^2026-03-29T0[01]:/);
  const twice = next('2026-10-24T12:00:00Z', { time: '01:30' });
  expect(nextTime({ ...lisbon, time: '01:30' }, new Date(twice)).toISOString()).toMatch(/^2026-10-26/);
  expect(next('2026-02-01T00:00:00Z', { every: 'month', day: 31 })).toBe('2026-02-28T07:30:00.000Z');
  expect(next('2026-11-27T00:00:00Z', { every: 'week', weekday: 7 })).toBe('2026-11-29T07:30:00.000Z');
  expect(timesBetween(lisbon, new Date('2026-11-01T07:30:00Z'), new Date('2026-11-04T08:00:00Z'))).toBe(3);
});
