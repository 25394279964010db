export { markdownText } from './markdown.js';
export { forEachWord, textKey, tokenise } from './tokens.js';
export { WordNumbers } from './wordNumbers.js';
export type { Token } from './tokens.js';
export { defused, toCsv, type CsvCell } from './csv.js';
export { counted, formatCount } from './numbers.js';
