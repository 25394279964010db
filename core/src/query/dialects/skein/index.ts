export { skeinKind } from './skein.js';
