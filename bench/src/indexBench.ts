/** Building and querying an index of generated records, beside SQLite FTS5 with the same records and queries. */
import { join } from 'node:path';
import Database from 'better-sqlite3';
import {
  allNarrower,
  buildIndex,
  emptyRecord,
  evaluate,
  evaluateLines,
  indexBytes,
  indexVocabulary,
  type BibRecord,
  type EvaluationContext,
  type Query,
  type SearchIndex,
} from '@even-lantern/core';
import { generateRecords, readContent } from '@even-lantern/standins';
import { measured, median, quantile, timed, type Measurement } from './measure.js';
import { benchStrategy, fts5Term, read, type BenchLine } from './strategy.js';

const ROUNDS = 15;
/** Times that both are built. */
const BUILDS = 3;
/** Rounds before measuring: a server lives long, so both ways are compared warm. */
const WARM_UP = 10;
const contentFolder = join(import.meta.dirname, '..', '..', 'standins', 'content');

export function indexBench(size: number): Measurement[] {
  const content = readContent(contentFolder);
  // As a database has them, read from disk: the pieces they were written from are put together already.
  const records = generateRecords(content, { seed: 1, size }).map(
    (record) => JSON.parse(JSON.stringify(record)) as BibRecord,
  );
  const tree = indexVocabulary(content.vocabulary);
  const context: EvaluationContext = {
    narrowerOf: (_vocabulary, label) => allNarrower(tree, label)?.map((heading) => heading.label) ?? null,
  };
  const results: Measurement[] = [];
  const add = (metric: string, value: number, unit: string, aim?: string) =>
    results.push(measured('index', metric, value, unit, aim));

  // In turn, and without what was there before, so that neither pays for what the other leaves behind.
  let index = null as SearchIndex | null;
  let fts5 = null as ReturnType<typeof fts5Of> | null;
  const builds: number[] = [];
  const ftsBuilds: number[] = [];
  for (let round = 0; round < BUILDS; round += 1) {
    index = null;
    fts5?.database.close();
    builds.push(timed(() => (index = buildIndex(records))));
    fts5 = fts5Of(records);
    ftsBuilds.push(fts5.buildMs);
  }
  if (index === null || fts5 === null) throw new Error('no index');
  const built: SearchIndex = index;
  const { database } = fts5;
  add('records', size, 'records');
  add('build', median(builds) / 1000, 's', `< ${(20 * size) / 100_000}`);
  add('build-rate', size / (median(builds) / 1000), 'records/s');
  add('bytes-beyond-text', indexBytes(built) / size, 'bytes/record', '<= 1500');
  add('build-vs-fts5', median(ftsBuilds) / median(builds), 'ratio');
  // The other one is not given headings, authors, journals and limits, which are a fifth of the work.
  const texts = records.map(onlyTexts);
  add('build-same-texts-vs-fts5', median(ftsBuilds) / timed(() => buildIndex(texts)), 'ratio', '>= 1');

  const ours = (query: Query): number => {
    const found = evaluate(query, built, context);
    if (!found.ok) throw new Error(found.error.message);
    return found.documents.size;
  };
  const count = database.prepare('SELECT count(*) AS hits FROM record WHERE record MATCH ?').pluck();
  const theirs = (match: string) => Number(count.get(match));

  const families: Record<string, BenchLine[]> = {
    'single-word': ['light', 'sleep', 'nurses', 'honey', 'questionnaire', 'falls'].map(both),
    phrase: ['"night shift"', '"bright light"', '"sleep quality"', '"usual care"', '"length of stay"'].map(
      both,
    ),
    'any-ending': ['sleep*', 'therap*', 'random*', 'nurs*', 'light*'].map(both),
    near: [near('light', 'night', 5), near('sleep', 'shift', 10), near('pain', 'scale', 3)],
  };
  for (const [family, lines] of Object.entries(families)) {
    const [own, other] = alternately(
      () => lines.map(({ query }) => timed(() => ours(query))),
      () => lines.map(({ fts5 }) => timed(() => theirs(fts5))),
    );
    add(`${family}-median`, median(own), 'ms');
    add(`${family}-p95`, quantile(own, 0.95), 'ms');
    add(`${family}-vs-fts5`, median(other) / median(own), 'ratio', family === 'near' ? '>= 3' : undefined);
  }
  const headings = ['Shift work', 'Treatments and prevention', 'Older adults'].map((label) =>
    read(`el.heading ==/el.narrower "${label}"`),
  );
  const headingTimes = Array.from({ length: ROUNDS }, () =>
    headings.map((query) => timed(() => ours(query))),
  ).flat();
  add('heading-with-narrower-median', median(headingTimes), 'ms');
  add('heading-with-narrower-p95', quantile(headingTimes, 0.95), 'ms');

  const lines = benchStrategy();
  const numbered = new Map(lines.map(({ query }, i) => [i + 1, query]));
  const strategy = () => [...evaluateLines(numbered, built, context).values()];
  const counts = strategy().map((found) => (found.ok ? found.documents.size : -1));
  const differing =
    Object.values(families)
      .flat()
      .filter(({ query, fts5 }) => ours(query) !== theirs(fts5)).length +
    lines.filter(({ fts5 }, i) => counts[i] !== theirs(fts5)).length;
  add('lines', lines.length, 'lines', '= 40');
  add('differing-counts', differing, 'queries', '= 0');
  const [own, other] = alternately(
    () => [timed(strategy)],
    () => [timed(() => lines.forEach(({ fts5 }) => theirs(fts5)))],
  );
  add('strategy-40-lines-median', median(own), 'ms');
  add('strategy-40-lines-vs-fts5', median(other) / median(own), 'ratio', '>= 15');
  database.close();
  return results;
}

/** A record with title, abstract and keywords alone. */
function onlyTexts(record: BibRecord): BibRecord {
  return { ...emptyRecord(), title: record.title, abstract: record.abstract, keywords: record.keywords };
}

function both(term: string): BenchLine {
  return { query: read(term), fts5: fts5Term(term) };
}

/** FTS5 counts the words in between, we count from word to word; both look in one column. */
function near(a: string, b: string, distance: number): BenchLine {
  return {
    query: read(`el.abstract = ${a} prox/unit=word/distance<=${distance} el.abstract = ${b}`),
    fts5: `abstract : NEAR("${a}" "${b}", ${distance - 1})`,
  };
}

/** Two ways in turn, so that whatever else the machine does falls on both. */
function alternately(one: () => number[], other: () => number[]): [number[], number[]] {
  const ones: number[] = [];
  const others: number[] = [];
  for (let round = 0; round < WARM_UP + ROUNDS; round += 1) {
    const [own, theirs] = [one(), other()];
    if (round < WARM_UP) continue;
    ones.push(...own);
    others.push(...theirs);
  }
  return [ones, others];
}

function fts5Of(records: readonly BibRecord[]): { database: Database.Database; buildMs: number } {
  const database = new Database(':memory:');
  database.exec(
    `CREATE VIRTUAL TABLE record USING fts5(title, abstract, keywords, content='', tokenize="unicode61 remove_diacritics 2")`,
  );
  const insert = database.prepare(
    'INSERT INTO record (rowid, title, abstract, keywords) VALUES (?, ?, ?, ?)',
  );
  // A phrase must not cross sections here either, so words that occur nowhere stand between them.
  const sections = (texts: readonly string[]) => texts.join(` ${'zzborder '.repeat(12)}`);
  const buildMs = timed(() =>
    database.transaction(() => {
      records.forEach((record, i) =>
        insert.run(
          i + 1,
          record.title,
          sections(record.abstract.flatMap(({ label, text }) => (label === null ? [text] : [label, text]))),
          sections(record.keywords),
        ),
      );
      database.exec(`INSERT INTO record(record) VALUES ('optimize')`);
    })(),
  );
  return { database, buildMs };
}
