/**
 * Sets of documents. A document is a whole number from 0 to `universe - 1`. Small sets are sorted arrays, large
 * ones bit sets, so that algebra stays fast from three hits to a million.
 */

export interface DocSet {
  /** how many documents there are in all */
  readonly universe: number;
  /** how many are in the set */
  readonly size: number;
  /** sorted documents, or null when the set is kept as bits */
  readonly sorted: Uint32Array | null;
  /** one bit per document, or null when the set is kept as an array */
  readonly bits: Uint32Array | null;
}

/** Above one document in 32, bits take less room than an array. */
const SPARSE_SHARE = 32;

export function emptySet(universe: number): DocSet {
  return { universe, size: 0, sorted: new Uint32Array(0), bits: null };
}

export function fullSet(universe: number): DocSet {
  const bits = newBits(universe).fill(0xffffffff);
  const spare = bits.length * 32 - universe;
  if (spare > 0) bits[bits.length - 1] = spare === 32 ? 0 : 0xffffffff >>> spare;
  return { universe, size: universe, sorted: null, bits };
}

/** @param sorted ascending, without repeats; kept, not copied */
export function setOfSorted(sorted: Uint32Array, universe: number): DocSet {
  if (sorted.length * SPARSE_SHARE <= universe) return { universe, size: sorted.length, sorted, bits: null };
  const bits = newBits(universe);
  for (const doc of sorted) bits[doc >>> 5] = (bits[doc >>> 5] ?? 0) | (1 << (doc & 31));
  return { universe, size: sorted.length, sorted: null, bits };
}

/** @param bits one bit per document, none beyond the universe; kept, not copied */
export function setOfBits(bits: Uint32Array, universe: number): DocSet {
  const size = countBits(bits);
  if (size * SPARSE_SHARE > universe) return { universe, size, sorted: null, bits };
  const sorted = new Uint32Array(size);
  let at = 0;
  forEachBit(bits, (doc) => {
    sorted[at] = doc;
    at += 1;
  });
  return { universe, size, sorted, bits: null };
}

export function newBits(universe: number): Uint32Array {
  return new Uint32Array((universe + 31) >>> 5);
}

export function has(set: DocSet, doc: number): boolean {
  if (set.bits !== null) return (((set.bits[doc >>> 5] ?? 0) >>> (doc & 31)) & 1) === 1;
  const sorted = set.sorted ?? new Uint32Array(0);
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if ((sorted[middle] ?? 0) < doc) low = middle + 1;
    else high = middle;
  }
  return sorted[low] === doc;
}

export function forEachDoc(set: DocSet, visit: (doc: number) => void): void {
  if (set.bits !== null) forEachBit(set.bits, visit);
  else for (const doc of set.sorted ?? []) visit(doc);
}

/** The documents in ascending order. */
export function docsOf(set: DocSet): Uint32Array {
  if (set.sorted !== null) return set.sorted;
  const docs = new Uint32Array(set.size);
  let at = 0;
  forEachDoc(set, (doc) => {
    docs[at] = doc;
    at += 1;
  });
  return docs;
}

export function intersect(a: DocSet, b: DocSet): DocSet {
  const { universe, bits: ones } = a;
  const { bits: others } = b;
  if (ones !== null && others !== null) {
    // Local names, since what lies in an object would be looked up for every word of bits.
    const bits = new Uint32Array(ones.length);
    for (let i = 0; i < bits.length; i += 1) bits[i] = (ones[i] ?? 0) & (others[i] ?? 0);
    return setOfBits(bits, universe);
  }
  const [small, other] = a.sorted !== null && (b.sorted === null || a.size <= b.size) ? [a, b] : [b, a];
  return keep(small, (doc) => has(other, doc));
}

export function subtract(include: DocSet, exclude: DocSet): DocSet {
  if (exclude.size === 0 || include.size === 0) return include;
  if (include.bits === null) return keep(include, (doc) => !has(exclude, doc));
  const { bits: from } = include;
  const { bits: gone } = exclude;
  const bits = gone === null ? from.slice() : new Uint32Array(from.length);
  if (gone !== null) {
    for (let i = 0; i < bits.length; i += 1) bits[i] = (from[i] ?? 0) & ~(gone[i] ?? 0);
  } else {
    for (const doc of exclude.sorted ?? []) bits[doc >>> 5] = (bits[doc >>> 5] ?? 0) & ~(1 << (doc & 31));
  }
  return setOfBits(bits, include.universe);
}

/** What is in one set and in none of others. The largest go first: of what they leave, often little, the rest is quick. */
export function subtractAll(include: DocSet, excludes: readonly DocSet[]): DocSet {
  const largestFirst = excludes.filter(({ size }) => size > 0).sort((a, b) => b.size - a.size);
  let left = include;
  for (let at = 0; at < largestFirst.length && left.size > 0;) {
    // Where much is left, several are taken away in one pass; else document by document.
    const some = largestFirst.slice(at, at + (left.bits === null ? 1 : TOGETHER));
    left = subtract(left, some.length === 1 ? (some[0] ?? left) : unite(some, include.universe));
    at += some.length;
  }
  return left;
}

export function unite(sets: readonly DocSet[], universe: number): DocSet {
  const filled = sets.filter((set) => set.size > 0);
  const [first] = filled;
  if (first === undefined) return emptySet(universe);
  if (filled.length === 1) return first;
  const bits = newBits(universe);
  const dense = filled.flatMap((set) => set.bits ?? []);
  for (let at = 0; at < dense.length; at += TOGETHER) addBits(bits, dense.slice(at, at + TOGETHER));
  for (const set of filled) if (set.bits === null) addTo(bits, set);
  return setOfBits(bits, universe);
}

/** Sets of bits that are joined in one pass. */
const TOGETHER = 4;

/** @param sets up to `TOGETHER` of them, as long as `bits` */
function addBits(bits: Uint32Array, sets: readonly Uint32Array[]): void {
  const [a = bits, b = bits, c = bits, d = bits] = sets;
  for (let i = 0; i < bits.length; i += 1) {
    bits[i] = (bits[i] ?? 0) | (a[i] ?? 0) | (b[i] ?? 0) | (c[i] ?? 0) | (d[i] ?? 0);
  }
}

/** Sets the bits of all documents of a set. */
export function addTo(bits: Uint32Array, set: DocSet): void {
  const { bits: more } = set;
  if (more !== null) {
    for (let i = 0; i < bits.length; i += 1) bits[i] = (bits[i] ?? 0) | (more[i] ?? 0);
  } else {
    for (const doc of set.sorted ?? []) bits[doc >>> 5] = (bits[doc >>> 5] ?? 0) | (1 << (doc & 31));
  }
}

function keep(set: DocSet, matches: (doc: number) => boolean): DocSet {
  const kept = new Uint32Array(set.size);
  let size = 0;
  for (const doc of set.sorted ?? []) {
    if (matches(doc)) {
      kept[size] = doc;
      size += 1;
    }
  }
  return setOfSorted(kept.slice(0, size), set.universe);
}

function forEachBit(bits: Uint32Array, visit: (doc: number) => void): void {
  for (let i = 0; i < bits.length; i += 1) {
    let word = bits[i] ?? 0;
    while (word !== 0) {
      visit((i << 5) + (31 - Math.clz32(word & -word)));
      word &= word - 1;
    }
  }
}

function countBits(bits: Uint32Array): number {
  let count = 0;
  for (let i = 0; i < bits.length; i += 1) count += countOnes(bits[i] ?? 0);
  return count;
}

/** Population count of 32 bits by halves; each step adds neighbouring groups of bits. */
export function countOnes(bits: number): number {
  let word = bits - ((bits >>> 1) & 0x55555555);
  word = (word & 0x33333333) + ((word >>> 2) & 0x33333333);
  return (((word + (word >>> 4)) & 0x0f0f0f0f) * 0x01010101) >>> 24;
}
