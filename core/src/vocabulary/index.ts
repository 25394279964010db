export { indexForLookup, lookUp } from './lookup.js';
export type { LookupHit, LookupIndex, LookupReason } from './lookup.js';
export type { Heading, Vocabulary, VocabularyTree } from './model.js';
export { vocabularyFromTurtle, vocabularyToJsonLd, vocabularyToTurtle } from './skos.js';
export type { SkosResult } from './skos.js';
export { allNarrower, directlyBelow, headingByLabel, indexVocabulary, pathsTo } from './tree.js';
