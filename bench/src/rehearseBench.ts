/** Rehearsing one term through the whole stack: HTTP to the server, SRU to the stand-in, and back. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { answering, json } from './server.js';
import { measured, median, quantile, timedAsync, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');
const [PORT, STANDINS_PORT] = ['4390', '4391'];
const ROUNDS = 120;
const EDITS = 15;
const DATABASES = ['corvane', 'wardline', 'mindry', 'assayhouse', 'skein'];

export async function rehearseBench(): Promise<Measurement[]> {
  const data = mkdtempSync(join(tmpdir(), 'bench-'));
  const env = { ...process.env, PORT, STANDINS_PORT, EVEN_LANTERN_DATA: data };
  const children: ChildProcess[] = [];
  const start = (program: string) => {
    children.push(spawn(process.execPath, [join(root, program)], { env, stdio: 'ignore' }));
  };
  try {
    start('standins/dist/main.js');
    const firstMs = await timedAsync(() => answering(`http://127.0.0.1:${STANDINS_PORT}/`));
    start('server/dist/main.js');
    await answering(`http://127.0.0.1:${PORT}/api/health`);
    const api = `http://127.0.0.1:${PORT}/api`;
    const [review] = (await json(`${api}/reviews`)) as { id: string }[];
    const { lanes } = (await json(`${api}/reviews/${review?.id}`)) as { lanes: { id: string }[] };
    const look = (text: string) =>
      json(`${api}/reviews/${review?.id}/candidates`, {
        database: 'corvane',
        laneId: lanes[0]?.id,
        instead: null,
        contents: [{ kind: 'words', text, field: 'words', near: null }],
      });
    const inAll = (id: string) =>
      Promise.all(DATABASES.map((database) => json(`${api}/reviews/${id}/rehearsal?database=${database}`)));
    const own = review?.id ?? '';
    const allFirstMs = await timedAsync(() => inAll(own));
    await look('warm');
    // A different word each time, so that no remembered count helps.
    const lookups: number[] = [];
    for (let i = 0; i < ROUNDS; i += 1)
      lookups.push(await timedAsync(() => look(`${WORDS[i % WORDS.length]}${i}*`)));
    const whole: number[] = [];
    const rehearse = () => json(`${api}/reviews/${review?.id}/rehearsal?database=corvane`);
    for (let i = 0; i < ROUNDS; i += 1) whole.push(await timedAsync(rehearse));
    const another = await anotherReview(api);
    const allNewMs = await timedAsync(() => inAll(another));
    const all: number[] = [];
    for (let i = 0; i < ROUNDS; i += 1) all.push(await timedAsync(() => inAll(own)));
    const profileMs = await profilesOf(api, own);
    const four = await demoLanes(api, own, false);
    const three = await demoLanes(api, own, true);
    const times = { four: [] as number[], three: [] as number[] };
    for (let i = 0; i < EDITS; i += 1) {
      times.three.push(await editAndCount(api, three, `${i}three`));
      times.four.push(await editAndCount(api, four, `${i}four`));
    }
    return [
      measured('rehearse', 'four-lanes-after-an-edit-of-each-median', median(times.four), 'ms'),
      measured('rehearse', 'four-lanes-to-three', median(times.four) / median(times.three), '', '< 1.4'),
      measured('rehearse', 'ten-limits-five-databases-median', median(profileMs), 'ms', '< 1000'),
      measured('rehearse', 'ten-limits-five-databases-slowest', Math.max(...profileMs), 'ms', '< 1000'),
      // Right after the start, with the vocabularies to read; then a strategy of 23 lines that nobody counted before.
      measured('rehearse', 'five-databases-after-start', allFirstMs, 'ms'),
      measured('rehearse', 'five-databases-new-strategy', allNewMs, 'ms', '< 1000'),
      measured('rehearse', 'five-databases-p95', quantile(all, 0.95), 'ms', '< 1000'),
      measured('rehearse', 'stand-ins-first-start', firstMs / 1000, 's', '< 15'),
      measured('rehearse', 'one-term-median', median(lookups), 'ms'),
      measured('rehearse', 'one-term-p95', quantile(lookups, 0.95), 'ms', '< 50'),
      measured('rehearse', 'all-counts-p95', quantile(whole, 0.95), 'ms', '< 100'),
    ];
  } finally {
    for (const child of children) child.kill('SIGTERM');
    await new Promise((done) => setTimeout(done, 500));
    rmSync(data, { recursive: true, force: true });
  }
}

const values = (...each: string[]) => ({ kind: 'values', values: each });
const PROFILES = 12;

/** The profile of ten limits in five databases, with other years each time, so that no remembered count helps. */
async function profilesOf(api: string, review: string): Promise<number[]> {
  const times: number[] = [];
  for (let round = 0; round < PROFILES; round += 1) {
    const limits = [
      { kind: 'years', values: { kind: 'years', from: 1996 + round, to: 2026 } },
      { kind: 'language', values: values('English', 'French') },
      { kind: 'design', values: values('Randomised trial', 'Quasi-experimental study') },
      { kind: 'publicationType', values: values('Journal article', 'article', 'research article') },
      { kind: 'ageGroup', values: values('adult') },
      { kind: 'sex', values: values('female') },
      { kind: 'humans', values: values('yes') },
      { kind: 'abstract', values: values('yes') },
      { kind: 'peerReview', values: values('yes') },
      { kind: 'setting', values: values('hospital') },
    ].map((limit, i) => ({ ...limit, id: String(i), on: true, ways: {} }));
    const ask = (database: string) => json(`${api}/reviews/${review}/profile`, { database, limits });
    times.push(await timedAsync(() => Promise.all(DATABASES.map(ask))));
  }
  return times;
}

interface BenchReview {
  id: string;
  elements: { id: string; key: string }[];
  lanes: { id: string; elementId: string | null; version: number; terms: object[] }[];
}

/** A review with the lanes of the demo; with the two of the population joined it has the three of earlier. */
async function demoLanes(api: string, demo: string, joined: boolean): Promise<string> {
  const [person] = (await json(`${api}/people`)) as { id: string }[];
  const headers = { 'el-person': person?.id ?? '' };
  const { id } = (await json(`${api}/reviews`, { title: 'Demo lanes' }, headers)) as BenchReview;
  await json(
    `${api}/reviews/${id}/lanes.json`,
    (await json(`${api}/reviews/${demo}/lanes.json`)) as object,
    headers,
  );
  if (!joined) return id;
  const { elements, lanes } = (await json(`${api}/reviews/${id}`)) as BenchReview;
  const population = elements.find(({ key }) => key === 'P')?.id;
  const [first, second] = lanes.filter(({ elementId }) => elementId === population);
  const ifMatch = { ...headers, 'If-Match': `"${second?.version}"` };
  await json(`${api}/lanes/${second?.id}/merge`, { into: first?.id }, ifMatch);
  return id;
}

/** Adds a word to each lane that nobody has counted, and asks for all counts. @returns milliseconds of the counts */
async function editAndCount(api: string, id: string, mark: string): Promise<number> {
  const [person] = (await json(`${api}/people`)) as { id: string }[];
  const headers = { 'el-person': person?.id ?? '' };
  const { lanes } = (await json(`${api}/reviews/${id}`)) as BenchReview;
  for (const [i, lane] of lanes.entries()) {
    if (lane.terms.length === 0) continue;
    const content = { kind: 'words', text: `${WORDS[i % WORDS.length]} ${mark}`, field: 'words', near: null };
    await json(`${api}/reviews/${id}/terms`, { laneId: lane.id, origin: 'typed', content }, headers);
  }
  return timedAsync(() => json(`${api}/reviews/${id}/rehearsal?database=corvane`));
}

/** A review of three lanes with 19 words, which makes a strategy of 23 lines. */
async function anotherReview(api: string): Promise<string> {
  const [person] = (await json(`${api}/people`)) as { id: string }[];
  const headers = { 'el-person': person?.id ?? '' };
  const review = (await json(`${api}/reviews`, { title: 'Bench' }, headers)) as {
    id: string;
    elements: { id: string; searched: boolean }[];
    lanes: { id: string; elementId: string | null }[];
  };
  const searched = review.elements.filter((element) => element.searched).map(({ id }) => id);
  const lanes = review.lanes.filter(({ elementId }) => elementId !== null && searched.includes(elementId));
  for (let i = 0; i < 19; i += 1) {
    const content = {
      kind: 'words',
      text: `${WORDS[i % WORDS.length]}${i % 3 === 0 ? '*' : ''} ${NEXT[i % NEXT.length]}`,
      field: 'words',
      near: null,
    };
    const laneId = lanes[i % lanes.length]?.id;
    await json(`${api}/reviews/${review.id}/terms`, { laneId, origin: 'typed', content }, headers);
  }
  return review.id;
}

const NEXT = ['therapy', 'quality', 'shift', 'staff', 'work', 'scale', 'healing'];
const WORDS = ['light', 'sleep', 'night', 'nurse', 'shift', 'ward', 'pain', 'wound', 'walk', 'care'];
