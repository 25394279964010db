export { corvaneKind } from './corvane.js';
