export { markdownText } from './markdown.js';
export { forEachWord, textKey, tokenise } from './tokens.js';
export { WordReader } from './wordReader.js';
export type { Token } from './tokens.js';
export { defused, toCsv, type CsvCell } from './csv.js';
export { counted, formatCount } from './numbers.js';
