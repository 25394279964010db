/** Reading a zip from outside, entry by entry, within bounds. Nothing is ever unpacked to a path that it names. */
import type { Readable } from 'node:stream';
import { crc32 } from 'node:zlib';
import yauzl from 'yauzl';

/** A row is a line; none is longer. */
const LONGEST_LINE = 20_000_000;
/** Of all entries together, unpacked. */
const MOST_UNPACKED = 40_000_000_000;
const NEWLINE = 10;

/** A package holds fewer files than this. */
export const MOST_FILES = 100;

/** @throws Error in words for a person where it is no zip */
export function openZip(path: string): Promise<yauzl.ZipFile> {
  return new Promise((resolve, reject) => {
    yauzl.open(path, { lazyEntries: true, autoClose: false, strictFileNames: true }, (error, zip) => {
      if (error) reject(new Error(error.message));
      else resolve(zip);
    });
  });
}

/** The entries by their names; a name that leads out of the package, or stands twice, is an error. */
export function entriesIn(zip: yauzl.ZipFile, most: number): Promise<Map<string, yauzl.Entry>> {
  return new Promise((resolve, reject) => {
    const entries = new Map<string, yauzl.Entry>();
    let unpacked = 0;
    zip.on('error', (error: Error) => reject(new Error(error.message)));
    zip.on('end', () => resolve(entries));
    zip.on('entry', (entry: yauzl.Entry) => {
      unpacked += entry.uncompressedSize;
      if (entries.has(entry.fileName)) return reject(new Error(`it holds ${entry.fileName} twice`));
      if (entries.size >= most) return reject(new Error(`it holds more than ${most} files`));
      if (unpacked > MOST_UNPACKED)
        return reject(new Error('it is larger than any package, once it is unpacked'));
      entries.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.readEntry();
  });
}

function streamOf(zip: yauzl.ZipFile, entry: yauzl.Entry): Promise<Readable> {
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => {
      if (error) reject(new Error(error.message));
      else resolve(stream);
    });
  });
}

/** What is unpacked of an entry. @throws Error where it is not what was packed */
async function* bytesIn(zip: yauzl.ZipFile, entry: yauzl.Entry): AsyncIterable<Buffer> {
  let sum = 0;
  for await (const chunk of await streamOf(zip, entry)) {
    sum = crc32(chunk as Buffer, sum);
    yield chunk as Buffer;
  }
  if (sum !== entry.crc32)
    throw new Error(`its ${entry.fileName} is damaged: the checksum in the zip is another`);
}

/** A whole entry, where it is short. */
export async function bytesOf(zip: yauzl.ZipFile, entry: yauzl.Entry, most: number): Promise<Buffer> {
  if (entry.uncompressedSize > most) throw new Error(`its ${entry.fileName} is larger than ${most / 1e6} MB`);
  const chunks: Buffer[] = [];
  for await (const chunk of bytesIn(zip, entry)) chunks.push(chunk);
  return Buffer.concat(chunks);
}

/** The lines of an entry, without what ends them. @param see is given all bytes as they come */
export async function* linesIn(
  zip: yauzl.ZipFile,
  entry: yauzl.Entry,
  see: (bytes: Buffer) => void = () => undefined,
): AsyncIterable<string> {
  let rest: Buffer[] = [];
  let restBytes = 0;
  for await (const bytes of bytesIn(zip, entry)) {
    see(bytes);
    let from = 0;
    for (let at = bytes.indexOf(NEWLINE); at !== -1; at = bytes.indexOf(NEWLINE, from)) {
      yield Buffer.concat([...rest, bytes.subarray(from, at)]).toString('utf8');
      rest = [];
      restBytes = 0;
      from = at + 1;
    }
    rest.push(bytes.subarray(from));
    restBytes += bytes.length - from;
    if (restBytes > LONGEST_LINE) {
      throw new Error(`a line of ${entry.fileName} is longer than ${LONGEST_LINE / 1e6} MB`);
    }
  }
  if (restBytes > 0) yield Buffer.concat(rest).toString('utf8');
}
