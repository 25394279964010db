export { parseCql } from './interpret.js';
export type { CqlOptions, CqlResult } from './interpret.js';
export { printCql } from './print.js';
export type { CqlError, CqlModifier, CqlSortKey } from './syntax.js';
