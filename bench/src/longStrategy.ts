/** A strategy of 2,000 terms: how long it takes to be counted again, described and profiled, and how long others wait. */
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { readVocabularies } from '@even-lantern/standins';
import { measured, type Measurement } from './measure.js';
import { json, watched, type StartedServer } from './server.js';

const CONTENT = join(import.meta.dirname, '..', '..', 'standins', 'content');
const TERMS = 2000;
const MOST_ROUNDS = 60;
const AT = '2026-11-01T00:00:00.000Z';

export async function longStrategy(server: StartedServer): Promise<Measurement[]> {
  const { api, headers } = server;
  const { id, lanes } = (await json(`${api}/reviews`, { title: 'Long' }, headers)) as {
    id: string;
    lanes: { id: string }[];
  };
  putTerms(server, lanes[0]?.id ?? '');
  const rehearse = () =>
    json(`${api}/reviews/${id}/rehearsal?database=corvane`) as Promise<{ uncounted: number }>;
  for (let round = 0; (await rehearse()).uncounted > 0; round += 1) {
    if (round === MOST_ROUNDS) throw new Error('2,000 terms are not counted to the end.');
  }
  const again = await watched(server, rehearse);
  const profile = await watched(server, () =>
    json(`${api}/reviews/${id}/profile`, { database: 'corvane' }, headers),
  );
  const described = await watched(server, async () =>
    (await fetch(`${api}/reviews/${id}/strategy.md?database=corvane`)).text(),
  );
  return [
    measured('strategy', `${TERMS}-terms-rehearsed-again`, again.seconds, 's', '< 1'),
    measured('strategy', 'others-wait-while-they-are', again.waitMs, 'ms', '< 100'),
    measured('strategy', `profile-of-${TERMS}-terms`, profile.seconds, 's', '< 1'),
    measured('strategy', `file-of-${TERMS}-terms-in-five-databases`, described.seconds, 's'),
    measured('strategy', 'others-wait-while-it-is-written', described.waitMs, 'ms'),
  ];
}

function putTerms({ data, headers }: StartedServer, laneId: string): void {
  const labels = readVocabularies(CONTENT).flatMap(({ headings }) => headings.map(({ label }) => label));
  const words = new Set(labels.flatMap((label) => label.toLowerCase().match(/[a-z]{4,}/g) ?? []));
  for (let i = 0; words.size < TERMS; i += 1) words.add(`unheard${i}`);
  const store = new Database(join(data, 'even-lantern.sqlite'), { timeout: 20_000 });
  const insert = store.prepare(
    `INSERT INTO term (id, "laneId", position, content, origin, "createdAt", "createdBy", version)
       VALUES (?, ?, ?, ?, 'typed', ?, ?, 1)`,
  );
  store.transaction(() => {
    for (const [i, text] of [...words].slice(0, TERMS).entries()) {
      const content = JSON.stringify({ kind: 'words', text, field: 'words', near: null });
      insert.run(`long ${i}`, laneId, i + 1, content, AT, headers['el-person'] ?? '');
    }
  })();
  store.close();
}
