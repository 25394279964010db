/**
 * Files of records that were read and wait to be used, so that people see what is in one before they say what it is. They
 * lie beside incoming files, whose folder is emptied at a start.
 */
import { randomUUID } from 'node:crypto';
import { readFile, rename, rm } from 'node:fs/promises';
import type { Readable } from 'node:stream';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import type { BibRecord } from '@even-lantern/core';
import type { WaitingFile, WaitingFileQuery } from '@even-lantern/contract';
import { badInput, conflict } from '../http/problem.js';
import { IncomingFiles } from './incomingFiles.js';

const KEPT_MS = 7_200_000;
/** Of all people together; the oldest goes for another. */
const MOST_WAITING = 50;
const SHOWN_TITLES = 3;

interface Waiting {
  reviewId: string;
  path: string;
  file: Omit<WaitingFile, 'titles'>;
  until: number;
}

@Injectable()
export class WaitingFiles implements OnApplicationShutdown {
  /** by id, the oldest first */
  private readonly waiting = new Map<string, Waiting>();

  constructor(private readonly files: IncomingFiles) {}

  async onApplicationShutdown(): Promise<void> {
    for (const id of this.waiting.keys()) await this.forget(id);
  }

  /**
   * Reads a file and keeps it until it is used.
   * @param most records that it may hold
   * @throws ProblemException for one without records, or with more
   */
  read(
    reviewId: string,
    source: Readable,
    { name, job, encoding }: WaitingFileQuery,
    most: number,
    tooMany: string,
  ): Promise<WaitingFile> {
    return this.files.records(source, { job, encoding }, async (path, read) => {
      const { records, troubles, sha256, bytes } = read;
      if (records === 0) {
        throw badInput(troubles.map(({ line, message }) => ({ path: `line ${line}`, message })));
      }
      if (records > most) throw badInput([{ path: 'file', message: tooMany }]);
      const id = randomUUID();
      const kept = `${path}.${id}`;
      await rename(path, kept);
      const file = { id, name, bytes, sha256, records, troubles, encoding: read.encoding };
      this.waiting.set(id, { reviewId, path: kept, file, until: performance.now() + KEPT_MS });
      const gone = [...this.waiting].filter(
        ([, { until }], i) => until < performance.now() || i < this.waiting.size - MOST_WAITING,
      );
      for (const [old] of gone) await this.forget(old);
      const first = (await recordsIn(kept)).slice(0, SHOWN_TITLES);
      return { ...file, titles: first.map(({ title }) => title) };
    });
  }

  /**
   * Uses a file, which is thrown away when that has ended well.
   * @throws ProblemException where it does not wait any more
   */
  async use<T>(
    reviewId: string,
    id: string,
    use: (file: Waiting['file'], records: BibRecord[]) => Promise<T>,
  ): Promise<T> {
    const waiting = this.waiting.get(id);
    if (waiting?.reviewId !== reviewId || waiting.until < performance.now()) {
      throw conflict('This file is not here any more.', 'Choose it again; nothing was entered.');
    }
    // Whoever sends the same twice enters it once.
    this.waiting.delete(id);
    try {
      const used = await use(waiting.file, await recordsIn(waiting.path));
      await rm(waiting.path, { force: true });
      return used;
    } catch (error) {
      this.waiting.set(id, waiting);
      throw error;
    }
  }

  private async forget(id: string): Promise<void> {
    const waiting = this.waiting.get(id);
    this.waiting.delete(id);
    if (waiting !== undefined) await rm(waiting.path, { force: true });
  }
}

async function recordsIn(path: string): Promise<BibRecord[]> {
  const text = await readFile(path, 'utf8');
  return text
    .split('\n')
    .filter((line) => line !== '')
    .map((line) => JSON.parse(line) as BibRecord);
}
