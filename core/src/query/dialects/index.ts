export { DIALECTS, DIALECT_KINDS, dialectFrom } from './dialects.js';
export { writingsIn, type Writing } from './writings.js';
export { proposeNames, type ServerIndex } from './cql/index.js';
export { type DialectDescription } from './naming.js';
export { LACKS, NAMED, WORD_FIELDS, type Lack, type Named, type Names } from './names.js';
export { patternsToSpell } from './printing.js';
export { precedenceCaution } from './reading.js';
export type {
  Dialect,
  DialectContext,
  DialectError,
  DialectResult,
  Effect,
  Loss,
  Printed,
} from './dialect.js';
