/** The generated records on disk: made once, then read. */
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import type { BibRecord } from '@even-lantern/core';
import { generateRecords, type Content, type GenerateOptions } from './generate.js';

/** Raised whenever the generator's code changes what it makes. */
const GENERATOR_VERSION = 3;

/**
 * Reads the records from the folder, or makes and keeps them when they are missing or were made otherwise.
 * The file is written aside and moved into place, so a crash never leaves half of it.
 */
export function loadOrGenerate(folder: string, content: Content, options: GenerateOptions): BibRecord[] {
  const recipe = createHash('sha256')
    .update(JSON.stringify([GENERATOR_VERSION, options, content]))
    .digest('hex')
    .slice(0, 16);
  const path = join(folder, `corvane-${recipe}.ndjson`);
  if (existsSync(path)) {
    return readFileSync(path, 'utf8')
      .split('\n')
      .filter((line) => line !== '')
      .map((line) => JSON.parse(line) as BibRecord);
  }
  const records = generateRecords(content, options);
  mkdirSync(folder, { recursive: true });
  writeFileSync(`${path}.part`, records.map((record) => `${JSON.stringify(record)}\n`).join(''));
  renameSync(`${path}.part`, path);
  return records;
}
