/** Whether a ledger is as it was written, and whether it goes on from a seal that somebody kept. */
import { entryHash, hashText, type LedgerContent, type LedgerEntry } from './entry.js';

/** The number of entries of a ledger and the hash of the last; null for an empty ledger. */
export interface Seal {
  entries: number;
  hash: string | null;
}

const NO_HASH = 'none';

/** A seal as a person copies it, such as `12-` and 64 digits. */
export function sealText({ entries, hash }: Seal): string {
  return `${entries}-${hash ?? NO_HASH}`;
}

export type SealResult = { ok: true; seal: Seal } | { ok: false; message: string };

/** Reads a seal as a person pastes it, white space and capitals included. */
export function readSeal(text: string): SealResult {
  const joined = text.replace(/\s+/g, '').toLowerCase();
  const [, number = '', hash = ''] = /^(\d{1,9})-([0-9a-f]{64}|none)$/.exec(joined) ?? [];
  const entries = Number(number);
  if (hash === '' || (hash === NO_HASH) !== (entries === 0)) {
    return {
      ok: false,
      message: 'A seal is the number of entries, a hyphen, and the 64 digits of a hash. Copy it whole.',
    };
  }
  return { ok: true, seal: { entries, hash: hash === NO_HASH ? null : hash } };
}

/** What does not fit in a ledger, at the first entry where something does not. */
export interface BrokenEntry {
  /** the place where it stands, from 1 */
  entry: number;
  /**
   * `number`: entries are missing before it, were exchanged or added. `previous`: it was not written behind the one that
   * stands before it. `content`: it says something else than when it was written.
   */
  problem: 'number' | 'previous' | 'content';
}

/**
 * How a ledger stands to a seal that was kept. `same`: it ends there. `goes-on`: it has further entries. `cut`: entries
 * are missing at its end. `other`: it was written anew, or is another ledger.
 */
export type SealFit = 'same' | 'goes-on' | 'cut' | 'other';

export interface Verification {
  seal: Seal;
  /** null where all fits */
  broken: BrokenEntry | null;
  /** null where no seal was given */
  fit: SealFit | null;
}

/** An entry as it is kept: its content as JSON. */
export interface KeptEntry {
  text: string;
  previousHash: string | null;
  hash: string;
}

export interface LedgerVerifier {
  take(entry: LedgerEntry): void;
  /** The same for an entry as it is kept; quicker where its JSON is canonical. */
  takeKept(entry: KeptEntry): void;
  end(): Verification;
}

/**
 * Checks a ledger entry by entry, the oldest first.
 * @param kept a seal that somebody kept of it
 * @param hash SHA-256 of a text as hexadecimal digits, where there is a faster one than our own
 * @param from the end of what was verified before, behind which the entries that are taken stand
 */
export function ledgerVerifier(
  kept: Seal | null = null,
  hash: (text: string) => string = hashText,
  from: Seal = { entries: 0, hash: null },
): LedgerVerifier {
  let { entries, hash: last } = from;
  let broken: BrokenEntry | null = null;
  let atSeal: string | null = null;
  const take = ({ content, previousHash, hash: statedHash }: LedgerEntry, known = false) => {
    entries += 1;
    const problem =
      content.entry !== entries
        ? 'number'
        : previousHash !== last
          ? 'previous'
          : !known && statedHash !== entryHash(content, previousHash, hash)
            ? 'content'
            : null;
    if (problem !== null) broken ??= { entry: entries, problem };
    last = statedHash;
    if (entries === kept?.entries) atSeal = statedHash;
  };
  return {
    take: (entry) => take(entry),
    takeKept({ text, previousHash, hash: statedHash }) {
      const asItIs =
        hash(`{"content":${text},"previousHash":${JSON.stringify(previousHash)}}`) === statedHash;
      // What is hashed need not be taken apart to know its number, where it says it once.
      const says = `"entry":${entries + 1},`;
      if (asItIs && text.split('"entry":').length === 2 && text.includes(says)) {
        take({ content: { entry: entries + 1 } as LedgerContent, previousHash, hash: statedHash }, true);
      } else {
        take({ content: parsed(text), previousHash, hash: statedHash }, asItIs);
      }
    },
    end() {
      return {
        seal: { entries, hash: last },
        broken,
        fit: kept === null ? null : fitOf(kept, entries, atSeal),
      };
    },
  };
}

/** What is no JSON any more is no content that was ever hashed. */
function parsed(text: string): LedgerContent {
  try {
    const content: unknown = JSON.parse(text);
    return (typeof content === 'object' && content !== null ? content : {}) as LedgerContent;
  } catch {
    return {} as LedgerContent;
  }
}

/** Checks a whole ledger, the oldest entry first. */
export function verifyLedger(entries: Iterable<LedgerEntry>, kept: Seal | null = null): Verification {
  const verifier = ledgerVerifier(kept);
  for (const entry of entries) verifier.take(entry);
  return verifier.end();
}

/** What a verification comes to, in a sentence. */
export function verificationText({ seal, broken, fit }: Verification): string {
  const count = seal.entries === 1 ? '1 entry' : `${seal.entries} entries`;
  if (broken !== null) return `Entry ${broken.entry} does not fit: ${BROKEN[broken.problem]}`;
  if (seal.entries === 0 && fit === null) return 'The ledger has no entry yet.';
  return fit === null ? `All ${count} fit.` : FIT[fit](count);
}

const BROKEN: Readonly<Record<BrokenEntry['problem'], string>> = {
  number: 'entries before it are missing, were added or exchanged.',
  previous: 'it was not written behind the entry that stands before it.',
  content: 'it says something else than when it was written.',
};

const FIT: Readonly<Record<SealFit, (count: string) => string>> = {
  same: (count) => `All ${count} fit, and the ledger ends at the seal.`,
  'goes-on': (count) => `All ${count} fit, and the ledger goes on from the seal.`,
  cut: (count) => `The ledger has only ${count}, fewer than the seal: entries at its end are missing.`,
  other: () =>
    'The entries fit each other, but not the seal: this is another ledger, or it was written anew.',
};

function fitOf(kept: Seal, entries: number, atSeal: string | null): SealFit {
  if (kept.entries > entries) return 'cut';
  if (atSeal !== kept.hash) return 'other';
  return kept.entries === entries ? 'same' : 'goes-on';
}

/** The seal of entries that are the whole ledger. */
export function sealOf(entries: readonly LedgerEntry[]): Seal {
  return { entries: entries.length, hash: entries.at(-1)?.hash ?? null };
}
