/** Reads a file from outside in a worker thread, piece by piece. Loaded by path, not imported. */
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
}

export type FileRead = { kind: 'vocabulary'; result: VocabularyRead } | RecordsRead;

export default async function readFile(task: FileTask): Promise<FileRead> {
  const source = () => createReadStream(task.path).pipe(telling(task.progress));
  if (task.kind === 'records') return { kind: 'records', ...(await recordsInFile(source(), task.into)) };
  const read = await readSkosFile(source(), task.format);
  return { kind: 'vocabulary', result: await vocabularyInFile(read, task.into) };
}

/** Tells how many bytes have been read. */
function telling(progress: MessagePort): Transform {
  let bytes = 0;
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      progress.postMessage(bytes);
      done(null, chunk);
    },
  });
}
