export { wardlineKind } from './wardline.js';
