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
