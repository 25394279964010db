/** The ledger: verifying it, opening it, running side by side, and a whole review as one file and back again. */
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Database from 'better-sqlite3';
import {
  canonicalJson,
  ledgerVerifier,
  resultFingerprint,
  sealEntry,
  type LedgerEntry,
  type RunContent,
} from '@even-lantern/core';
import { AT, fill, recordOf } from './filledReview.js';
import { measured, median, quantile, timed, timedAsync, type Measurement } from './measure.js';
import { answering, json, watched, withServer, type StartedServer } from './server.js';

const PORT = 4396;
const STAND_INS_PORT = 4397;
const LONG = 10_000;
const USUAL = 1000;
/** Of the ledger that is exported. */
const EXPORTED = 20_000;
const LINES = 30;
const ROUNDS = 40;
/** How long each call of a database takes while runs are compared, as over a network. */
const CALL_MS = 120;
const DATABASES = ['corvane', 'wardline', 'mindry', 'assayhouse', 'skein'];

export async function ledgerBench(size: number): Promise<Measurement[]> {
  const entries = chain(LONG);
  const kept = entries.map(({ content, previousHash, hash }) => ({
    text: canonicalJson(content),
    previousHash,
    hash,
  }));
  const verifying = Array.from({ length: 5 }, () =>
    timed(() => {
      const verifier = ledgerVerifier(null, sha256);
      for (const entry of kept) verifier.takeKept(entry);
      if (verifier.end().broken !== null) throw new Error('the chain is broken');
    }),
  );
  return [
    measured('ledger', 'verify-10000-entries', median(verifying), 'ms', '< 1000'),
    ...(await withServer(PORT, (server) => opening(server, entries))),
    ...(await withServer(PORT, exporting)),
    ...(await sideBySide()),
    ...(await withServer(PORT, (server) => packing(server, size))),
  ];
}

/** Entries as runs of thirty lines leave them. */
function chain(count: number): LedgerEntry<RunContent>[] {
  const entries: LedgerEntry<RunContent>[] = [];
  for (let i = 1; i <= count; i += 1) {
    const lines = Array.from({ length: LINES }, (_, line) => ({
      number: line + 1,
      description: `night shift ${line} (title, abstract, keywords)`,
      string: `words("night shift ${line}") OR words("rotating shift*") OR near(5, "shift*", "night*")`,
      hits: 800 + line,
      losses: [],
    }));
    entries.push(sealEntry(runOf(i, lines, 374, 'f'.repeat(64)), entries.at(-1)?.hash ?? null));
  }
  return entries;
}

function runOf(entry: number, lines: RunContent['lines'], fetched: number, fingerprint: string): RunContent {
  return {
    entry, kind: 'run', form: 4, outcome: 'complete', reason: null, database: 'bench', databaseName: 'Bench', release: '',
    dialect: 'CQL', queryType: 'cql', lines, limits: [], hits: fetched, fetched, remarks: [], fingerprint, startedAt: AT,
    timeZone: 'UTC', durationMs: 900, ranBy: 'Ada', applicationVersion: '0.1.0', purpose: '', note: '', version: null,
    accepted: [], settled: [], repeats: null, renamed: [],
  }; // prettier-ignore
}

async function opening(
  server: StartedServer,
  entries: readonly LedgerEntry<RunContent>[],
): Promise<Measurement[]> {
  const { api, headers } = server;
  const review = async (title: string, count: number) => {
    const { id } = (await json(`${api}/reviews`, { title }, headers)) as { id: string };
    inStore(server, (store) => putEntries(store, id, entries.slice(0, count), null));
    // That took longer than an idle connection is kept.
    await answering(`${api}/health`);
    return id;
  };
  const [usual, long] = [await review('Usual', USUAL), await review('Long', LONG)];
  const opened = async (id: string) => {
    const times: number[] = [];
    for (let i = 0; i < ROUNDS; i += 1) {
      times.push(
        await timedAsync(async () => {
          await json(`${api}/reviews/${id}/ledger`);
          await json(`${api}/reviews/${id}/ledger/entries`);
        }),
      );
    }
    return quantile(times, 0.95);
  };
  const search = async (id: string) => {
    const times: number[] = [];
    for (let i = 0; i < ROUNDS; i += 1) {
      times.push(
        await timedAsync(() =>
          json(`${api}/reviews/${id}/ledger/entries?search=${i % 2 ? 'shift 29' : 'absent'}`),
        ),
      );
    }
    return quantile(times, 0.95);
  };
  const verify = async () => {
    const times: number[] = [];
    for (let i = 0; i < 5; i += 1) {
      times.push(
        await timedAsync(() => json(`${api}/reviews/${long}/ledger/verification`, { seal: '' }, headers)),
      );
    }
    return median(times);
  };
  return [
    measured('ledger', 'open-1000-entries-p95', await opened(usual), 'ms', '< 300'),
    measured('ledger', 'open-10000-entries-p95', await opened(long), 'ms'),
    measured('ledger', 'search-1000-entries-p95', await search(usual), 'ms'),
    measured('ledger', 'verify-10000-entries-through-http', await verify(), 'ms', '< 1000'),
  ];
}

/** A long ledger in each of its forms, and how long others wait meanwhile. */
async function exporting(server: StartedServer): Promise<Measurement[]> {
  const { api, headers } = server;
  const { id } = (await json(`${api}/reviews`, { title: 'Exported' }, headers)) as { id: string };
  inStore(server, (store) => putEntries(store, id, chain(EXPORTED), null));
  await answering(`${api}/health`);
  const results: Measurement[] = [];
  for (const extension of ['csv', 'md', 'json']) {
    const { seconds, waitMs, moreMb } = await watched(server, async () => {
      const response = await fetch(`${api}/reviews/${id}/ledger.${extension}`);
      for await (const _part of response.body ?? []) continue;
    });
    const name = `${extension}-of-${EXPORTED}-entries`;
    results.push(
      measured('ledger', name, seconds, 's'),
      measured('ledger', `others-wait-during-${name}`, waitMs, 'ms', '< 100'),
      measured('ledger', `more-memory-for-${name}`, moreMb, 'MB', '< 150'),
    );
  }
  return results;
}

/** Five slow databases run by one action, against the slowest of them alone. */
async function sideBySide(): Promise<Measurement[]> {
  const data = mkdtempSync(join(tmpdir(), 'bench-'));
  const program = join(import.meta.dirname, '..', '..', 'standins', 'dist', 'main.js');
  const env = { ...process.env, STANDINS_PORT: String(STAND_INS_PORT), EVEN_LANTERN_DATA: data };
  const standIns = spawn(process.execPath, [program], { env, stdio: 'ignore' });
  try {
    const address = `http://127.0.0.1:${STAND_INS_PORT}`;
    await answering(`${address}/`);
    return await withServer(
      PORT,
      async ({ api, headers }) => {
        const { id } = (await json(`${api}/reviews`, { title: 'Side by side' }, headers)) as { id: string };
        const review = (await json(`${api}/reviews/${id}`)) as { lanes: { id: string }[] };
        for (const { id: laneId } of review.lanes) {
          const content = { kind: 'words', text: 'night*', field: 'words', near: null };
          await json(`${api}/reviews/${id}/terms`, { laneId, origin: 'typed', content }, headers);
        }
        for (;;) {
          const { databases } = (await json(`${api}/databases`)) as { databases: unknown[] };
          if (databases.length === DATABASES.length) break;
          await new Promise((done) => setTimeout(done, 100));
        }
        for (const database of DATABASES) {
          await fetch(`${address}/control/${database}/trouble`, {
            method: 'POST',
            headers: { 'Content-Type': 'application/json' },
            body: JSON.stringify({ kind: 'slow', delay: CALL_MS }),
          });
        }
        const run = async (databases: string[]) => {
          const from = performance.now();
          const { started } = (await json(
            `${api}/reviews/${id}/runs/together`,
            { databases, timeZone: 'UTC' },
            headers,
          )) as {
            started: { id: string }[];
          };
          if (started.length !== databases.length) throw new Error('not all were started');
          for (;;) {
            const { running } = (await json(`${api}/reviews/${id}/ledger`)) as { running: unknown[] };
            if (running.length === 0) return performance.now() - from;
            await new Promise((done) => setTimeout(done, 20));
          }
        };
        await run(DATABASES);
        const alone: number[] = [];
        for (const database of DATABASES) alone.push(await run([database]));
        const slowest = Math.max(...alone);
        const all = await run(DATABASES);
        return [
          measured('ledger', 'slowest-of-five-alone', slowest / 1000, 's'),
          measured('ledger', 'five-side-by-side', all / 1000, 's'),
          measured('ledger', 'five-against-the-slowest', all / slowest, 'ratio', '<= 1.3'),
        ];
      },
      STAND_INS_PORT,
    );
  } finally {
    standIns.kill('SIGTERM');
    await new Promise((done) => setTimeout(done, 500));
    rmSync(data, { recursive: true, force: true });
  }
}

async function packing(server: StartedServer, size: number): Promise<Measurement[]> {
  const { api, headers } = server;
  const { id } = (await json(`${api}/reviews`, { title: 'Large' }, headers)) as { id: string };
  fill(join(server.data, 'even-lantern.sqlite'), id, headers['el-person'] ?? '', size);
  inStore(server, (store) => {
    const accessions: string[] = [];
    const found = store.prepare(
      'INSERT INTO run_record ("runId", accession, rank, digest) VALUES (\'run\', ?, ?, ?)',
    );
    store.transaction(() => {
      for (let i = 0; i < size; i += 1) {
        const record = recordOf(i);
        accessions.push(record.accession);
        found.run(record.accession, i + 1, createHash('sha256').update(JSON.stringify(record)).digest('hex'));
      }
    })();
    putEntries(store, id, [sealEntry(runOf(1, [], size, resultFingerprint(accessions)), null)], 'run');
    store.pragma('wal_checkpoint(TRUNCATE)');
  });
  await answering(`${api}/health`);
  const written = await watched(server, async () =>
    (await fetch(`${api}/reviews/${id}/package.zip`)).arrayBuffer(),
  );
  const bytes = written.result;
  await fetch(`${api}/reviews/${id}/deletion`, {
    method: 'POST',
    headers: { ...headers, 'Content-Type': 'application/json' },
    body: JSON.stringify({ title: 'Large' }),
  });
  const take = () =>
    fetch(`${api}/packages`, {
      method: 'POST',
      headers: { ...headers, 'Content-Type': 'application/zip' },
      body: bytes,
    });
  // Until the last row of it has gone, it is not taken in again.
  let taken = await watched(server, take);
  while (taken.result.status === 409) {
    await new Promise((done) => setTimeout(done, 500));
    taken = await watched(server, take);
  }
  if (!taken.result.ok) throw new Error(`the package was refused: ${await taken.result.text()}`);
  const { rows } = (await taken.result.json()) as { rows: number };
  return [
    measured('ledger', 'package-size', bytes.byteLength / 1e6, 'MB'),
    measured('ledger', 'package-rows', rows, 'rows'),
    measured('ledger', 'package-written-in', written.seconds, 's', '< 60'),
    measured('ledger', 'package-written-more-memory', written.moreMb, 'MB', '< 300'),
    measured('ledger', 'others-wait-while-it-is-written', written.waitMs, 'ms', '< 100'),
    measured('ledger', 'package-taken-in-in', taken.seconds, 's', '< 60'),
    measured('ledger', 'package-taken-in-more-memory', taken.moreMb, 'MB', '< 300'),
    measured('ledger', 'others-wait-while-it-is-taken-in', taken.waitMs, 'ms', '< 100'),
  ];
}

function sha256(text: string): string {
  return createHash('sha256').update(text).digest('hex');
}

function inStore({ data }: StartedServer, work: (store: Database.Database) => void): void {
  const store = new Database(join(data, 'even-lantern.sqlite'), { timeout: 20_000 });
  try {
    work(store);
  } finally {
    store.close();
  }
}

function putEntries(
  store: Database.Database,
  review: string,
  entries: readonly LedgerEntry<RunContent>[],
  runId: string | null,
): void {
  const insert = store.prepare(
    `INSERT INTO ledger_entry (id, "reviewId", "runId", entry, content, "previousHash", hash, kind, "database", outcome, about,
       summary, words) VALUES (?, ?, ?, ?, ?, ?, ?, 'run', 'bench', 'complete', NULL, ?, ?)`,
  );
  store.transaction(() => {
    for (const { content, previousHash, hash } of entries) {
      const {
        entry,
        lines,
        startedAt: at,
        ranBy: by,
        databaseName: title,
        database,
        fetched,
        hits,
      } = content;
      const summary = {
        kind: 'run', at, by, title, database, release: '', outcome: 'complete', reason: null, lines: lines.length, hits, fetched,
        limits: [], purpose: '', about: null,
      }; // prettier-ignore
      const words = lines.map(({ description, string }) => `${description}\n${string}`).join('\n');
      insert.run(
        `${review} ${entry}`, review, runId, entry, canonicalJson(content), previousHash, hash, JSON.stringify(summary), words,
      ); // prettier-ignore
    }
  })();
}
