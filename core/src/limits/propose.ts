/** Limits of a database that somebody adds, matched to our kinds by the names of its indexes. */
import type { ServerIndex } from '../query/index.js';
import { LIMIT_KINDS } from './kinds/index.js';

/** An own limit of a database that was added, as somebody matched it to a kind. */
export interface MatchedLimit {
  /** the id of the kind */
  kind: string;
  /** what the database calls it */
  name: string;
  /** its values, all of them or none */
  values: string[];
}

/** Kinds of limits that a database can have of its own, so that one can be matched to each. */
export const MATCHABLE_KINDS = LIMIT_KINDS.filter(({ fields }) => fields.length > 0);

/** @returns for each kind that an index is called after, that index; each index once */
export function proposeLimits(indexes: readonly ServerIndex[]): MatchedLimit[] {
  const plain = (text: string) => text.toLowerCase().replace(/[^a-z]/g, '');
  const taken = new Set<string>();
  return MATCHABLE_KINDS.flatMap(({ id, fields }): MatchedLimit[] => {
    for (const read of [
      ({ name }: ServerIndex) => name.split('.').at(-1) ?? '',
      ({ title }: ServerIndex) => title,
    ]) {
      const index = indexes.find((each) => fields.includes(plain(read(each))) && !taken.has(each.name));
      if (index === undefined) continue;
      taken.add(index.name);
      return [{ kind: id, name: index.name, values: [] }];
    }
    return [];
  });
}

/** Limits as a database describes them: their values by name, and which kind each is of. */
export function describedLimits(matched: readonly MatchedLimit[]): {
  limits: Record<string, string[]>;
  matchedLimits: Record<string, string>;
} {
  return {
    limits: Object.fromEntries(matched.map(({ name, values }) => [name, values])),
    matchedLimits: Object.fromEntries(matched.map(({ kind, name }) => [kind, name])),
  };
}
