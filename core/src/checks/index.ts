import type { CheckedStrategy, Finding } from './check.js';
import { CHECKS } from './kinds/index.js';

export { CHECKS } from './kinds/index.js';
export { beginning } from './looking.js';
export { findingKey } from './check.js';
export type { Check, CheckedLimit, CheckedLine, CheckedStrategy, Finding, NamedMend } from './check.js';
export { mended, mendedAt, MENDED_TERM } from './mends.js';
export type { Mend, Mendable } from './mends.js';
export { bearing, relaxations, tightenings, type Bearable } from './suggest.js';

/** What all checks find in a strategy, as one database has it. */
export function checkStrategy(strategy: CheckedStrategy): Finding[] {
  return CHECKS.flatMap((check) => check.find(strategy));
}
