export { cqlKind } from './cql.js';
