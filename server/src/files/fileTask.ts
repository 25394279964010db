/** Reads a file from outside in a worker thread, piece by piece. Loaded by path, not imported. */
import { createHash } from 'node:crypto';
import { createReadStream } from 'node:fs';
import { Transform } from 'node:stream';
import type { MessagePort } from 'node:worker_threads';
import type { RecordTrouble, SkosResult } from '@even-lantern/core';
import type { FileEncoding, VocabularyFormat } from '@even-lantern/contract';
import { asUtf8, findEncoding } from './fileEncoding.js';
import { recordsInFile } from './recordsInFile.js';
import { readSkosFile } from './skosFile.js';
import { vocabularyInFile, type VocabularyRead } from './vocabularyInFile.js';

interface TextTask {
  path: string;
  into: string;
  /** as a person says it is; found where nobody does */
  encoding: string | null;
  progress: MessagePort;
}

export type FileTask =
  ({ kind: 'vocabulary'; format: VocabularyFormat } & TextTask) | ({ kind: 'records' } & TextTask);

export interface RecordsRead {
  kind: 'records';
  /** how many lines the file of records has now, one record each, as JSON */
  records: number;
  troubles: RecordTrouble[];
  encoding: FileEncoding;
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
    digest.update(chunk);
    task.progress.postMessage(bytes);
  };
  const encoding: FileEncoding =
    task.encoding === null ? await findEncoding(task.path) : { name: task.encoding, how: 'person' };
  const source = asUtf8(createReadStream(task.path).pipe(seen(take)), encoding.name);
  if (task.kind === 'records') {
    const read = await recordsInFile(source, task.into);
    return { kind: 'records', ...read, encoding, sha256: digest.digest('hex'), bytes };
  }
  const read = await readSkosFile(source, task.format);
  return { kind: 'vocabulary', result: await vocabularyInFile(told(read, encoding), task.into) };
}

/** A vocabulary says so where it was not in UTF-8, as its format wants it. */
function told(read: SkosResult, { name, how }: FileEncoding): SkosResult {
  if (!read.ok || how === 'utf8' || name === 'utf-8') return read;
  return { ...read, notes: [...read.notes, `The file is not in UTF-8; it was read as ${name}.`] };
}

/** Shows each piece that goes through. */
function seen(look: (chunk: Buffer) => void): Transform {
  return new Transform({
    transform(chunk: Buffer, _encoding, done) {
      look(chunk);
      done(null, chunk);
    },
  });
}
