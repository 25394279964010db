export { cqlKind } from './cql.js';
export { proposeNames, type ServerIndex } from './proposeNames.js';
