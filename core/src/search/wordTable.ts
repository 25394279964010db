/** Words numbered in the order in which they first come, found by their bytes: an open-addressed table of hashes. */
import type { WordReader } from '../text/index.js';

/** Part of every platform's globals, though not of the language. */
declare const TextDecoder: new () => { decode(bytes: Uint8Array): string };

export class WordTable {
  size = 0;
  /** one more than a word's number, or nought; twice as many places as words at least */
  private places = new Int32Array(1 << 10);
  /** by number: hash, and where the bytes begin; one start more than words */
  private hashes = new Int32Array(1 << 9);
  private starts = new Uint32Array((1 << 9) + 1);
  private bytes = new Uint8Array(1 << 12);

  /** The number of the reader's present word, a new one for a word that was not seen before. */
  numberOf({ word, length, hash }: WordReader): number {
    const { places, hashes, starts, bytes } = this;
    const last = places.length - 1;
    let place = hash & last;
    for (let held = places[place] ?? 0; held !== 0; held = places[place] ?? 0) {
      if (hashes[held - 1] === hash) {
        const start = starts[held - 1] ?? 0;
        let i = (starts[held] ?? 0) - start === length ? 0 : length + 1;
        while (i < length && bytes[start + i] === word[i]) i += 1;
        if (i === length) return held - 1;
      }
      place = (place + 1) & last;
    }
    return this.add(word, length, hash);
  }

  /** All words, by number. */
  words(): string[] {
    const decoder = new TextDecoder();
    return Array.from({ length: this.size }, (_, number) =>
      decoder.decode(this.bytes.subarray(this.starts[number], this.starts[number + 1])),
    );
  }

  private add(word: Uint8Array, length: number, hash: number): number {
    const number = this.size;
    if (number === this.hashes.length) this.makeRoom();
    this.hashes[number] = hash;
    this.hold(number);
    const start = this.starts[number] ?? 0;
    if (start + length > this.bytes.length) {
      const grown = new Uint8Array((start + length) * 2);
      grown.set(this.bytes);
      this.bytes = grown;
    }
    this.bytes.set(word.subarray(0, length), start);
    this.starts[number + 1] = start + length;
    this.size += 1;
    return number;
  }

  private makeRoom(): void {
    const hashes = new Int32Array(this.hashes.length * 2);
    hashes.set(this.hashes);
    this.hashes = hashes;
    const starts = new Uint32Array(hashes.length + 1);
    starts.set(this.starts);
    this.starts = starts;
    this.places = new Int32Array(hashes.length * 2);
    for (let number = 0; number < this.size; number += 1) this.hold(number);
  }

  private hold(number: number): void {
    const last = this.places.length - 1;
    let place = (this.hashes[number] ?? 0) & last;
    while (this.places[place] !== 0) place = (place + 1) & last;
    this.places[place] = number + 1;
  }
}
