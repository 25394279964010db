export { skeinDialect } from './skein.js';
