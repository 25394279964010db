/** A vocabulary read from a file, its headings written aside, so many to a line, so that they need not cross threads. */
import { once } from 'node:events';
import { createReadStream, createWriteStream } from 'node:fs';
import { createInterface } from 'node:readline';
import { finished } from 'node:stream/promises';
import type { SkosResult, Vocabulary } from '@even-lantern/core';

/** A line is about so long, in characters: as much as is parsed, sent or kept in a few milliseconds. */
const LINE = 200_000;

/** What is known of a vocabulary whose headings lie in a file. */
export type VocabularyRead =
  | { ok: true; vocabulary: Omit<Vocabulary, 'headings'>; labels: string[]; notes: string[] }
  | Extract<SkosResult, { ok: false }>;

/** Writes the headings of what was read, as arrays of JSON, one to a line. */
export async function vocabularyInFile(read: SkosResult, into: string): Promise<VocabularyRead> {
  if (!read.ok) return read;
  const { headings, ...vocabulary } = read.vocabulary;
  const out = createWriteStream(into);
  let line: string[] = [];
  let length = 0;
  const writeLine = async () => {
    if (line.length > 0 && !out.write(`[${line.join(',')}]\n`)) await once(out, 'drain');
    line = [];
    length = 0;
  };
  for (const heading of headings) {
    const text = JSON.stringify(heading);
    line.push(text);
    length += text.length;
    if (length >= LINE) await writeLine();
  }
  await writeLine();
  out.end();
  await finished(out);
  return { ok: true, vocabulary, labels: headings.map(({ label }) => label), notes: read.notes };
}

/** The lines that `vocabularyInFile` wrote. */
export function headingLines(path: string): AsyncIterable<string> {
  return createInterface({ input: createReadStream(path) });
}
