/**
 * One server to a data folder: two would close each other's runs. The hold is a lock of the operating system on a small
 * database, so it ends with the process however that ends, and nothing is left behind that would have to be judged stale.
 */
import { join } from 'node:path';
import Database from 'better-sqlite3';
import { StoreTrouble, storeTroubleIn } from './storeTrouble.js';

export interface FolderLock {
  release(): void;
}

/** @throws StoreTrouble saying who holds the folder, or why it cannot be held */
export function lockFolder(folder: string): FolderLock {
  let file: Database.Database | null = null;
  try {
    file = new Database(join(folder, 'held-by.sqlite'), { timeout: 0 });
    const held = file;
    held.exec('BEGIN IMMEDIATE');
    held.exec('CREATE TABLE IF NOT EXISTS holder (process INTEGER, since TEXT); DELETE FROM holder;');
    held.prepare('INSERT INTO holder VALUES (?, ?)').run(process.pid, new Date().toISOString());
    held.exec('COMMIT');
    held.exec('BEGIN IMMEDIATE');
    return { release: () => held.close() };
  } catch (error) {
    const trouble = storeTroubleIn(error);
    const refusal = trouble?.kind === 'locked' ? heldBy(folder, file) : trouble;
    file?.close();
    throw refusal ?? error;
  }
}

function heldBy(folder: string, file: Database.Database | null): StoreTrouble {
  return new StoreTrouble(
    'held',
    `Another Even Lantern uses the data folder ${folder} already${holderIn(file)}.`,
    'Use that one, or end it first; or choose another folder for this one with EVEN_LANTERN_DATA.',
  );
}

/** In brackets; nothing where it cannot be read, since it is only for the person's convenience. */
function holderIn(file: Database.Database | null): string {
  try {
    const row = file?.prepare('SELECT process, since FROM holder').get() as
      { process: number; since: string } | undefined;
    return row === undefined ? '' : ` (process ${row.process}, since ${row.since})`;
  } catch {
    return '';
  }
}
