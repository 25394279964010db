export { lookUp } from './lookup.js';
export type { LookupHit, LookupReason } from './lookup.js';
export { indexForLookup, joinedKey, joinedName } from './lookupIndex.js';
export type { LookupIndex, Name } from './lookupIndex.js';
export { contentWords, isEmptyWord, isPeople, lookupWords, senseOf } from './lookupWords.js';
export type { Heading, Vocabulary, VocabularyTree } from './model.js';
export { addressesIn, conceptAddress, SKOS, vocabularyToJsonLd, vocabularyToTurtle } from './skos.js';
export { brokenConditions, type BrokenConditions } from './skosConditions.js';
export { notTurtle, skosCollector, TURTLE_TERMS, vocabularyFromTurtle } from './skosReader.js';
export type { SkosCollector, SkosResult } from './skosReader.js';
export {
  allNarrower,
  directlyBelow,
  headingByLabel,
  headingCalled,
  indexVocabulary,
  pathsTo,
  treeOf,
} from './tree.js';
