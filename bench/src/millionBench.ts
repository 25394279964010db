/**
 * A large database: its index is built once, kept on disk, loaded, and a strategy of 60 lines is evaluated. Takes some
 * minutes and several gigabytes, so it runs only by its name.
 */
import { closeSync, fstatSync, mkdtempSync, openSync, readSync, rmSync, writeSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  addsQueries,
  buildIndex,
  compileLanes,
  evaluate,
  evaluateLines,
  listWords,
  loadIndex,
  partMemory,
  storeIndex,
  type BibRecord,
  type EvaluationContext,
  type Lane,
  type SearchIndex,
} from '@even-lantern/core';
import { generateRecords, readContent } from '@even-lantern/standins';
import { measured, median, timed, type Measurement } from './measure.js';
import { benchStrategy, FURTHER_LANES } from './strategy.js';

const contentFolder = join(import.meta.dirname, '..', '..', 'standins', 'content');
/** Records made at a time, so that never all are in memory. */
const CHUNK = 10_000;
/** Bytes read or written at a time: a file of more than two gigabytes goes in pieces. */
const PIECE = 1 << 30;
const WARM_UP = 3;
const ROUNDS = 9;

export function millionBench(size: number): Measurement[] {
  const results: Measurement[] = [];
  const add = (metric: string, value: number, unit: string, aim?: string) =>
    results.push(measured('million', metric, value, unit, aim));
  const folder = mkdtempSync(join(tmpdir(), 'index-'));
  const path = join(folder, 'records.index');
  try {
    add('records', size, 'records');
    let built = null as SearchIndex | null;
    add('make-and-build', timed(() => (built = buildIndex(manyRecords(size)))) / 1000, 's');
    if (built === null) throw new Error('no index');
    const before = counts(built);
    add('store', timed(() => write(path, storeIndex(built as SearchIndex))) / 1000, 's');
    built = null;
    let loaded = null as SearchIndex | null;
    add('load', timed(() => (loaded = loadIndex(read(path)))) / 1000, 's', '< 10');
    if (loaded === null) throw new Error('the index cannot be loaded');
    const index: SearchIndex = loaded;
    const after = counts(index);
    add('differing-counts', after.filter((count, i) => count !== before[i]).length, 'lines', '= 0');
    add('lines', after.length, 'lines', '= 60');
    const times: number[] = [];
    for (let round = 0; round < WARM_UP + ROUNDS; round += 1) times.push(timed(() => counts(index)));
    add('strategy-60-lines-median', median(times.slice(WARM_UP)), 'ms', '< 300');
    const lanes = lanesOfWords(index);
    const long: number[] = [];
    let asked = 0;
    for (let round = 0; round < WARM_UP + ROUNDS; round += 1) {
      long.push(timed(() => (asked = countsAndAdditions(index, lanes))));
    }
    add('counts-of-200-terms', asked, 'counts');
    add('200-terms-and-what-they-add-median', median(long.slice(WARM_UP)), 'ms', '< 2000');
    add('200-terms-and-what-they-add-slowest', Math.max(...long.slice(WARM_UP)), 'ms', '< 2000');
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
  return results;
}

const TERMS = 200;
const TERM_LANES = 4;
const REMEMBERED_BYTES = 64 * 2 ** 20;

/** Lanes of two hundred terms: words of the index that many records have, and beginnings of some. */
function lanesOfWords(index: SearchIndex): Lane[] {
  const frequent = listWords(index, 'words', 'a', Number.MAX_SAFE_INTEGER)
    .filter(({ word }) => /^[a-z]{5,}$/.test(word))
    .sort((a, b) => b.documents - a.documents)
    .slice(0, TERMS);
  return Array.from({ length: TERM_LANES }, (_, lane): Lane => ({
    id: String(lane),
    name: String(lane),
    leftOut: false,
    terms: frequent
      .filter((_word, i) => i % TERM_LANES === lane)
      .map(({ word }, i) => ({
        id: word,
        origin: 'typed',
        heldBack: null,
        content: {
          kind: 'words',
          text: i % 5 === 0 ? `${word.slice(0, 5)}*` : word,
          field: 'words',
          near: null,
        },
      })),
  }));
}

/** Every line of the strategy, and what each term adds to its lane. @returns how many counts that were */
function countsAndAdditions(index: SearchIndex, lanes: readonly Lane[]): number {
  const { lines } = compileLanes(lanes);
  const all = new Map(lines.map(({ number, query }) => [number, query]));
  const adds = lanes.flatMap((lane) => [...addsQueries(lane).values()].flatMap((query) => query ?? []));
  // As a database has it that was just started: what words find is remembered from the first count on.
  const context = { ...CONTEXT, remembered: partMemory(REMEMBERED_BYTES) };
  const found = evaluateLines(all, index, context);
  const added = adds.map((query) => evaluate(query, index, context));
  return found.size + added.filter(({ ok }) => ok).length;
}

function* manyRecords(size: number): Iterable<BibRecord> {
  const content = readContent(contentFolder);
  for (let made = 0; made < size; made += CHUNK) {
    yield* generateRecords(content, { seed: 1 + made, size: Math.min(CHUNK, size - made) });
  }
}

const LINES = new Map(benchStrategy(FURTHER_LANES).map(({ query }, i) => [i + 1, query]));
const CONTEXT: EvaluationContext = { narrowerOf: () => null };

function counts(index: SearchIndex): number[] {
  return [...evaluateLines(LINES, index, CONTEXT).values()].map((found) =>
    found.ok ? found.documents.size : -1,
  );
}

function write(path: string, bytes: Uint8Array): void {
  const file = openSync(path, 'w');
  for (let at = 0; at < bytes.length;) at += writeSync(file, bytes, at, Math.min(PIECE, bytes.length - at));
  closeSync(file);
}

function read(path: string): Uint8Array {
  const file = openSync(path, 'r');
  const bytes = new Uint8Array(fstatSync(file).size);
  for (let at = 0; at < bytes.length;)
    at += readSync(file, bytes, at, Math.min(PIECE, bytes.length - at), at);
  closeSync(file);
  return bytes;
}
