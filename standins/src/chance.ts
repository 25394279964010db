/** Seeded chance: the same seed gives the same records, byte for byte. */
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

export interface Chance {
  /** a whole number, both ends included */
  int(low: number, high: number): number;
  /** a number from low up to high */
  real(low: number, high: number): number;
  /** true with the given probability */
  happens(probability: number): boolean;
  pick<T>(items: readonly T[]): T;
  /** picks by weight */
  weighted<T>(items: readonly (readonly [T, number])[]): T;
  /** some of the items, in a random order */
  some<T>(items: readonly T[], count: number): T[];
}

/** Drawn and thrown away, since what comes first of seeds that lie near each other is alike. */
const THROWN_AWAY = 8;

/** The chance of one of many: like seeds and numbers give the same, and none has to do with the others. */
export function chanceOf(seed: number, number: number): Chance {
  const own = chance(mixed(mixed(seed) ^ number));
  for (let i = 0; i < THROWN_AWAY; i += 1) own.int(0, 1);
  return own;
}

/** Every bit bears on every other: the finishing steps of a hash of 32 bits, by the usual constants. */
function mixed(value: number): number {
  let bits = Math.imul(value ^ (value >>> 16), 0x85ebca6b);
  bits = Math.imul(bits ^ (bits >>> 13), 0xc2b2ae35);
  return (bits ^ (bits >>> 16)) | 0;
}

export function chance(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  const int = (low: number, high: number) => uniformInt(generator, low, high);
  const real = (low: number, high: number) => low + ((high - low) * int(0, 1_000_000)) / 1_000_000;
  const pick = <T>(items: readonly T[]): T => {
    const item = items[int(0, items.length - 1)];
    if (item === undefined) throw new RangeError('nothing to pick from');
    return item;
  };
  return {
    int,
    real,
    happens: (probability) => real(0, 1) < probability,
    pick,
    weighted(items) {
      let at = real(
        0,
        items.reduce((sum, [, weight]) => sum + weight, 0),
      );
      for (const [item, weight] of items) {
        at -= weight;
        if (at <= 0) return item;
      }
      return pick(items)[0];
    },
    some(items, count) {
      const rest = [...items];
      const chosen = [];
      while (chosen.length < count && rest.length > 0)
        chosen.push(...rest.splice(int(0, rest.length - 1), 1));
      return chosen;
    },
  };
}
