/** The files of a package, to be changed as a forger would. */
import { createHash } from 'node:crypto';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import { crateToJson, readCrate, type Crate, type CrateFile } from '@even-lantern/core';
import { ZipFile } from 'yazl';
import { bytesOf, entriesIn, openZip } from '../packages/zip.js';

/** The files of a package, to be changed. */
export async function unpacked(bytes: Buffer): Promise<Map<string, Buffer>> {
  const path = join(mkdtempSync(join(tmpdir(), 'package-')), 'p.zip');
  writeFileSync(path, bytes);
  const zip = await openZip(path);
  const files = new Map<string, Buffer>();
  for (const [name, entry] of await entriesIn(zip, 100)) files.set(name, await bytesOf(zip, entry, 1e9));
  zip.close();
  return files;
}
export async function repacked(files: ReadonlyMap<string, Buffer>, compress = true): Promise<Buffer> {
  const zip = new ZipFile();
  for (const [name, bytes] of files) zip.addBuffer(bytes, name, { compress });
  zip.end();
  return buffer(zip.outputStream as Readable);
}
export const METADATA = 'ro-crate-metadata.json';
/** Changes a table, and the metadata with it, as a forger would. */
export function forge(files: Map<string, Buffer>, table: string, change: (text: string) => string): void {
  forgeFile(files, `data/${table}.ndjson`, change);
}
/** The same for any file. */
export function forgeFile(files: Map<string, Buffer>, path: string, change: (text: string) => string): void {
  const bytes = Buffer.from(change(files.get(path)?.toString() ?? ''));
  files.set(path, bytes);
  const sha256 = createHash('sha256').update(bytes).digest('hex');
  const rows = bytes.toString().split('\n').length - 1;
  const changed = (file: CrateFile) => ({
    ...file,
    contentSize: bytes.length,
    sha256,
    rows: file.rows === null ? null : rows,
  });
  changeCrate(files, (crate) => ({
    ...crate,
    files: crate.files.map((file) => (file.path === path ? changed(file) : file)),
  }));
}
export function changeCrate(files: Map<string, Buffer>, change: (crate: Crate) => Crate): void {
  const read = readCrate(files.get(METADATA)?.toString() ?? '');
  if (!read.ok) throw new Error(read.message);
  files.set(METADATA, Buffer.from(crateToJson(change(read.crate))));
}
