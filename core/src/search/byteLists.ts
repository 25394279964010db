/** Many lists of bytes that grow side by side in one array: lists that grow out of their room move to a larger one. */

/** A list begins with room for so many bytes, and gets twice as many each time it moves. */
const FIRST_ROOM = 16;
/** The most bytes of one number. */
export const MOST_BYTES = 5;

/** Of each list, side by side in one array, so that they are in memory together. */
const START = 0;
const LENGTH = 1;
const ROOM = 2;
const STRIDE = 4;

/** Numbers are appended to lists as variable-length bytes, seven bits each; lists are numbered from nought. */
export class ByteLists {
  private bytes = new Uint8Array(1 << 12);
  private used = 0;
  private heads = new Uint32Array(STRIDE << 10);
  /** rooms that lists have moved out of, by the power of two that they hold */
  private readonly free: number[][] = Array.from({ length: 32 }, () => []);

  lengthOf(list: number): number {
    return this.heads[list * STRIDE + LENGTH] ?? 0;
  }

  append(list: number, value: number): void {
    const head = list * STRIDE;
    let length = this.heads[head + LENGTH] ?? 0; // nought also for lists beyond the table, which have no room yet
    if (length + MOST_BYTES > (this.heads[head + ROOM] ?? 0)) this.move(list);
    const { bytes, heads } = this;
    const start = heads[head + START] ?? 0;
    let rest = value;
    while (rest > 127) {
      bytes[start + length] = (rest & 127) | 128;
      length += 1;
      rest >>>= 7;
    }
    bytes[start + length] = rest;
    heads[head + LENGTH] = length + 1;
  }

  /** Copies a list's bytes. */
  copy(list: number, into: Uint8Array, at: number): void {
    const start = this.heads[list * STRIDE + START] ?? 0;
    into.set(this.bytes.subarray(start, start + this.lengthOf(list)), at);
  }

  private move(list: number): void {
    const head = list * STRIDE;
    if (head >= this.heads.length) {
      const grown = new Uint32Array(head * 2);
      grown.set(this.heads);
      this.heads = grown;
    }
    const { heads } = this;
    const before = heads[head + ROOM] ?? 0;
    const room = Math.max(before * 2, FIRST_ROOM);
    const power = Math.log2(room);
    let start = this.free[power]?.pop();
    if (start === undefined) {
      start = this.used;
      this.used += room;
      if (this.used > this.bytes.length) {
        const grown = new Uint8Array(this.used * 2);
        grown.set(this.bytes);
        this.bytes = grown;
      }
    }
    if (before > 0) {
      const from = heads[head + START] ?? 0;
      this.bytes.copyWithin(start, from, from + this.lengthOf(list));
      this.free[Math.log2(before)]?.push(from);
    }
    heads[head + START] = start;
    heads[head + ROOM] = room;
  }
}
