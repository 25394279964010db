/** The records of a file, RIS or XML, read as they come and written one to a line, so that none need be held. */
import { once } from 'node:events';
import { createWriteStream, type WriteStream } from 'node:fs';
import { createInterface } from 'node:readline';
import { PassThrough, type Readable } from 'node:stream';
import { finished } from 'node:stream/promises';
import {
  NO_RECORDS,
  recordFromXml,
  recordNumbering,
  risCollector,
  type BibRecord,
  type RecordTrouble,
  type XmlElement,
} from '@even-lantern/core';
import { SaxesParser } from 'saxes';

/** Of those that came twice so many are listed. */
const MOST_TROUBLES = 200;
const RECORDS = new Set(['mods', 'dc']);
/** What one record may have; a page of a hundred authors has some five hundred. */
const MOST_ELEMENTS = 20_000;

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
  const told = [...troubles, ...twice];
  return { records, troubles: records === 0 && told.length === 0 ? [NO_RECORDS] : told };
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
  const troubles: RecordTrouble[] = [];
  const ready: XmlElement[] = [];
  const parser = new SaxesParser({ xmlns: false });
  /** the elements of the record that is open, outermost first */
  let open: XmlElement[] = [];
  let elements = 0;
  let untitled = 0;
  parser.on('doctype', () => {
    throw new Refused('XML with a document type is refused.');
  });
  parser.on('error', (error) => {
    throw new Refused(`The XML is broken: ${error.message}`);
  });
  parser.on('opentag', ({ name, attributes }) => {
    const local = localName(name);
    if (open.length === 0 && !RECORDS.has(local)) return;
    elements += 1;
    if (elements > MOST_ELEMENTS) throw new Refused(`A record has more than ${MOST_ELEMENTS} elements.`);
    const own = Object.entries(attributes).map(([key, value]) => [localName(key), String(value)] as const);
    const element = { name: local, attributes: Object.fromEntries(own), children: [], text: '' };
    open.at(-1)?.children.push(element);
    open.push(element);
  });
  const text = (more: string) => {
    const element = open.at(-1);
    if (element !== undefined) element.text += more;
  };
  parser.on('text', text);
  parser.on('cdata', text);
  parser.on('closetag', () => {
    const closed = open.pop();
    if (closed === undefined || open.length > 0) return;
    open = [];
    elements = 0;
    ready.push(closed);
  });
  const take = async () => {
    for (const element of ready.splice(0)) {
      const record = recordFromXml(element);
      if (record === null) untitled += 1;
      else await keep(record);
    }
  };
  const decoder = new TextDecoder();
  try {
    for await (const chunk of source) {
      parser.write(decoder.decode(chunk as Buffer, { stream: true }));
      await take();
    }
    parser.close();
    await take();
  } catch (error) {
    if (!(error instanceof Refused)) throw error;
    await take();
    troubles.push({ line: parser.line, message: error.message });
  }
  if (untitled > 0)
    troubles.push({ line: 1, message: `${untitled} records have no title and are not read.` });
  return troubles;
}

class Refused extends Error {}

function localName(name: string): string {
  return name.slice(name.indexOf(':') + 1);
}
