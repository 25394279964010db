/** The stand-ins' records take seconds to make and are the same every time, so tests make them once and copy them. */
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';

const kept = join(__dirname, '..', '..', 'node_modules', '.cache', 'even-lantern', 'standins');
/** Which release each database is in, which every test begins anew. */
const STATE = 'releases.json';

/** Puts what was made before into a data folder; the stand-ins look themselves whether it fits their content. */
export function takeRecords(dataFolder: string): void {
  if (existsSync(kept)) cpSync(kept, join(dataFolder, 'standins'), { recursive: true });
}

/** Keeps what the stand-ins have made in a data folder. */
export function keepRecords(dataFolder: string): void {
  const made = join(dataFolder, 'standins');
  const names = existsSync(made) ? readdirSync(made).filter((name) => name !== STATE) : [];
  if (names.every((name) => existsSync(join(kept, name)))) return;
  const parent = join(kept, '..');
  mkdirSync(parent, { recursive: true });
  const fresh = mkdtempSync(join(parent, 'made-'));
  for (const name of names) cpSync(join(made, name), join(fresh, name));
  rmSync(kept, { recursive: true, force: true });
  try {
    renameSync(fresh, kept);
  } catch {
    // Another test was faster.
    rmSync(fresh, { recursive: true, force: true });
  }
}
