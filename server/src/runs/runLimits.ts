/** The limits of a run, as its ledger entry holds them. */
import { limitText, wayText, type LedgerLimit } from '@even-lantern/core';
import type { ReviewLimit } from '@even-lantern/contract';
import { badInput } from '../http/problem.js';
import type { CompiledStrategy } from '../strategies/compiledStrategy.js';

/**
 * The limits as they are logged, before anything is counted; those that are switched off are not.
 * @param present the limits of the review as they are now
 * @throws ProblemException for one without a reason, which is asked for now and never before
 */
export function loggedLimits(
  { limits, keptLimits, shown }: CompiledStrategy,
  present: readonly ReviewLimit[],
): LedgerLimit[] {
  const on = limits.filter(({ limit }) => limit.on);
  const kept = new Map(keptLimits.map((limit) => [limit.id, limit]));
  // A state of a strategy does not tell who set its limits.
  const setting = new Map(present.map((limit) => [limit.id, limit]));
  const without = on.filter(({ limit, sent }) => sent !== null && kept.get(limit.id)?.reason === '');
  if (without.length > 0) {
    throw badInput(
      without.map(({ limit }) => ({
        path: `limits/${limit.id}`,
        message: `Say why there is the limit “${limitText(limit)}”: its reason is logged and reported.`,
      })),
    );
  }
  return on.map(({ limit, way, sent, unavailable }) => {
    const line = shown.intended.lines.find(({ limitId }) => limitId === limit.id)?.number ?? null;
    const { reason = '' } = kept.get(limit.id) ?? {};
    const { changedBy = '', changedAt = '' } = setting.get(limit.id) ?? {};
    return {
      limit: limitText(limit),
      reason,
      way: sent === null ? null : wayText(way),
      notApplied: sent === null ? (unavailable ?? 'not applied in this database, as somebody chose') : null,
      line,
      before: null,
      after: null,
      setBy: changedBy,
      setAt: changedAt,
    };
  });
}
