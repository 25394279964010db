export { assayhouseDialect } from './assayhouse.js';
