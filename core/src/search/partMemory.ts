/** What the parts of queries found in an index, so that many queries of the same words read each word once. */
import type { HeadingQuery, NearQuery, WordsQuery } from '../query/index.js';
import type { DocSet } from './docSet.js';

/** A part of a query that is looked up in the index, rather than joined from others. */
export type LookedUp = WordsQuery | NearQuery | HeadingQuery;

/** Of one index and one vocabulary: whoever keeps a memory makes a new one for another release. */
export interface PartMemory {
  /** What a part finds: as it was found before, or by `find`. What `find` throws is thrown, and not kept. */
  found(part: LookedUp, find: () => DocSet): DocSet;
}

const BYTES_OF_A_DOCUMENT = 4;
/** What an entry takes beside its documents, about. */
const BYTES_OF_AN_ENTRY = 400;

/** @param mostBytes what it may hold, about; what was not used for longest goes first */
export function partMemory(mostBytes: number): PartMemory {
  const known = new Map<string, DocSet>();
  let held = 0;
  return {
    found(part, find) {
      const key = JSON.stringify(part);
      const before = known.get(key);
      const documents = before ?? find();
      // Taken out and put in again, so that the map's order is that of last use.
      if (before === undefined) held += bytesOf(documents);
      else known.delete(key);
      known.set(key, documents);
      for (const [oldest, set] of known) {
        if (held <= mostBytes) break;
        known.delete(oldest);
        held -= bytesOf(set);
      }
      return documents;
    },
  };
}

function bytesOf({ sorted, bits }: DocSet): number {
  return BYTES_OF_AN_ENTRY + (sorted ?? bits ?? []).length * BYTES_OF_A_DOCUMENT;
}
