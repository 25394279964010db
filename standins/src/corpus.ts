/** The generated records on disk: made once, then read. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BibRecord } from '@even-lantern/core';
import type { AuthoredVocabulary, DatabaseRecipe } from './content.js';
import { generateCorpora } from './corpora.js';
import type { Content } from './generate.js';

/** Raised whenever the generator's code changes what it makes. */
const GENERATOR_VERSION = 4;

/**
 * Reads the records of all databases from the folder, or makes and keeps them when they are missing or were made
 * otherwise. Files are written aside and moved into place, so a crash never leaves half of one.
 * @returns the records by database
 */
export function loadOrGenerate(
  folder: string,
  content: Content,
  vocabularies: readonly AuthoredVocabulary[],
  recipes: readonly DatabaseRecipe[],
): ReadonlyMap<string, BibRecord[]> {
  const counterparts = vocabularies.map((each) => [...each.counterparts]);
  const made = createHash('sha256')
    .update(JSON.stringify([GENERATOR_VERSION, recipes, content, vocabularies, counterparts]))
    .digest('hex')
    .slice(0, 16);
  const path = (name: string) => join(folder, `${name}-${made}.ndjson`);
  if (recipes.every(({ id }) => existsSync(path(id)))) {
    return new Map(recipes.map(({ id }) => [id, readLines(path(id))]));
  }
  const { records, truth } = generateCorpora(content, vocabularies, recipes);
  mkdirSync(folder, { recursive: true });
  writeLines(
    path('truth'),
    [...truth].map(([accession, known]) => ({ accession, ...known })),
  );
  for (const [id, own] of records) writeLines(path(id), own);
  return records;
}

function readLines(path: string): BibRecord[] {
  return readFileSync(path, 'utf8')
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => JSON.parse(line) as BibRecord);
}

function writeLines(path: string, values: readonly object[]): void {
  writeFileSync(`${path}.part`, values.map((value) => `${JSON.stringify(value)}\n`).join(''));
  renameSync(`${path}.part`, path);
}
