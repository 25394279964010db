/** One zone of the index, finished: its streams, and what is stored twice so that frequent words are quick. */
import { WordNumbers } from '../text/index.js';
import { collectPairs, type PairLists } from './pairLists.js';
import { markDocuments, MASK, SECTION_GAP, type PostingStreams } from './postings.js';
import { PostingBlocks, SortingRoom } from './postingBlocks.js';

/** The finished zone: flat typed arrays only, ready to be written to disk or passed to a worker. */
export interface Zone extends PostingStreams {
  /** for each word its place in `frequentBits`, or -1 for words that are not frequent */
  frequentSlots: Int32Array;
  /** the documents of frequent words as bits, one word after the other */
  frequentBits: Uint32Array;
  pairs: PairLists;
}

/** A word in more than one document of this many gets its documents as bits too. */
const FREQUENT_SHARE = 32;

/** Collects the words of documents, which come in ascending order, into a zone. */
export class ZoneBuilder {
  private readonly words = new WordNumbers();
  private readonly postings: PostingBlocks;
  private documents = 0;
  private next = 0;

  /** @param room one for all builders */
  constructor(room: SortingRoom) {
    this.postings = new PostingBlocks(room);
  }

  /** The position at which the next section of the document begins. */
  get position(): number {
    return this.next;
  }

  /**
   * Adds a section of the present document.
   * @param mask the bit of the field it stands in
   * @returns how many words it has
   */
  add(section: string, mask: number): number {
    const { words, next } = this;
    const count = words.read(section);
    this.postings.section(words.numbers, count, next, mask);
    this.next = next + count + SECTION_GAP;
    return count;
  }

  endDocument(): void {
    this.postings.endDocument();
    this.documents += 1;
    this.next = 0;
  }

  finish(): Zone {
    const blocks = this.postings.end();
    const unsorted = this.words.words();
    const order = [...unsorted.keys()].sort((a, b) => byCodeUnits(unsorted[a] ?? '', unsorted[b] ?? ''));
    const numbers = new Uint32Array(order.length);
    order.forEach((word, number) => (numbers[word] = number));
    const words = order.map((word) => unsorted[word] ?? '');
    const streams = this.postings.streams(words, numbers);
    return {
      ...streams,
      ...frequentWords(streams, this.documents),
      pairs: collectPairs(streams.documentCounts, blocks, order, this.documents),
    };
  }
}

function frequentWords(zone: PostingStreams, size: number): Pick<Zone, 'frequentSlots' | 'frequentBits'> {
  const frequentSlots = new Int32Array(zone.words.length).fill(-1);
  const wordsPerSet = (size + 31) >>> 5;
  let slots = 0;
  zone.documentCounts.forEach((count, number) => {
    if (count * FREQUENT_SHARE <= size) return;
    frequentSlots[number] = slots;
    slots += 1;
  });
  const frequentBits = new Uint32Array(slots * wordsPerSet);
  frequentSlots.forEach((slot, number) => {
    if (slot === -1) return;
    const bits = frequentBits.subarray(slot * wordsPerSet, (slot + 1) * wordsPerSet);
    markDocuments(bits, zone, number, MASK);
  });
  return { frequentSlots, frequentBits };
}

/** The documents of a frequent word as bits, shared with the index: not to be changed. Null for other words. */
export function frequentBitsOf(zone: Zone, number: number, size: number): Uint32Array | null {
  const slot = zone.frequentSlots[number] ?? -1;
  const wordsPerSet = (size + 31) >>> 5;
  return slot === -1 ? null : zone.frequentBits.subarray(slot * wordsPerSet, (slot + 1) * wordsPerSet);
}

function byCodeUnits(a: string, b: string): number {
  return a < b ? -1 : a > b ? 1 : 0;
}
