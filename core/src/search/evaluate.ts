/** Evaluation: a query over an index gives a set of documents. Equal to the set algebra of the query's parts. */
import { isYearRange, type HeadingQuery, type LimitQuery, type Query } from '../query/index.js';
import { textKey } from '../text/index.js';
import {
  emptySet,
  fullSet,
  intersect,
  newBits,
  setOfBits,
  subtract,
  subtractAll,
  unite,
  type DocSet,
} from './docSet.js';
import { EvaluationStop, type EvaluationError } from './evaluationError.js';
import { documentsNear, documentsWith } from './occurrences.js';
import { isAnyOfMany, type LookedUp, type PartMemory } from './partMemory.js';
import { headingKey, type SearchIndex } from './searchIndex.js';

export interface EvaluationContext {
  /**
   * The labels of all headings below a heading, itself not included.
   * @returns null when the vocabulary has no such heading
   */
  narrowerOf: (vocabulary: string, label: string) => readonly string[] | null;
  /**
   * The subheadings that a heading may have; any where this is absent.
   * @returns null when the vocabulary has no such heading
   */
  subheadingsOf?: (vocabulary: string, label: string) => readonly string[] | null;
  /** The lines that a query may refer to, by number. */
  lines?: ReadonlyMap<number, Query>;
  /** What parts found in this very index, with this very vocabulary. */
  remembered?: PartMemory;
}

export type EvaluationResult = { ok: true; documents: DocSet } | { ok: false; error: EvaluationError };

/** Evaluates a query. Errors name what could not be done and how to mend it. */
export function evaluate(query: Query, index: SearchIndex, context: EvaluationContext): EvaluationResult {
  return evaluateWith(query, index, context, new Map());
}

/**
 * Evaluates all lines of a strategy, each line once however often others refer to it.
 * @param lines by number; the results have the same numbers
 */
export function evaluateLines(
  lines: ReadonlyMap<number, Query>,
  index: SearchIndex,
  context: Omit<EvaluationContext, 'lines'>,
): Map<number, EvaluationResult> {
  const evaluated = new Map<number, DocSet>();
  const results = new Map<number, EvaluationResult>();
  for (const line of lines.keys()) {
    results.set(line, evaluateWith({ kind: 'line', line }, index, { ...context, lines }, evaluated));
  }
  return results;
}

function evaluateWith(
  query: Query,
  index: SearchIndex,
  context: EvaluationContext,
  evaluated: Map<number, DocSet>,
): EvaluationResult {
  try {
    return { ok: true, documents: evaluateQuery(query, index, context, [], evaluated) };
  } catch (stop) {
    if (stop instanceof EvaluationStop) return { ok: false, error: stop.error };
    throw stop;
  }
}

/** The query that a line number stands for. @throws EvaluationStop for unknown lines and circles */
export function lineQuery(line: number, context: EvaluationContext, openLines: readonly number[]): Query {
  const query = context.lines?.get(line);
  if (query === undefined) {
    throw new EvaluationStop({ problem: 'unknown-line', message: `There is no line L${line}.` });
  }
  if (openLines.includes(line)) {
    throw new EvaluationStop({ problem: 'line-cycle', message: `Line L${line} refers back to itself.` });
  }
  return query;
}

function evaluateQuery(
  query: Query,
  index: SearchIndex,
  context: EvaluationContext,
  openLines: readonly number[],
  /** lines that have been evaluated already */
  evaluated: Map<number, DocSet>,
): DocSet {
  const below = (operand: Query) => evaluateQuery(operand, index, context, openLines, evaluated);
  switch (query.kind) {
    case 'words':
    case 'near':
    case 'heading':
      return (
        context.remembered?.found(query, () => lookUp(query, index, context)) ?? lookUp(query, index, context)
      );
    case 'limit':
      return documentsWithin(query, index);
    case 'line':
      return evaluateLine(query.line, index, context, openLines, evaluated);
    case 'and': {
      // Every operand is evaluated, so that an error in any of them is told; the smallest sets meet first.
      const [first, ...rest] = query.operands.map(below).sort((a, b) => a.size - b.size);
      return first === undefined ? fullSet(index.size) : rest.reduce(intersect, first);
    }
    case 'or': {
      const all = () => unite(query.operands.map(below), index.size);
      return isAnyOfMany(query) ? (context.remembered?.found(query, all) ?? all()) : all();
    }
    case 'not': {
      const { include, exclude } = query;
      if (exclude.kind === 'or') return subtractAll(below(include), exclude.operands.map(below));
      return subtract(below(include), below(exclude));
    }
    case 'everything':
      return fullSet(index.size);
  }
}

function lookUp(part: LookedUp, index: SearchIndex, context: EvaluationContext): DocSet {
  switch (part.kind) {
    case 'words':
      return documentsWith(index, part);
    case 'near':
      return documentsNear(index, part);
    case 'heading':
      return documentsWithHeading(part, index, context);
  }
}

function evaluateLine(
  line: number,
  index: SearchIndex,
  context: EvaluationContext,
  openLines: readonly number[],
  evaluated: Map<number, DocSet>,
): DocSet {
  const known = evaluated.get(line);
  if (known !== undefined) return known;
  const query = lineQuery(line, context, openLines);
  const documents = evaluateQuery(query, index, context, [...openLines, line], evaluated);
  evaluated.set(line, documents);
  return documents;
}

/** The labels a heading query stands for: itself, and what lies below it if asked. */
export function headingLabels(query: HeadingQuery, context: EvaluationContext): readonly string[] {
  const narrower = context.narrowerOf(query.vocabulary, query.label);
  if (narrower === null) {
    throw new EvaluationStop({
      problem: 'unknown-heading',
      message: `There is no heading “${query.label}” in this vocabulary.`,
    });
  }
  return query.narrower ? [query.label, ...narrower] : [query.label];
}

function documentsWithHeading(query: HeadingQuery, index: SearchIndex, context: EvaluationContext): DocSet {
  const sets: DocSet[] = [];
  const labels = headingLabels(query, context);
  refuseUnknownSubheadings(query, labels, context);
  for (const label of labels) {
    const keys =
      query.subheadings.length === 0
        ? [headingKey(query.vocabulary, label)]
        : query.subheadings.map((subheading) => headingKey(query.vocabulary, label, subheading));
    for (const key of keys) {
      const postings = index.headings.get(key);
      if (postings !== undefined) sets.push(query.central ? postings.central : postings.any);
    }
  }
  return unite(sets, index.size);
}

/** A subheading that none of the headings may have finds nothing, which is a slip and no answer. */
function refuseUnknownSubheadings(
  { vocabulary, label, subheadings }: HeadingQuery,
  labels: readonly string[],
  { subheadingsOf }: EvaluationContext,
): void {
  if (subheadings.length === 0 || subheadingsOf === undefined) return;
  const known = [...new Set(labels.flatMap((each) => subheadingsOf(vocabulary, each) ?? []))];
  const keys = new Set(known.map(textKey));
  const unknown = subheadings.find((each) => !keys.has(textKey(each)));
  if (unknown === undefined) return;
  throw new EvaluationStop({
    problem: 'unknown-subheading',
    message: unknownSubheading(label, unknown, known),
  });
}

/** What to tell of a subheading that a heading cannot have. */
export function unknownSubheading(label: string, subheading: string, known: readonly string[]): string {
  const choice = known.length === 0 ? 'It has none.' : `It has: ${[...known].sort().join(', ')}.`;
  return `The heading “${label}” has no subheading “${subheading}”. ${choice}`;
}

function documentsWithin(limit: LimitQuery, index: SearchIndex): DocSet {
  if (!isYearRange(limit)) {
    const byValue = index.limits.get(limit.field);
    return unite(
      limit.values.map((value) => byValue?.get(textKey(value)) ?? emptySet(index.size)),
      index.size,
    );
  }
  const from = limit.from ?? -Infinity;
  const to = limit.to ?? Infinity;
  const bits = newBits(index.size);
  for (let doc = 0; doc < index.size; doc += 1) {
    const year = index.years[doc] ?? 0;
    if (year >= from && year <= to) bits[doc >>> 5] = (bits[doc >>> 5] ?? 0) | (1 << (doc & 31));
  }
  return setOfBits(bits, index.size);
}
