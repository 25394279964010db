/**
 * In which encoding a text file is. Most are UTF-8, and what is valid UTF-8 hardly ever is anything else; for the others
 * a mark or a declaration tells it, or else how often which bytes stand beside which.
 */
import { createReadStream } from 'node:fs';
import { Transform, type Readable } from 'node:stream';
import { analyse } from 'chardet';
import type { FileEncoding } from '@even-lantern/contract';
import iconv from 'iconv-lite';
import { declaredEncoding, markedEncoding } from '../connectors/sru/encoding.js';

const HEAD_BYTES = 1000;
/** So much of what is not plain ASCII is looked at. */
const SAMPLE_BYTES = 500_000;

/** @returns which it is, and how that was told */
export async function findEncoding(path: string): Promise<FileEncoding> {
  const { head, sample, isUtf8 } = await lookedThrough(path);
  const marked = markedEncoding(head);
  if (marked !== null) return { name: marked, how: 'mark' };
  const wide = withoutMark(head);
  if (wide !== null) return { name: wide, how: 'letters' };
  const declared = declaredEncoding(head)?.toLowerCase() ?? null;
  // A declaration of UTF-8 that is not true is one that a program wrote without thinking.
  if (declared !== null && iconv.encodingExists(declared) && !isOfUtf8(declared))
    return { name: named(declared), how: 'declaration' };
  return isUtf8 ? { name: 'utf-8', how: 'utf8' } : { name: byLetters(sample), how: 'letters' };
}

/** What is UTF-8 from there on. */
export function asUtf8(source: Readable, encoding: string): Readable {
  if (isOfUtf8(encoding)) return source;
  const decoder = iconv.getDecoder(encoding);
  return source.pipe(
    new Transform({
      transform(chunk: Buffer, _encoding, done) {
        done(null, Buffer.from(decoder.write(chunk)));
      },
      flush(done) {
        done(null, Buffer.from(decoder.end() ?? ''));
      },
    }),
  );
}

const isOfUtf8 = (name: string) => /^(utf-?8|us-ascii|ascii)$/i.test(name);

/** Goes through the file once. */
async function lookedThrough(path: string): Promise<{ head: Buffer; sample: Buffer; isUtf8: boolean }> {
  const decoder = new TextDecoder('utf-8', { fatal: true });
  const beyondAscii: Buffer[] = [];
  let head = Buffer.alloc(0);
  let [kept, isUtf8] = [0, true];
  for await (const chunk of createReadStream(path)) {
    const bytes = chunk as Buffer;
    if (head.length < HEAD_BYTES) head = Buffer.concat([head, bytes]).subarray(0, HEAD_BYTES);
    if (kept < SAMPLE_BYTES && bytes.some((byte) => byte > 127)) {
      beyondAscii.push(bytes);
      kept += bytes.length;
    }
    if (isUtf8) isUtf8 = goesOn(decoder, bytes);
  }
  return { head, sample: Buffer.concat(beyondAscii), isUtf8: isUtf8 && goesOn(decoder, null) };
}

/** @param bytes null at the end of the file */
function goesOn(decoder: InstanceType<typeof TextDecoder>, bytes: Buffer | null): boolean {
  try {
    if (bytes === null) decoder.decode();
    else decoder.decode(bytes, { stream: true });
    return true;
  } catch {
    return false;
  }
}

/** UTF-16 of Western text has a zero in nearly every second byte. */
function withoutMark(head: Buffer): string | null {
  const zeros = [0, 0];
  head.forEach((byte, i) => {
    if (byte === 0) zeros[i % 2] = (zeros[i % 2] ?? 0) + 1;
  });
  const [even = 0, odd = 0] = zeros;
  const many = head.length / 4;
  if (odd > many && even === 0) return 'utf-16le';
  return even > many && odd === 0 ? 'utf-16be' : null;
}

/** Signs, not letters, of Windows-1252 where old Macintosh encodings have letters. */
const WINDOWS_SIGNS = new Set([0x80, 0x82, 0x84, 0x85, 0x91, 0x92, 0x93, 0x94, 0x95, 0x96, 0x97, 0x99]);

/** No Western language has so many letters beyond ASCII. */
const WESTERN_SHARE = 0.2;

function byLetters(sample: Buffer): string {
  const isLetter = (byte = 0) => (byte | 32) >= 97 && (byte | 32) <= 122;
  let [macintosh, latin, beyond] = [0, 0, 0];
  sample.forEach((byte, i) => {
    if (byte >= 0x80) beyond += 1;
    if (byte < 0x80 || !(isLetter(sample[i - 1]) || isLetter(sample[i + 1]))) return;
    if (byte >= 0xc0) latin += 1;
    else if (byte < 0xa0 && !WINDOWS_SIGNS.has(byte)) macintosh += 1;
  });
  // Where most letters are beyond ASCII, it is another script.
  if (macintosh > latin && beyond < sample.length * WESTERN_SHARE) return 'macintosh';
  const [best] = analyse(sample).filter(({ name }) => iconv.encodingExists(name) && !isOfUtf8(name));
  return named((best?.name ?? 'windows-1252').toLowerCase());
}

/** What calls itself Latin-1 is Windows-1252 in practice, which has more signs (WHATWG, Encoding). */
function named(encoding: string): string {
  return /^(iso-?8859-?1|latin-?1)$/.test(encoding) ? 'windows-1252' : encoding;
}
