/** Whether the limits are still those that a search was run with. */
import { dialectFrom, SEARCH_FIELDS, type DialectDescription } from '../query/index.js';
import type { LedgerLimit } from '../ledger/index.js';
import { applyLimit, limitText, wayText, type LimitsOfDatabase } from './apply.js';
import type { Limit } from './model.js';

/** What of a database's description decides how limits are applied there. */
export interface DescribedLimits {
  id: string;
  limits: Readonly<Record<string, readonly string[]>>;
  /** null where it takes CQL alone, which can say everything */
  dialect: DialectDescription | null;
  /** by kind, the own limit that somebody matched to it */
  matchedLimits?: Readonly<Record<string, string>>;
}

export function limitsOfDatabase({ id, limits, dialect, matchedLimits }: DescribedLimits): LimitsOfDatabase {
  const abilities = dialect === null ? null : dialectFrom(dialect).abilities;
  return {
    id,
    limits,
    years: abilities?.years ?? true,
    fields: abilities?.fields ?? SEARCH_FIELDS,
    ...(matchedLimits === undefined ? {} : { matched: matchedLimits }),
  };
}

/** Limits that came since a search was run, and limits of the search that are no more, each in words. */
export interface LimitsSince {
  added: string[];
  gone: string[];
}

/** The limits of an entry that were applied, each in words. */
export function appliedLimits(logged: readonly Pick<LedgerLimit, 'limit' | 'way'>[] | undefined): string[] {
  return (logged ?? []).flatMap(({ limit, way }) => (way === null ? [] : [`${limit} (${way})`]));
}

/**
 * Compares the limits of an entry with those that are applied now. Reasons and the order do not change what is found.
 * @param then as `appliedLimits` tells them
 * @returns null where they are the same
 */
export function limitsSince(
  then: readonly string[],
  limits: readonly Limit[],
  database: LimitsOfDatabase,
): LimitsSince | null {
  const now = limits.flatMap((limit) => {
    const { query, way } = applyLimit(limit, database);
    return limit.on && query !== null ? [`${limitText(limit)} (${wayText(way)})`] : [];
  });
  const added = now.filter((each) => !then.includes(each));
  const gone = then.filter((each) => !now.includes(each));
  return added.length + gone.length === 0 ? null : { added, gone };
}
