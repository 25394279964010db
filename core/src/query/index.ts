export * from './model.js';
export type { Abilities } from './abilities.js';
export { normaliseQuery } from './normalise.js';
export { matchesPattern, parsePhrase, printPhrase } from './phrase.js';
export type { PhraseError, PhraseProblem, PhraseResult } from './phrase.js';
export { plainReading, plainSentence, type PlainReading } from './plain.js';
export * from './dialects/index.js';
export { parseCql, parseCqlSyntax, printCql, unescapeQuoted } from './cql/index.js';
export type { CqlClause, CqlNode, CqlError, CqlOptions, CqlResult, CqlSortKey } from './cql/index.js';
