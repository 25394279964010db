/** The records of a file, RIS or XML, read as they come and written one to a line, so that none need be held. */
import { once } from 'node:events';
import { createWriteStream, type WriteStream } from 'node:fs';
import { createInterface } from 'node:readline';
import { PassThrough, type Readable } from 'node:stream';
import { finished } from 'node:stream/promises';
import {
  NO_RECORDS,
  recordNumbering,
  risCollector,
  type BibRecord,
  type RecordTrouble,
  xmlRecords,
} from '@even-lantern/core';

/** Of those that came twice so many are listed. */
const MOST_TROUBLES = 200;

export async function recordsInFile(
  source: Readable,
  into: string,
): Promise<{ records: number; troubles: RecordTrouble[] }> {
  const out = createWriteStream(into);
  const numbering = recordNumbering();
  let records = 0;
  const keep = async (record: BibRecord | null) => {
    const numbered = record === null ? null : numbering.add(record);
    if (numbered === null) return;
    records += 1;
    await write(out, `${JSON.stringify(numbered)}\n`);
  };
  const [first, rest] = await peeked(source);
  const troubles = /^\uFEFF?\s*</.test(first) ? await readXml(rest, keep) : await readRis(rest, keep);
  out.end();
  await finished(out);
  const twice = numbering.troubles.slice(0, MOST_TROUBLES);
  const all = [...troubles, ...twice];
  return { records, troubles: records === 0 && all.length === 0 ? [NO_RECORDS] : all };
}

async function write(out: WriteStream, text: string): Promise<void> {
  if (!out.write(text)) await once(out, 'drain');
}

/** The beginning of a file, and all of it. */
async function peeked(source: Readable): Promise<[string, Readable]> {
  const whole = new PassThrough();
  const first = await new Promise<Buffer>((resolve, reject) => {
    source.once('data', (chunk: Buffer) => {
      source.pause();
      whole.write(chunk);
      resolve(chunk);
    });
    source.once('end', () => resolve(Buffer.alloc(0)));
    source.once('error', reject);
  });
  source.once('error', (error) => whole.destroy(error));
  source.pipe(whole);
  return [first.subarray(0, 200).toString('utf8'), whole];
}

async function readRis(
  source: Readable,
  keep: (record: BibRecord | null) => Promise<void>,
): Promise<RecordTrouble[]> {
  const collector = risCollector();
  for await (const line of createInterface({ input: source, crlfDelay: Infinity })) {
    const record = collector.line(line);
    if (record !== null) await keep(record);
  }
  const { record, troubles } = collector.end();
  await keep(record);
  return troubles;
}

async function readXml(
  source: Readable,
  keep: (record: BibRecord | null) => Promise<void>,
): Promise<RecordTrouble[]> {
  const xml = xmlRecords();
  const decoder = new TextDecoder();
  for await (const chunk of source) {
    for (const record of xml.write(decoder.decode(chunk as Buffer, { stream: true }))) await keep(record);
  }
  const { records, troubles } = xml.end();
  for (const record of records) await keep(record);
  return troubles;
}
