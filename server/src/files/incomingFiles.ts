/**
 * Files that people send: kept aside, read in a worker thread within bounds of time and memory, and thrown away. Whoever
 * sent one can see how far it is, and stop it. Files that a crash left are removed at the next start.
 */
import { randomUUID } from 'node:crypto';
import { mkdirSync, rmSync } from 'node:fs';
import { open, rm } from 'node:fs/promises';
import { join } from 'node:path';
import { Writable, type Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { MessageChannel } from 'node:worker_threads';
import { Injectable, type OnApplicationShutdown } from '@nestjs/common';
import type { FileProgress, VocabularyFormat } from '@even-lantern/contract';
import { BehaviorSubject, type Observable } from 'rxjs';
import { Configuration } from '../configuration/configuration.js';
import { badInput, conflict, notFound } from '../http/problem.js';
import { OutOfMemory, WorkerPool } from '../workers/workerPool.js';
import type { FileRead, FileTask, RecordsRead } from './fileTask.js';
import type { VocabularyRead } from './vocabularyInFile.js';

const MOST_BYTES = 400_000_000;
/** Of what is not read as a whole. */
const MOST_BYTES_UNREAD = 8_000_000_000;
/** Of text that is read by lines. */
const LONGEST_LINE = 10_000_000;
const MOST_MS = 600_000;
/** Of what is read elsewhere, such as a whole review. */
const MOST_MS_UNREAD = 3_600_000;
const MOST_MEMORY_MB = 900;
const NEWLINE = 10;

interface Job {
  progress: BehaviorSubject<FileProgress>;
  stop: AbortController;
}

/** By what the reading is watched and stopped, and in which encoding the file is, where a person says so. */
export interface FileAsked {
  job: string;
  encoding?: string | null | undefined;
}

@Injectable()
export class IncomingFiles implements OnApplicationShutdown {
  private readonly jobs = new Map<string, Job>();
  private readonly pool: WorkerPool<FileTask, FileRead>;
  /** where files are kept while they are read */
  private readonly folder: string;

  constructor(configuration: Configuration) {
    this.folder = configuration.incomingFolder;
    rmSync(this.folder, { recursive: true, force: true });
    this.pool = new WorkerPool(configuration.program('files/fileTask'), { memoryMb: MOST_MEMORY_MB });
  }

  onApplicationShutdown(): Promise<void> {
    for (const { stop } of this.jobs.values()) stop.abort('the application stopped');
    return this.pool.close();
  }

  /** How far a file is. */
  progress(id: string): Observable<FileProgress> {
    return this.jobOf(id).progress;
  }

  stop(id: string): void {
    this.jobOf(id).stop.abort('stopped by the person who sent it');
  }

  /**
   * Reads a vocabulary.
   * @param use is given the vocabulary, or what is wrong with the file, and the file in which its headings lie
   */
  async vocabulary<T>(
    source: Readable,
    format: VocabularyFormat,
    { job, encoding = null }: FileAsked,
    use: (read: VocabularyRead, headings: string, signal: AbortSignal) => Promise<T>,
  ): Promise<T> {
    const byLines = format === 'text/turtle';
    return this.within(source, job, byLines, async (path, read, _progress, signal) => {
      const into = `${path}.headings`;
      try {
        const answer = await read((port) => ({
          kind: 'vocabulary',
          path,
          into,
          format,
          encoding,
          progress: port,
        }));
        if (answer.kind !== 'vocabulary') throw new Error('another kind of file was read');
        return await use(answer.result, into, signal);
      } finally {
        await rm(into, { force: true });
      }
    });
  }

  /**
   * Reads a file of records.
   * @param use is given the file in which they stand one to a line; it is thrown away when that ends
   */
  async records<T>(
    source: Readable,
    { job, encoding = null }: FileAsked,
    use: (
      path: string,
      read: RecordsRead,
      kept: (records: number) => void,
      signal: AbortSignal,
    ) => Promise<T>,
  ): Promise<T> {
    return this.within(source, job, false, async (path, read, progress, signal) => {
      const into = `${path}.records`;
      try {
        const answer = await read((port) => ({ kind: 'records', path, into, encoding, progress: port }));
        if (answer.kind !== 'records') throw new Error('another kind of file was read');
        const kept = (records: number) => progress.next({ ...progress.value, phase: 'keeping', records });
        return await use(into, answer, kept, signal);
      } finally {
        await rm(into, { force: true });
      }
    });
  }

  /**
   * Takes in a file as it is, for whoever reads it elsewhere.
   * @param use is given the file, which is thrown away when that ends, and the way to tell how far it is
   */
  async asItIs<T>(
    source: Readable,
    job: string,
    use: (path: string, tell: (progress: Partial<FileProgress>) => void, signal: AbortSignal) => Promise<T>,
  ): Promise<T> {
    return this.within(
      source,
      job,
      false,
      (path, _read, progress, signal) =>
        use(path, (more) => progress.next({ ...progress.value, ...more }), signal),
      { bytes: MOST_BYTES_UNREAD, ms: MOST_MS_UNREAD },
    );
  }

  private async within<T>(
    source: Readable,
    id: string,
    byLines: boolean,
    use: (
      path: string,
      read: (task: (progress: MessageChannel['port1']) => FileTask) => Promise<FileRead>,
      progress: BehaviorSubject<FileProgress>,
      signal: AbortSignal,
    ) => Promise<T>,
    most = { bytes: MOST_BYTES, ms: MOST_MS },
  ): Promise<T> {
    if (this.jobs.has(id)) throw conflict('This file is being read already.', 'Wait for it, or stop it.');
    mkdirSync(this.folder, { recursive: true });
    const path = join(this.folder, randomUUID());
    const progress = new BehaviorSubject<FileProgress>({
      phase: 'sending',
      bytes: 0,
      total: null,
      records: 0,
    });
    const stop = new AbortController();
    this.jobs.set(id, { progress, stop });
    const late = AbortSignal.timeout(most.ms);
    const ends = AbortSignal.any([stop.signal, late]);
    try {
      const total = await this.keep(source, path, byLines, progress, stop.signal, most.bytes);
      progress.next({ ...progress.value, phase: 'reading', bytes: 0, total });
      return await use(path, (task) => this.read(task, progress, ends), progress, ends);
    } catch (error) {
      if (stop.signal.aborted)
        throw conflict(`The file was not read: ${String(stop.signal.reason)}.`, 'Nothing of it was kept.');
      if (late.aborted) {
        const message = `It takes more than ${most.ms / 60_000} minutes to read. Nothing of it was kept.`;
        throw badInput([{ path: 'file', message }]);
      }
      throw error;
    } finally {
      this.jobs.delete(id);
      progress.complete();
      await rm(path, { force: true });
    }
  }

  private async read(
    task: (progress: MessageChannel['port1']) => FileTask,
    progress: BehaviorSubject<FileProgress>,
    signal: AbortSignal,
  ): Promise<FileRead> {
    const { port1, port2 } = new MessageChannel();
    port1.on('message', (bytes: number) => progress.next({ ...progress.value, bytes }));
    try {
      const given = task(port2);
      return await this.pool.run(given, { signal, transferList: [port2] });
    } catch (error) {
      if (signal.aborted || !(error instanceof OutOfMemory)) throw error;
      const message = `It takes more than ${MOST_MEMORY_MB} MB of memory to read. Split it, or leave out what is not needed.`;
      throw badInput([{ path: 'file', message }]);
    } finally {
      port1.close();
    }
  }

  /**
   * Keeps a file as it comes. One that is too large, or that the disk has no room for, is swallowed to its end, so that
   * whoever sends it is answered.
   */
  private async keep(
    source: Readable,
    path: string,
    byLines: boolean,
    progress: BehaviorSubject<FileProgress>,
    signal: AbortSignal,
    most: number,
  ): Promise<number> {
    let bytes = 0;
    let line = 0;
    const refused: string[] = [];
    const failed: unknown[] = [];
    const note = (error: unknown) => void failed.push(error);
    const file = await open(path, 'w').catch(note);
    const kept = new Writable({
      write(chunk: Buffer, _encoding, done) {
        bytes += chunk.length;
        const end = chunk.lastIndexOf(NEWLINE);
        line = end < 0 ? line + chunk.length : chunk.length - end - 1;
        if (refused.length === 0 && bytes > most)
          refused.push(
            `This file is larger than ${most / 1e6} MB. Leave out what is not needed, or split it.`,
          );
        if (refused.length === 0 && byLines && line > LONGEST_LINE)
          refused.push(`A line of this file is longer than ${LONGEST_LINE / 1e6} MB.`);
        progress.next({ ...progress.value, bytes });
        if (refused.length > 0 || failed.length > 0) return done();
        void file
          ?.appendFile(chunk)
          .catch(note)
          .then(() => done());
      },
    });
    try {
      await pipeline(source, kept, { signal });
    } finally {
      await file?.close().catch(note);
    }
    if (failed.length > 0) throw failed[0];
    const [message] = refused;
    if (message !== undefined) throw badInput([{ path: 'file', message }]);
    return bytes;
  }

  private jobOf(id: string): Job {
    const job = this.jobs.get(id);
    if (job === undefined) throw notFound('This file');
    return job;
  }
}
