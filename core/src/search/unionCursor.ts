import type { PostingCursor } from './postings.js';

/** Walks the documents of several words as if they were one word, keeping nothing in store. For a few words. */
export class UnionCursor {
  doc = 0;
  mask = 0;
  position = 0;
  readonly documents: number;
  /** words that still have documents; those at the present document stand first, up to `here` */
  private readonly words: PostingCursor[];
  private here = 0;
  private started = false;
  /** whether each word's position is still to be given */
  private readonly waiting: boolean[];
  private positionsRead = false;

  constructor(words: readonly PostingCursor[]) {
    this.words = [...words];
    this.waiting = words.map(() => false);
    this.documents = words.reduce((sum, word) => sum + word.documents, 0);
  }

  advanceTo(target: number): boolean {
    if (this.started && this.doc >= target) return true;
    this.started = true;
    let lowest = Infinity;
    for (let i = this.words.length - 1; i >= 0; i -= 1) {
      const word = this.words[i];
      if (word === undefined) continue;
      if (!word.advanceTo(target)) {
        this.words[i] = this.words[this.words.length - 1] ?? word;
        this.words.pop();
      } else if (word.doc < lowest) lowest = word.doc;
    }
    if (lowest === Infinity) return false;
    this.doc = lowest;
    this.mask = 0;
    this.here = 0;
    this.position = 0;
    this.positionsRead = false;
    for (let i = 0; i < this.words.length; i += 1) {
      const word = this.words[i];
      if (word === undefined || word.doc !== lowest) continue;
      this.mask |= word.mask;
      const other = this.words[this.here];
      if (other !== undefined) this.words[i] = other;
      this.words[this.here] = word;
      this.here += 1;
    }
    return true;
  }

  /** Moves `position` to the next one of any word in the present document, ascending. */
  nextPosition(): boolean {
    if (!this.positionsRead) {
      this.positionsRead = true;
      for (let i = 0; i < this.here; i += 1) this.waiting[i] = this.words[i]?.nextPosition() ?? false;
    }
    let lowest = -1;
    let position = Infinity;
    for (let i = 0; i < this.here; i += 1) {
      const word = this.words[i];
      if (word === undefined || this.waiting[i] !== true || word.position >= position) continue;
      lowest = i;
      position = word.position;
    }
    if (lowest === -1) return false;
    this.position = position;
    this.waiting[lowest] = this.words[lowest]?.nextPosition() ?? false;
    return true;
  }

  readPositions(into: number[]): void {
    while (this.nextPosition()) into.push(this.position);
  }
}
