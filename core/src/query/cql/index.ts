export { parseCql } from './interpret.js';
export type { CqlOptions, CqlResult } from './interpret.js';
export { printCql } from './print.js';
export { parseCqlSyntax, unescapeQuoted } from './syntax.js';
export type { CqlClause, CqlError, CqlModifier, CqlNode, CqlSortKey } from './syntax.js';
