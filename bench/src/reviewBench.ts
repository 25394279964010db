/** A review of 100,000 records: what a person does in it, through HTTP, on a real store. */
import { join } from 'node:path';
import { fill, fillMany } from './filledReview.js';
import { measured, median, quantile, timedAsync, type Measurement } from './measure.js';
import { answering, json, memoryOf, withServer } from './server.js';

const PORT = 4392;
const ROUNDS = 100;
const WARMING = 20;
const SORTS = ['relevance', 'newest', 'oldest'];

interface Page {
  rows: { id: string; version: number }[];
}

export function reviewBench(size: number): Promise<Measurement[]> {
  return withServer(PORT, async (server) => {
    const { api, headers } = server;
    const { id: review } = (await json(`${api}/reviews`, { title: 'Large' }, headers)) as { id: string };
    fill(join(server.data, 'even-lantern.sqlite'), review, headers['el-person'] ?? '', size);
    // That took longer than an idle connection is kept.
    await answering(`${api}/health`);

    const records = `${api}/reviews/${review}/records`;
    const asked = async (address: (round: number) => string) => {
      const times: number[] = [];
      for (let i = -WARMING; i < ROUNDS; i += 1) {
        const ms = await timedAsync(() => json(address(Math.max(0, i))));
        if (i >= 0) times.push(ms);
      }
      return quantile(times, 0.95);
    };
    const sort = (i: number) => `sort=${SORTS[i % SORTS.length]}`;
    const first = await asked((i) => `${records}?${sort(i)}`);
    const middle = await asked((i) => `${records}?${sort(i)}&offset=${Math.floor(size / 2) + i * 100}`);
    const narrowed = await asked(
      (i) => `${records}?${sort(i)}&decision=undecided&offset=${Math.floor(size / 4) + i}`,
    );
    const counts = await asked(() => `${records}/counts`);
    const reviews = await asked(() => `${api}/reviews`);
    const { rows } = (await json(`${records}?decision=undecided&limit=200`)) as Page;
    const decisions: number[] = [];
    for (const { id, version } of rows) {
      const change = { ...headers, 'If-Match': `"${version}"` };
      decisions.push(
        await timedAsync(() => json(`${api}/records/${id}`, { decision: 'unsure' }, change, 'PATCH')),
      );
    }
    const told = await telling(api, review, headers);
    const byDesign = await asked((i) => `${records}?${sort(i)}&design=${encodeURIComponent('Cohort study')}`);
    const designCounts = await asked(() => `${records}/designs`);
    const exported = await exporting(`${api}/reviews/${review}/kept.ris`, server.process);
    const deleted = await deleting(api, review, headers);
    fillMany(join(server.data, 'even-lantern.sqlite'), headers['el-person'] ?? '', 1000, 10);
    await answering(`${api}/health`);
    const manyReviews = await asked(() => `${api}/reviews`);
    const afterAnEdit: number[] = [];
    for (let i = 0; i < ROUNDS / 4; i += 1) {
      await json(`${api}/reviews`, { title: `New ${i}` }, headers);
      afterAnEdit.push(await timedAsync(() => json(`${api}/reviews`)));
    }
    return [
      measured('review', 'first-page-p95', first, 'ms', '< 20'),
      measured('review', 'middle-page-p95', middle, 'ms', '< 20'),
      measured('review', 'middle-of-undecided-p95', narrowed, 'ms', '< 20'),
      measured('review', 'counts-p95', counts, 'ms', '< 20'),
      measured('review', 'decision-p95', quantile(decisions, 0.95), 'ms', '< 20'),
      measured('review', 'list-of-reviews-p95', reviews, 'ms', '< 20'),
      measured('review', 'list-of-1000-reviews-10000-runs-p95', manyReviews, 'ms', '< 100'),
      measured('review', 'that-list-after-an-edit-median', median(afterAnEdit), 'ms'),
      measured('review', 'designs-told', told.records, 'records'),
      measured('review', 'designs-told-in', told.seconds, 's'),
      measured('review', 'others-wait-while-designs-are-told', told.waitMs, 'ms', '< 100'),
      measured('review', 'design-counts-p95', designCounts, 'ms', '< 50'),
      measured('review', 'first-page-of-a-design-p95', byDesign, 'ms', '< 50'),
      measured('review', 'export-kept-records', exported.records, 'records'),
      measured('review', 'export-kept-time', exported.ms, 'ms'),
      measured('review', 'export-kept-more-memory', exported.moreMb, 'MB', '< 150'),
      measured('review', 'others-wait-during-export', exported.waitMs, 'ms', '< 100'),
      measured('review', 'deletion-answered', deleted.answeredMs, 'ms', '< 100'),
      measured('review', 'others-wait-during-deletion', deleted.waitMs, 'ms', '< 250'),
    ];
  });
}

/** Has the designs of all records told, and watches how long others wait meanwhile, also those who change something. */
async function telling(api: string, review: string, headers: Record<string, string>) {
  const from = performance.now();
  const left = async () =>
    ((await json(`${api}/reviews/${review}/records/designs`)) as { pending: number }).pending;
  const records = await left();
  let waitMs = 0;
  let asked = performance.now();
  for (let i = 0; ; i += 1) {
    waitMs = Math.max(waitMs, await timedAsync(() => json(`${api}/health`)));
    waitMs = Math.max(
      waitMs,
      await timedAsync(() => json(`${api}/people`, { name: `Reader ${i}` }, headers)),
    );
    if (performance.now() - asked < 1000) continue;
    asked = performance.now();
    if ((await left()) === 0) break;
  }
  return { records, seconds: (performance.now() - from) / 1000, waitMs };
}

/** Deletes the review, and watches how long others wait until all of it has gone. */
async function deleting(api: string, review: string, headers: Record<string, string>) {
  const from = performance.now();
  // An answer without a body is none that could be read.
  await fetch(`${api}/reviews/${review}/deletion`, {
    method: 'POST',
    headers: { ...headers, 'Content-Type': 'application/json' },
    body: JSON.stringify({ title: 'Large' }),
  });
  const answeredMs = performance.now() - from;
  let waitMs = 0;
  // A change waits for those before it, so it tells when the deletion lets others in.
  for (let i = 0; i < 20; i += 1) {
    waitMs = Math.max(waitMs, await timedAsync(() => json(`${api}/health`)));
    waitMs = Math.max(
      waitMs,
      await timedAsync(() => json(`${api}/reviews`, { title: `Other ${i}` }, headers)),
    );
  }
  return { answeredMs, waitMs };
}

/** Reads an export as it comes, and watches what it costs the server and those who ask for something else. */
async function exporting(address: string, pid: number) {
  const before = memoryOf(pid);
  let most = before;
  let waitMs = 0;
  const watched = { going: true };
  const watching = (async () => {
    while (watched.going) {
      waitMs = Math.max(waitMs, await timedAsync(() => json(`http://127.0.0.1:${PORT}/api/health`)));
      most = Math.max(most, memoryOf(pid));
    }
  })();
  let records = 0;
  const from = performance.now();
  const response = await fetch(address);
  const decoder = new TextDecoder();
  let rest = '';
  for await (const part of response.body ?? []) {
    const text = rest + decoder.decode(part as Uint8Array, { stream: true });
    records += text.split('\nER  -').length - 1;
    rest = text.slice(-6).includes('\nER  -') ? '' : text.slice(-6);
  }
  const ms = performance.now() - from;
  watched.going = false;
  await watching;
  return { records, ms, moreMb: most - before, waitMs };
}
