export { corvaneDialect } from './corvane/index.js';
export { DIALECTS } from './dialects.js';
export type { Dialect, DialectContext, DialectError, DialectResult, Loss, Printed } from './dialect.js';
