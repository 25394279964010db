export { mindryDialect } from './mindry.js';
