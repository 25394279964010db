/** The generated records on disk: made once, then read. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildIndex, loadIndex, storeIndex, type BibRecord, type SearchIndex } from '@even-lantern/core';
import { generateCorpora, type Authored } from './corpora.js';
import type { History, RecordChange } from './releases.js';

/** Raised whenever the generator's code changes what it makes. */
const GENERATOR_VERSION = 14;

export interface Corpus {
  /** by database */
  histories: ReadonlyMap<string, History>;
  /** The index over the records of one release, read from disk or built and kept there. */
  indexOf(database: string, release: string, records: readonly BibRecord[]): SearchIndex;
}

/**
 * Reads the records of all databases from the folder, or makes and keeps them when they are missing or were made
 * otherwise. Files are written aside and moved into place, so a crash never leaves half of one.
 */
export function loadOrGenerate(folder: string, authored: Authored): Corpus {
  const { content, vocabularies, recipes, limits } = authored;
  const counterparts = vocabularies.map((each) => [...each.counterparts]);
  const made = createHash('sha256')
    .update(JSON.stringify([GENERATOR_VERSION, recipes, content, vocabularies, counterparts, limits]))
    .digest('hex')
    .slice(0, 16);
  mkdirSync(folder, { recursive: true });
  const path = (name: string, kind: string) => join(folder, `${name}-${made}.${kind}`);
  return {
    histories: loadHistories(authored, path),
    indexOf(database, release, records) {
      const file = path(`${database}-${release}`, 'index');
      const stored = existsSync(file) ? loadIndex(readFileSync(file)) : null;
      if (stored !== null) return stored;
      const index = buildIndex(records);
      writeWhole(file, storeIndex(index));
      return index;
    },
  };
}

function loadHistories(
  authored: Authored,
  path: (name: string, kind: string) => string,
): ReadonlyMap<string, History> {
  const ids = authored.recipes.map(({ id }) => id);
  const files = ids.flatMap((id) => [path(id, 'ndjson'), path(`${id}-changes`, 'ndjson')]);
  if (files.every((file) => existsSync(file))) {
    return new Map(
      ids.map((id) => [
        id,
        {
          records: readLines<BibRecord>(path(id, 'ndjson')),
          changes: readLines<RecordChange>(path(`${id}-changes`, 'ndjson')),
        },
      ]),
    );
  }
  const { histories, truth } = generateCorpora(authored);
  writeLines(
    path('truth', 'ndjson'),
    [...truth].map(([accession, known]) => ({ accession, ...known })),
  );
  for (const [id, { records, changes }] of histories) {
    writeLines(path(id, 'ndjson'), records);
    writeLines(path(`${id}-changes`, 'ndjson'), changes);
  }
  return histories;
}

function readLines<Value>(path: string): Value[] {
  return readFileSync(path, 'utf8')
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => JSON.parse(line) as Value);
}

function writeLines(path: string, values: readonly object[]): void {
  writeWhole(path, values.map((value) => `${JSON.stringify(value)}\n`).join(''));
}

function writeWhole(path: string, content: string | Uint8Array): void {
  writeFileSync(`${path}.part`, content);
  renameSync(`${path}.part`, path);
}
