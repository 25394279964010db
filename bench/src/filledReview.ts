/** A review of many records, put into a store as runs would have. */
import Database from 'better-sqlite3';
import { emptyRecord, type BibRecord } from '@even-lantern/core';

/** Every second record is kept. */
const KEPT_ONE_IN = 2;

/** Puts records into a review as runs would have. */
export function fill(path: string, review: string, person: string, size: number): void {
  const store = new Database(path, { timeout: 20_000 });
  const insert = store.prepare(
    `INSERT INTO record (id, "reviewId", database, accession, "lastRunId", rank, title, year, journal, record, decision,
       "decidedBy", "decidedAt", "publicationTypes", version) VALUES (?, ?, 'bench', ?, 'run', ?, ?, ?, ?, ?, ?, ?, ?, ?, 1)`,
  );
  store
    .prepare(
      `INSERT INTO run (id, "reviewId", database, status, "startedAt", "timeZone", "ranBy", "databaseName", release,
       "queryType", lines, hits, fetched, most, "lastAt", remarks)
     VALUES ('run', ?, 'bench', 'complete', ?, 'UTC', ?, 'Bench', '', 'cql', '[]', ?, ?, ?, ?, '[]')`,
    )
    .run(review, AT, person, size, size, size, AT);
  const all = store.transaction(() => {
    for (let i = 0; i < size; i += 1) {
      const record = recordOf(i);
      const kept = i % KEPT_ONE_IN === 0;
      // Ids in no order and hexadecimal, as those of a real store are.
      const id = `${((i * 2_654_435_761) % 2 ** 32).toString(16).padStart(8, '0')}-${i}`;
      insert.run(
        id, review, record.accession, i + 1, record.title, record.year, record.journal, JSON.stringify(record),
        kept ? 'keep' : 'undecided', kept ? person : null, kept ? AT : null, JSON.stringify(record.publicationTypes),
      ); // prettier-ignore
    }
  });
  all();
  const counted = store.prepare('INSERT INTO record_count VALUES (?, ?, ?)');
  counted.run(review, 'keep', Math.ceil(size / KEPT_ONE_IN));
  counted.run(review, 'undecided', size - Math.ceil(size / KEPT_ONE_IN));
  // Runs come page by page, so that what they wrote has long been taken into the file.
  store.pragma('wal_checkpoint(TRUNCATE)');
  store.close();
}

export const AT = '2026-11-01T00:00:00.000Z';
const DESIGNS = [
  'a cohort study',
  'a randomised trial',
  'a systematic review',
  'interviews',
  'a survey',
  'thoughts',
];
const TEXT =
  'Staff on night duty were given timed bright light or usual lighting, and sleep was told by diary. ';

export function recordOf(i: number): BibRecord {
  return {
    ...emptyRecord(),
    accession: `B${String(i).padStart(7, '0')}`,
    title: `Bright light for staff of ward ${i} on night duty: ${DESIGNS[i % DESIGNS.length]} of ${i % 97} nights`,
    abstract: [{ label: null, text: TEXT.repeat(14) }],
    authors: [{ family: `Ortvik${i % 300}`, given: 'L' }],
    journal: `Annals of Ward ${i % 40}`,
    year: 1990 + (i % 37),
    publicationTypes: ['Journal article'],
    keywords: ['night work', 'light'],
  };
}

const LINES_OF_RUN = JSON.stringify(
  Array.from({ length: 30 }, (_, i) => ({
    number: i + 1,
    description: `night shift ${i}`,
    string: `words("night shift ${i}") OR words("rotating shift*")`,
    hits: 800,
  })),
);

/** Puts many small reviews into a store, each with some lanes, terms, runs and records. */
export function fillMany(path: string, person: string, reviews: number, runsOfEach: number): void {
  const store = new Database(path, { timeout: 20_000 });
  const into = (table: string, row: Record<string, string | number | null>) => {
    const columns = Object.keys(row).map((column) => `"${column}"`);
    store
      .prepare(`INSERT INTO ${table} (${columns.join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`)
      .run(...Object.values(row));
  };
  const by = { createdBy: person, createdAt: AT };
  const content = JSON.stringify({ kind: 'words', text: 'night shift', field: 'words', near: null });
  const all = store.transaction(() => {
    for (let i = 0; i < reviews; i += 1) {
      const [reviewId, version] = [`many-${i}`, 1];
      into('review', { id: reviewId, title: `Review ${i}`, framework: 'pico', version, ...by });
      for (const [position, key] of ['P', 'I', 'C', 'O', 'T', 'S'].entries()) {
        const elementId = `${reviewId}-${key}`;
        const searched = position < 3 ? 1 : 0;
        into('element', {
          id: elementId,
          reviewId,
          key,
          position,
          text: 'nurses',
          note: '',
          searched,
          version,
        });
        into('wording', { id: elementId, elementId, position: 1, text: 'nurses', at: AT, personId: person });
        if (searched === 0) continue;
        into('lane', { id: elementId, reviewId, elementId, position, name: '', leftOut: 0, version });
        for (let t = 0; t < 10; t += 1) {
          const id = `${elementId}-${t}`;
          into('term', { id, laneId: elementId, position: t, content, origin: 'typed', version, ...by });
          const event = { laneId: elementId, position: t + 1, termId: id, at: AT, personId: person };
          into('lane_event', { id, ...event, what: 'added', content });
        }
      }
      for (let r = 0; r < runsOfEach; r += 1) {
        const about = { reviewId, database: 'bench', databaseName: 'Bench', release: '', ranBy: person };
        const state = { status: 'complete', startedAt: AT, lastAt: AT, timeZone: 'UTC', remarks: '[]' };
        const found = { lines: LINES_OF_RUN, hits: 800, fetched: 0, most: 800, queryType: 'cql' };
        into('run', { id: `${reviewId}-${r}`, ...about, ...state, ...found });
      }
    }
  });
  all();
  store.pragma('wal_checkpoint(TRUNCATE)');
  store.close();
}
