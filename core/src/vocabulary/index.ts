export { indexForLookup, joinedName, lookUp } from './lookup.js';
export type { LookupHit, LookupIndex, LookupReason } from './lookup.js';
export { contentWords, lookupWords, senseOf } from './lookupWords.js';
export type { Heading, Vocabulary, VocabularyTree } from './model.js';
export { vocabularyToJsonLd, vocabularyToTurtle } from './skos.js';
export { vocabularyFromTurtle } from './skosReader.js';
export type { SkosResult } from './skosReader.js';
export { allNarrower, directlyBelow, headingByLabel, indexVocabulary, pathsTo } from './tree.js';
