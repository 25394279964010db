export { corvaneDialect } from './corvane.js';
