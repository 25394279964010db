export { DIALECTS } from './dialects.js';
export { patternsToSpell } from './printing.js';
export type {
  Abilities,
  Dialect,
  DialectContext,
  DialectError,
  DialectResult,
  Effect,
  Loss,
  Printed,
} from './dialect.js';
