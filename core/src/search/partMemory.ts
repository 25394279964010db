/** What the parts of queries found in an index, so that many queries of the same words read each word once. */
import type { HeadingQuery, NearQuery, Query, WordsQuery } from '../query/index.js';
import { BoundedMemory } from './boundedMemory.js';
import type { DocSet } from './docSet.js';

/** A part of a query that is looked up in the index, rather than joined from others. */
export type LookedUp = WordsQuery | NearQuery | HeadingQuery;

/** Many looked-up parts of which any will do, as a lane is: the same in hundreds of queries about one of another lane. */
export interface AnyOfMany {
  kind: 'or';
  operands: readonly LookedUp[];
}

/** Fewer are joined as quickly as they are found again. */
const MANY = 8;

/** Whether a query is what a memory keeps as a whole. */
export function isAnyOfMany(query: Query): query is Query & AnyOfMany {
  return query.kind === 'or' && query.operands.length >= MANY && query.operands.every(isLookedUp);
}

function isLookedUp({ kind }: Query): boolean {
  return kind === 'words' || kind === 'near' || kind === 'heading';
}

/** Of one index and one vocabulary: whoever keeps a memory makes a new one for another release. */
export interface PartMemory {
  /** What a part finds: as it was found before, or by `find`. What `find` throws is thrown, and not kept. */
  found(part: LookedUp | AnyOfMany, find: () => DocSet): DocSet;
}

const BYTES_OF_A_DOCUMENT = 4;
/** What an entry takes beside its documents, about. */
const BYTES_OF_AN_ENTRY = 400;

/** @param mostBytes what it may hold, about; what was not used for longest goes first */
export function partMemory(mostBytes: number): PartMemory {
  const known = new BoundedMemory<string, DocSet>(mostBytes);
  return {
    found(part, find) {
      const key = JSON.stringify(part);
      return known.get(key, find, (documents) => bytesOf(key, documents));
    },
  };
}

function bytesOf(key: string, { sorted, bits }: DocSet): number {
  return BYTES_OF_AN_ENTRY + key.length + (sorted ?? bits ?? []).length * BYTES_OF_A_DOCUMENT;
}
