/** What can be wrong with the store, in words for a person. */

export type StoreTroubleKind = 'locked' | 'full' | 'read-only' | 'damaged' | 'newer' | 'held' | 'failing';

/** The store cannot be used, or not now. Nothing of the change that met it was saved. */
export class StoreTrouble extends Error {
  constructor(
    readonly kind: StoreTroubleKind,
    message: string,
    /** what a person can do */
    readonly advice: string,
    options?: ErrorOptions,
  ) {
    super(message, options);
  }
}

const WORDS: Readonly<
  Record<Exclude<StoreTroubleKind, 'newer' | 'held'>, { title: string; advice: string }>
> = {
  locked: {
    title: 'Another program holds the store.',
    advice:
      'This change was not saved. Close what has the data folder’s file open, such as a tool for databases or a backup, and make the change again.',
  },
  full: {
    title: 'The disk that holds the store is full.',
    advice: 'This change was not saved; everything before is kept. Free some space and make it again.',
  },
  'read-only': {
    title: 'The store cannot be written to.',
    advice:
      'Nothing was changed. Give the account that runs Even Lantern the right to write in its data folder, or choose another with EVEN_LANTERN_DATA.',
  },
  damaged: {
    title: 'The file of the store is damaged.',
    advice:
      'Nothing was changed. Put a copy of even-lantern.sqlite back in its place; or move it away, with the files beside it whose names begin the same, to begin with an empty one.',
  },
  failing: {
    title: 'The disk that holds the store does not do what it is told.',
    advice: 'This change was not saved. Look at the disk, then make it again.',
  },
};

/**
 * What an error of the driver or of the file system tells about the store.
 * @returns null where the error is about something else
 */
export function storeTroubleIn(error: unknown): StoreTrouble | null {
  if (error instanceof StoreTrouble) return error;
  const code = codeOf(error);
  const kind = code === null ? null : kindOf(code);
  return kind === null ? null : storeTrouble(kind, error);
}

export function storeTrouble(kind: keyof typeof WORDS, cause?: unknown): StoreTrouble {
  const { title, advice } = WORDS[kind];
  return new StoreTrouble(kind, title, advice, { cause });
}

/** Whether a row was refused because there is one of that number already. */
export function isNumberTaken(error: unknown): boolean {
  const code = codeOf(error);
  // the second as PostgreSQL has it
  return code === 'SQLITE_CONSTRAINT_UNIQUE' || code === '23505';
}

/** The driver's code, which TypeORM carries within an error of its own. */
function codeOf(error: unknown): string | null {
  if (typeof error !== 'object' || error === null) return null;
  if ('driverError' in error && error.driverError !== error) return codeOf(error.driverError);
  return 'code' in error && typeof error.code === 'string' ? error.code : null;
}

/** Result codes as SQLite and the system name them; extended ones begin with the plain one. */
function kindOf(code: string): keyof typeof WORDS | null {
  if (/^SQLITE_(BUSY|LOCKED)/.test(code)) return 'locked';
  if (code === 'SQLITE_FULL' || code === 'ENOSPC' || code === 'EDQUOT') return 'full';
  if (/^SQLITE_(READONLY|CANTOPEN|PERM)/.test(code) || /^(EACCES|EPERM|EROFS)$/.test(code))
    return 'read-only';
  if (/^SQLITE_(CORRUPT|NOTADB)/.test(code)) return 'damaged';
  if (/^SQLITE_IOERR/.test(code) || code === 'EIO') return 'failing';
  return null;
}
