export { assayhouseKind } from './assayhouse.js';
