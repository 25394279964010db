/**
 * The meaning of CQL clauses: the context set `el` and the parts of `cql` and `dc` that correspond to it.
 * Source of the diagnostic numbers: the SRU diagnostics list of the standard.
 */
import {
  MAX_NEAR_DISTANCE,
  SEARCH_FIELDS,
  type NearQuery,
  type Query,
  type SearchField,
  type WordPattern,
  type WordsQuery,
} from '../model.js';
import { normaliseQuery } from '../normalise.js';
import { parsePhrase, type PhraseProblem } from '../phrase.js';
import { interpretLimit, interpretYear } from './interpretLimits.js';
import { modifierName, refuseModifiers, Stop, stop } from './stop.js';
import {
  parseCqlSyntax,
  unescapeQuoted,
  type CqlBoolean,
  type CqlClause,
  type CqlError,
  type CqlNode,
  type CqlSortKey,
  type MixedOperators,
} from './syntax.js';

export interface CqlOptions {
  /** The vocabulary meant when a heading does not name one with `/el.vocabulary="…"`. */
  vocabulary: string;
  /** Fields that limits may name (`el.language`), beside `year`. */
  limitFields: readonly string[];
  /**
   * For a database with names of its own: each index with that of ours it means (`wn.text` → `el.words`). No others
   * are read then, but those of the set `cql`. Nor has it near across fields or headings of other vocabularies, and
   * `?` for one letter only where that is said. The index of headings may also be one of words: then `==` names a
   * heading, and every other relation searches words.
   */
  own?: { indexes: ReadonlyMap<string, string>; heading: string | null; oneLetter: boolean };
  /**
   * For lines that are named otherwise than by their numbers: which number a name stands for in the query that is
   * given; null where there is no such line. A word like L4 that no index stands before then names a line too.
   */
  lineNamed?: (name: string) => number | null;
}

export type CqlResult =
  | {
      ok: true;
      query: Query;
      sortBy: CqlSortKey[];
      /** where OR meets another operator without parentheses, which other databases read otherwise */
      mixed: MixedOperators[];
    }
  | { ok: false; error: CqlError };

/** Indexes of other context sets that mean the same as one of ours. */
const SAME_AS: Readonly<Record<string, string>> = {
  'cql.serverchoice': 'el.words',
  'cql.keywords': 'el.words',
  'dc.title': 'el.title',
  'dc.description': 'el.abstract',
  'dc.creator': 'el.author',
  'dc.date': 'el.year',
  'dc.language': 'el.language',
};

const PHRASE_DIAGNOSTICS: Readonly<Record<PhraseProblem, number>> = {
  empty: 27,
  'too-long': 23,
  'unbalanced-quote': 14,
  'pattern-too-short': 29,
  'star-not-at-end': 28,
  'no-letters': 27,
};

/**
 * Reads CQL text as a query.
 *
 * @returns the normalised query, or the first error with its position, what was found and what was expected
 * @example parseCql('el.words = "night shift*"', { vocabulary: 'corvane', limitFields: ['language'] })
 */
export function parseCql(text: string, options: CqlOptions): CqlResult {
  const syntax = parseCqlSyntax(text);
  if (!syntax.ok) return syntax;
  try {
    const query = normaliseQuery(interpretNode(syntax.tree.root, options));
    return { ok: true, query, sortBy: syntax.tree.sortBy, mixed: syntax.tree.mixed };
  } catch (error) {
    if (error instanceof Stop) return { ok: false, error: error.error };
    throw error;
  }
}

function interpretNode(node: CqlNode, options: CqlOptions): Query {
  if (node.kind === 'clause') return interpretClause(node, options);
  if (node.operator === 'prox') return interpretNear(node, options);
  const [modifier] = node.modifiers;
  if (modifier) {
    const message = `“${node.operator}” takes no modifiers here.`;
    stop(46, modifier.at, modifier.name, 'no modifier', message);
  }
  // Long chains lean to the left; walking them in a loop keeps the stack flat.
  const { operator } = node;
  if (operator === 'not') {
    return {
      kind: 'not',
      include: interpretNode(node.left, options),
      exclude: interpretNode(node.right, options),
    };
  }
  const right: CqlNode[] = [];
  let left: CqlNode = node;
  while (left.kind === 'boolean' && left.operator === operator && left.modifiers.length === 0) {
    right.push(left.right);
    left = left.left;
  }
  const operands = [left, ...right.reverse()].map((operand) => interpretNode(operand, options));
  return { kind: operator, operands };
}

function interpretNear(node: CqlBoolean, options: CqlOptions): NearQuery {
  const { distance, ordered } = nearModifiers(node);
  const parts: WordsQuery[] = [];
  for (const side of [node.left, node.right]) {
    const query = interpretNode(side, options);
    if (query.kind === 'words') parts.push(query);
    else if (
      query.kind === 'near' &&
      query.distance === distance &&
      query.ordered === ordered &&
      side === node.left
    ) {
      parts.push(...query.parts);
    } else {
      const message = 'Only words and phrases can be near each other, all with the same distance and order.';
      stop(44, node.at, 'prox', 'words or phrases on both sides', message);
    }
  }
  if (options.own !== undefined && parts.some(({ field }) => field !== parts[0]?.field)) {
    stop(44, node.at, 'prox', 'words of one field', 'Words can only be near each other within one field.');
  }
  return { kind: 'near', parts, distance, ordered };
}

function nearModifiers(node: CqlBoolean): { distance: number; ordered: boolean } {
  let distance = 1;
  let ordered = false;
  for (const modifier of node.modifiers) {
    const name = modifier.name.toLowerCase().replace(/^cql\./, '');
    if (name === 'unit') {
      if (modifier.value?.toLowerCase() !== 'word') {
        stop(42, modifier.at, modifier.value ?? '', 'unit=word', 'Nearness is counted in words only.');
      }
    } else if (name === 'distance') {
      const value = Number(modifier.value);
      if (modifier.comparison !== '<=' && modifier.comparison !== '<') {
        stop(40, modifier.at, modifier.comparison ?? '', '<= or <', 'Distance is given as distance<=n.');
      }
      distance = modifier.comparison === '<' ? value - 1 : value;
      if (!Number.isInteger(distance) || distance < 1 || distance > MAX_NEAR_DISTANCE) {
        const expected = `a whole number from 1 to ${MAX_NEAR_DISTANCE}`;
        stop(41, modifier.at, modifier.value ?? '', expected, `The distance must be ${expected}.`);
      }
    } else if (name === 'ordered' || name === 'unordered') {
      ordered = name === 'ordered';
    } else {
      stop(
        46,
        modifier.at,
        modifier.name,
        'unit, distance, ordered or unordered',
        `“${modifier.name}” is not known.`,
      );
    }
  }
  return { distance, ordered };
}

function interpretClause(clause: CqlClause, options: CqlOptions): Query {
  const written = clause.index ?? 'cql.serverChoice';
  const lower = written.toLowerCase();
  const index = options.own === undefined ? indexNamed(lower) : ownIndexNamed(clause, options.own);
  const set = index.split('.', 1)[0] ?? '';
  // An index of our own set may be named after one of another, dot and all.
  const name = index.slice(set.length + 1);

  if (index === 'cql.resultsetid' || (options.lineNamed !== undefined && isLineNumber(clause)))
    return interpretLine(clause, options);
  if (index === 'cql.allrecords') return { kind: 'everything' };
  if (set !== 'el' && set !== 'cql' && set !== 'dc') {
    stop(15, clause.at, written, 'an index of el, cql or dc', `The context set “${set}” is not known.`);
  }
  if (index === 'el.heading' || index === 'dc.subject') return interpretHeading(clause, options);
  if (index === 'el.year') return interpretYear(clause);
  const field = SEARCH_FIELDS.find((candidate) => `el.${candidate}` === index);
  if (field !== undefined) return interpretWords(clause, field, options);
  const limitField = options.limitFields.find(
    (candidate) => `el.${candidate.toLowerCase()}` === `el.${name}`,
  );
  if (set === 'el' && limitField !== undefined) return interpretLimit(clause, limitField);
  const expected = [...SEARCH_FIELDS, 'heading', 'year', ...options.limitFields].join(', ');
  return stop(
    16,
    clause.at,
    written,
    expected,
    `The index “${written}” is not known. Known are: ${expected}.`,
  );
}

function indexNamed(lower: string): string {
  return SAME_AS[lower] ?? (lower.includes('.') ? lower : `el.${lower}`);
}

function ownIndexNamed(
  { index, at, relation }: CqlClause,
  { indexes, heading }: NonNullable<CqlOptions['own']>,
): string {
  const lower = index?.toLowerCase() ?? 'cql.serverchoice';
  const known = [...indexes.keys()];
  const alsoWords = known.some((each) => each.toLowerCase() === lower);
  if (lower === heading?.toLowerCase() && (!alsoWords || relation === '==' || relation === 'exact'))
    return 'el.heading';
  if (heading !== null && !known.includes(heading)) known.push(heading);
  if (lower.startsWith('cql.') && !known.some((each) => each.toLowerCase() === lower))
    return indexNamed(lower);
  return (
    indexes.get(known.find((each) => each.toLowerCase() === lower) ?? '')?.toLowerCase() ??
    stop(
      16,
      at,
      index ?? '',
      known.join(', '),
      `The index “${index ?? ''}” is not known. Known are: ${known.join(', ')}.`,
    )
  );
}

function interpretWords(clause: CqlClause, field: SearchField, { own }: CqlOptions): Query {
  const relation = (clause.relation ?? '=').replace(/^cql\./, '');
  refuseModifiers(clause, []);
  if (/(^|[^\\])(\\\\)*\^/.test(clause.term.text)) {
    stop(31, clause.term.at, '^', 'no anchor', 'Anchors (^) are not supported.');
  }
  if (own !== undefined) refuseForeignSigns(clause, own.oneLetter);
  switch (relation) {
    case '=':
    case 'scr':
    case 'adj':
      return { kind: 'words', field, phrase: phraseOf(clause.term.text, clause.term.at) };
    case 'any':
    case 'all': {
      const words: Query[] = phraseOf(clause.term.text, clause.term.at).map((pattern) => ({
        kind: 'words',
        field,
        phrase: [pattern],
      }));
      return { kind: relation === 'any' ? 'or' : 'and', operands: words };
    }
    default:
      return stop(
        19,
        clause.at,
        relation,
        '=, any or all',
        `“${relation}” does not go with words: use =, any or all.`,
      );
  }
}

/** A word with signs of other databases, and `?`, which these have not. */
function refuseForeignSigns({ term }: CqlClause, oneLetter: boolean): void {
  const unknown = /(?<!\\)\?/.exec(term.text);
  if (unknown !== null && !oneLetter) {
    const message = 'There is no ? for one letter here: spell the words out, or end the word with *.';
    stop(28, term.at + unknown.index, '?', 'a word, or one that ends with *', message);
  }
  if (!term.quoted && !/^[\p{L}\p{N}]/u.test(term.text)) {
    const message = `“${term.text}” has signs that mean nothing here. To search it as a word, put it in quotation marks.`;
    stop(10, term.at, term.text, 'a word', message);
  }
}

function phraseOf(text: string, at: number): WordPattern[] {
  const result = parsePhrase(text);
  if (result.ok) return result.phrase;
  const { error } = result;
  return stop(
    PHRASE_DIAGNOSTICS[error.problem],
    at + error.at,
    text.slice(error.at, error.at + 20),
    'a word or phrase',
    error.message,
  );
}

function interpretHeading(clause: CqlClause, options: CqlOptions): Query {
  const relation = clause.relation ?? '==';
  if (relation !== '==' && relation !== '=' && relation !== 'exact') {
    stop(22, clause.at, relation, '==', 'A heading is named in full: use ==.');
  }
  refuseModifiers(clause, ['narrower', 'central', 'subheading', 'vocabulary']);
  if (options.own !== undefined) refuseOtherVocabulary(clause, options);
  const has = (name: string) => clause.modifiers.some((modifier) => modifierName(modifier) === name);
  const values = (name: string) =>
    clause.modifiers
      .filter((modifier) => modifierName(modifier) === name)
      .map((modifier) => modifier.value ?? '');
  const label = unescapeQuoted(clause.term.text).trim();
  if (label === '') stop(27, clause.term.at, '', 'the name of a heading', 'The heading has no name.');
  return {
    kind: 'heading',
    vocabulary: values('vocabulary')[0] ?? options.vocabulary,
    label,
    narrower: has('narrower'),
    central: has('central'),
    subheadings: values('subheading'),
  };
}

function refuseOtherVocabulary(clause: CqlClause, { vocabulary }: CqlOptions): void {
  if (vocabulary === '') {
    stop(16, clause.at, clause.index ?? '', 'an index for words', 'This database has no headings.');
  }
  const other = clause.modifiers.find((each) => modifierName(each) === 'vocabulary');
  if (other !== undefined) {
    stop(20, other.at, other.name, 'no vocabulary', 'Only headings of its own vocabulary are known here.');
  }
}

const LINE_NUMBER = /^L([1-9]\d{0,5})$/i;

function isLineNumber({ index, term }: CqlClause): boolean {
  return index === null && !term.quoted && LINE_NUMBER.test(term.text);
}

function interpretLine(clause: CqlClause, { lineNamed }: CqlOptions): Query {
  const name = unescapeQuoted(clause.term.text);
  if (lineNamed !== undefined) {
    const line = lineNamed(name);
    if (line !== null) return { kind: 'line', line };
    const message = `There is no line ${name} to refer to. To search it as a word, put it in quotation marks.`;
    stop(51, clause.term.at, name, 'a line of this strategy', message);
  }
  const match = LINE_NUMBER.exec(name);
  if (match === null) {
    return stop(51, clause.term.at, clause.term.text, 'L and a number', 'A line is named L1, L2 and so on.');
  }
  return { kind: 'line', line: Number(match[1]) };
}
