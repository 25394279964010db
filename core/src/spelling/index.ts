export { slips } from './distance.js';
export { foldWord, spellWord } from './fold.js';
export { american, british } from './regional.js';
