export { arrangedDocument, arrangeStrategy } from './arrange.js';
export type { ArrangedLane, ArrangedLine, ArrangedStrategy } from './arrange.js';
export { chosenOf, linesThatFit } from './choose.js';
export type { Chosen } from './choose.js';
export { readPastedLines } from './pastedLines.js';
export type { PastedLine, TextLanguage } from './pastedLines.js';
