export { mindryKind } from './mindry.js';
