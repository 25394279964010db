export { wardlineDialect } from './wardline.js';
