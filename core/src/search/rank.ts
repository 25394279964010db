/**
 * Ranking by BM25F: Robertson and Zaragoza, "The Probabilistic Relevance Framework: BM25 and Beyond" (2009),
 * section 3.6. A word, phrase, near or heading is one term; its frequency is weighted by field.
 */
import { type Query } from '../query/index.js';
import { docsOf, forEachDoc, type DocSet } from './docSet.js';
import { evaluate, lineQuery, type EvaluationContext } from './evaluate.js';
import { EvaluationStop } from './evaluationError.js';
import { fieldBitAt, nearOccurrences, occurrencesOf, zoneOfField, type Occurrences } from './occurrences.js';
import { FIELD_MASK, type SearchIndex } from './searchIndex.js';

/** How much an occurrence counts in each field. */
export const FIELD_WEIGHTS = {
  title: 3,
  abstract: 1,
  keywords: 2,
  otherText: 1,
  heading: 1.5,
  central: 3,
} as const;
const SATURATION = 1.2; // k1
const LENGTH_SHARE = 0.75; // b
const WEIGHTS = [FIELD_WEIGHTS.title, FIELD_WEIGHTS.abstract, FIELD_WEIGHTS.keywords] as const;

export interface Ranked {
  doc: number;
  score: number;
}

/**
 * Orders the documents that a query found, the best first; equal scores keep the newest document first.
 * What stands only in an excluded part adds nothing.
 */
export function rank(query: Query, found: DocSet, index: SearchIndex, context: EvaluationContext): Ranked[] {
  const scores = new Float64Array(index.size);
  for (const leaf of positiveLeaves(query, context, [])) addScores(leaf, found, index, context, scores);
  return [...docsOf(found)]
    .map((doc) => ({ doc, score: scores[doc] ?? 0 }))
    .sort((a, b) => b.score - a.score || b.doc - a.doc);
}

function positiveLeaves(query: Query, context: EvaluationContext, openLines: readonly number[]): Query[] {
  switch (query.kind) {
    case 'and':
    case 'or':
      return query.operands.flatMap((operand) => positiveLeaves(operand, context, openLines));
    case 'not':
      return positiveLeaves(query.include, context, openLines);
    case 'line':
      return positiveLeaves(lineQuery(query.line, context, openLines), context, [...openLines, query.line]);
    case 'words':
    case 'near':
    case 'heading':
      return [query];
    case 'limit':
    case 'everything':
      return [];
  }
}

function addScores(
  leaf: Query,
  found: DocSet,
  index: SearchIndex,
  context: EvaluationContext,
  scores: Float64Array,
): void {
  const all = evaluate(leaf, index, context);
  if (!all.ok) throw new EvaluationStop(all.error);
  const rarity = Math.log(1 + (index.size - all.documents.size + 0.5) / (all.documents.size + 0.5));
  const add = (doc: number, frequency: number) => {
    scores[doc] = (scores[doc] ?? 0) + (rarity * frequency) / (SATURATION + frequency);
  };
  if (leaf.kind === 'heading') {
    const central = evaluate({ ...leaf, central: true }, index, context);
    forEachDoc(all.documents, (doc) => add(doc, FIELD_WEIGHTS.heading));
    if (central.ok) {
      forEachDoc(central.documents, (doc) => add(doc, FIELD_WEIGHTS.central - FIELD_WEIGHTS.heading));
    }
  } else if (leaf.kind === 'words' || leaf.kind === 'near') {
    const occurrences =
      leaf.kind === 'words' ? occurrencesOf(index, leaf, found) : nearOccurrences(index, leaf, found);
    const field = leaf.kind === 'words' ? leaf.field : (leaf.parts[0]?.field ?? 'words');
    const inText = zoneOfField(field).name === 'text';
    forEachFrequency(occurrences, index, inText, add);
  }
}

function forEachFrequency(
  occurrences: Occurrences,
  index: SearchIndex,
  inText: boolean,
  add: (doc: number, frequency: number) => void,
): void {
  for (const [i, doc] of occurrences.docs.entries()) {
    const positions = occurrences.positions[i] ?? [];
    if (!inText) {
      add(doc, positions.length * FIELD_WEIGHTS.otherText);
      continue;
    }
    let frequency = 0;
    for (const position of positions) {
      const bit = fieldBitAt(index, doc, position);
      const field: 0 | 1 | 2 = bit === FIELD_MASK.title ? 0 : bit === FIELD_MASK.abstract ? 1 : 2;
      const weight = WEIGHTS[field];
      const length = (index.lengths[doc * 3 + field] ?? 0) / index.meanLengths[field];
      frequency += weight / (1 - LENGTH_SHARE + LENGTH_SHARE * length);
    }
    add(doc, frequency);
  }
}
