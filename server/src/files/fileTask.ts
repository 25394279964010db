/** Reads a file from outside in a worker thread, piece by piece. Loaded by path, not imported. */
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { Transform } from 'node:stream';
import type { MessagePort } from 'node:worker_threads';
import type { RecordTrouble } from '@even-lantern/core';
import type { VocabularyFormat } from '@even-lantern/contract';
import { recordsInFile } from './recordsInFile.js';
import { readSkosFile } from './skosFile.js';
import { vocabularyInFile, type VocabularyRead } from './vocabularyInFile.js';

export type FileTask =
  | { kind: 'vocabulary'; path: string; into: string; format: VocabularyFormat; progress: MessagePort }
  | { kind: 'records'; path: string; into: string; progress: MessagePort };

export interface RecordsRead {
  kind: 'records';
  /** how many lines the file of records has now, one record each, as JSON */
  records: number;
  troubles: RecordTrouble[];
  /** of the file as it came, in lower-case hexadecimal digits */
  sha256: string;
  bytes: number;
}

export type FileRead = { kind: 'vocabulary'; result: VocabularyRead } | RecordsRead;

export default async function readFile(task: FileTask): Promise<FileRead> {
  const digest = createHash('sha256');
  let bytes = 0;
  const take = (chunk: Buffer) => {
    bytes += chunk.length;
    task.progress.postMessage(bytes);
  };
  const source = (also?: (chunk: Buffer) => void) => createReadStream(task.path).pipe(seen(take, also));
  if (task.kind === 'records') {
    const read = await recordsInFile(
      source((chunk) => digest.update(chunk)),
      task.into,
    );
    return { kind: 'records', ...read, sha256: digest.digest('hex'), bytes };
  }
  const read = await readSkosFile(source(), task.format);
  return { kind: 'vocabulary', result: await vocabularyInFile(read, task.into) };
}

/** Shows each piece that is read to some. */
function seen(...lookers: (((chunk: Buffer) => void) | undefined)[]): Transform {
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      for (const look of lookers) look?.(chunk);
      done(null, chunk);
    },
  });
}
