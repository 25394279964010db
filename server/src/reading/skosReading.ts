/** SKOS files as they are sent: kept aside, read in a worker thread, and thrown away. */
import { randomUUID } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { Transform, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { SkosResult } from '@even-lantern/core';
import type { VocabularyFormat } from '@even-lantern/contract';
import { Piscina } from 'piscina';
import type { SkosFile } from './skosFile.js';

/** Enough for some million statements. */
const MOST_BYTES = 400_000_000;
/** A worker that has nothing to do ends after this. */
const IDLE_MS = 5000;

export interface SkosReading {
  /** @returns the vocabulary, or what is wrong with the file */
  read(source: Readable, format: VocabularyFormat): Promise<SkosResult>;
  close(): Promise<void>;
}

/** @param programs the folder of the server's compiled programs, where the worker's lies */
export function skosReading(programs: string): SkosReading {
  const pool = new Piscina<SkosFile, SkosResult>({
    filename: join(programs, 'reading', 'skosFile.js'),
    maxThreads: 1,
    minThreads: 0,
    idleTimeout: IDLE_MS,
  });
  return {
    async read(source, format) {
      const path = join(tmpdir(), `vocabulary-${randomUUID()}`);
      const count = counting();
      try {
        await pipeline(source, count.through, createWriteStream(path));
        return count.bytes() > MOST_BYTES ? tooLarge() : await pool.run({ path, format });
      } finally {
        await rm(path, { force: true });
      }
    },
    close: () => pool.destroy(),
  };
}

/** Lets so many bytes through, and swallows the rest, so that whoever sends them is answered. */
function counting() {
  let bytes = 0;
  const through = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes > MOST_BYTES) done();
      else done(null, chunk);
    },
  });
  return { through, bytes: () => bytes };
}

function tooLarge(): SkosResult {
  const message = `This file is larger than ${MOST_BYTES / 1e6} MB. Leave out what is not SKOS, or split it.`;
  return { ok: false, message, line: null };
}
