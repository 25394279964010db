export { areKin, bestCut, commonestWord, cutsOf } from './cuts.js';
export type { BroughtIn, Cut, KnownWord } from './cuts.js';
export { MAX_PASTED, readPasted } from './pasted.js';
export type { Pasted, PastedTerm } from './pasted.js';
export { apartVariants, variantsOf } from './variants.js';
export type { Variant, VariantReason } from './variants.js';
