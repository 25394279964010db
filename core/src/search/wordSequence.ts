/**
 * The words of all documents as they stand, by number, two bytes each: what a zone's pairs are made from when all
 * documents have been read.
 */

/** Stands between sections, and for a word whose number is not below `NUMBERED`: frequent words come early. */
export const BORDER = 0xffff;
/** Stands behind each document. */
export const DOCUMENT = 0xfffe;
export const NUMBERED = 0xfffe;

/** In pieces, so that a long one need not be moved to grow. */
export interface WordSequence {
  pieces: readonly Uint16Array[];
  documents: number;
}
