export { slips } from './distance.js';
export { foldWord } from './fold.js';
export { american, british } from './regional.js';
