/**
 * The colon form of the Mindry Behavioural Abstracts: `title:"night shift" AND (sleep* OR descriptor.below:"…")`.
 * AND binds more than OR, NOT binds to what follows. Within a phrase there is neither `*` nor `?`; near is unordered
 * and of single words; headings are neither central nor with subheadings.
 */
import {
  isYearRange,
  SEARCH_FIELDS,
  type NearQuery,
  type Query,
  type SearchField,
  type WordPattern,
  type WordsQuery,
} from '../../model.js';
import { normaliseQuery } from '../../normalise.js';
import { printPhrase } from '../../phrase.js';
import {
  foreignHeading,
  inWords,
  joined,
  ORDER_LOST,
  said,
  standingFor,
  together,
  type Dialect,
  type DialectContext,
  type Loss,
  type Printed,
} from '../dialect.js';
import {
  chain,
  distanceAt,
  lexemesOf,
  lineAt,
  OPERATOR_WORDS,
  phraseAt,
  quotedWith,
  reading,
  unquoted,
  unreadable,
  Walk,
  yearAt,
  type Lexeme,
} from '../reading.js';

export const mindryDialect: Dialect = {
  id: 'mindry',
  print: (query, context) => print(normaliseQuery(query), context),
  parse: (text, context) =>
    reading(text, () => {
      const walk = new Walk(lexemesOf(text, '"', /\*:\*|[()[\]:~]/y, /[^\s"()[\]:~]+/y));
      const query = readOr(walk, context);
      walk.end('AND, OR, NOT or the end');
      return query;
    }),
};

const DESCRIPTOR_WORDS = 'descriptorwords';
const EVERYTHING = '*:*';
const prefixOf = (field: SearchField) =>
  field === 'words' ? '' : `${field === 'headings' ? DESCRIPTOR_WORDS : field}:`;
const quoted = (text: string) => quotedWith('"', text);
type Lost = Omit<Loss, 'from' | 'to'>;

function print(query: Query, context: DialectContext): Printed {
  switch (query.kind) {
    case 'words':
      return printWords(query, context);
    case 'near':
      return printNear(query, context);
    case 'heading': {
      const written = said(`descriptor${query.narrower ? '.below' : ''}:${quoted(query.label)}`);
      const losses: Lost[] = [];
      if (query.central) {
        losses.push({ lost: 'central', instead: 'the heading, central or not', effect: 'widens' });
      }
      if (query.subheadings.length > 0) {
        const lost = `the subheading ${query.subheadings.join(' or ')}`;
        losses.push({ lost, instead: 'the heading with any subheading or none', effect: 'widens' });
      }
      if (query.vocabulary !== context.vocabulary) {
        losses.push(foreignHeading(query.label));
      }
      return standingFor(written, ...losses);
    }
    case 'limit': {
      if (isYearRange(query)) {
        if (query.from === null && query.to === null) return said(EVERYTHING);
        const four = (year: number | null) => (year === null ? '*' : String(year).padStart(4, '0'));
        return said(`year:[${four(query.from)} TO ${four(query.to)}]`);
      }
      const values = query.values.map((value) => said(`${query.field}:${quoted(value)}`));
      if (values.length === 0) throw new RangeError(`the limit on ${query.field} has no values`);
      return values.length === 1 ? joined(values, '') : together('(', joined(values, ' OR '), ')');
    }
    case 'line':
      return said(`line:${query.line}`);
    case 'everything':
      return said(EVERYTHING);
    case 'and':
    case 'or':
    case 'not':
      return inWords(query, (each) => print(each, context));
  }
}

const isMasked = ({ text, anyEnding }: WordPattern) => anyEnding || text.includes('?');

function printWords({ field, phrase }: WordsQuery, context: DialectContext): Printed {
  const [only] = phrase;
  if (phrase.length === 1 && only !== undefined) {
    // A word that is an operator elsewhere stands in quotes.
    const word = printPhrase([only]);
    return said(prefixOf(field) + (OPERATOR_WORDS.has(word) ? quoted(word) : word));
  }
  if (!phrase.some(isMasked)) return said(prefixOf(field) + quoted(printPhrase(phrase)));
  const lost = `the pattern within the phrase “${printPhrase(phrase)}”`;
  const spelled = spelledOut(phrase, field, context);
  if (spelled !== null) {
    const phrases = spelled.map((words) =>
      said(prefixOf(field) + (words.length === 1 ? words.join('') : quoted(words.join(' ')))),
    );
    return standingFor(together('(', joined(phrases, ' OR '), ')'), {
      lost,
      instead: `${phrases.length} phrases of words that the index holds`,
      effect: 'same',
    });
  }
  const words = phrase.map((pattern) => said(prefixOf(field) + printPhrase([pattern])));
  return standingFor(together('(', joined(words, ' AND '), ')'), {
    lost,
    instead: 'its words anywhere in the record',
    effect: 'widens',
  });
}

/** More phrases than this are no longer a string that people read. */
const MOST_PHRASES = 60;

/** Every phrase of words that the index holds; null where they are not known, none, or too many. */
function spelledOut(
  phrase: readonly WordPattern[],
  field: SearchField,
  context: DialectContext,
): string[][] | null {
  let phrases: string[][] = [[]];
  for (const pattern of phrase) {
    const words = isMasked(pattern) ? context.wordsMatching?.(pattern, field) : [pattern.text];
    if (words == null || words.length === 0 || phrases.length * words.length > MOST_PHRASES) return null;
    phrases = phrases.flatMap((begun) => words.map((word) => [...begun, word]));
  }
  return phrases;
}

function printNear({ parts, distance, ordered }: NearQuery, context: DialectContext): Printed {
  const [first] = parts;
  const plain = parts.every(
    ({ phrase: [word, ...more], field }) =>
      word !== undefined && more.length === 0 && !isMasked(word) && field === first?.field,
  );
  if (first === undefined || !plain) {
    const words = parts.map((part) => printWords(part, context));
    return standingFor(together('(', joined(words, ' AND '), ')'), {
      lost: `within ${distance} words of each other`,
      instead: 'all of them anywhere in the record',
      effect: 'widens',
    });
  }
  const words = parts.map(({ phrase }) => printPhrase(phrase)).join(' ');
  const near = said(`${prefixOf(first.field)}${quoted(words)}~${distance}`);
  return ordered ? standingFor(near, ORDER_LOST) : near;
}

function readOr(walk: Walk, context: DialectContext): Query {
  return chain('or', readAnd(walk, context), () => (walk.tookWord('or') ? readAnd(walk, context) : null));
}

/** AND and NOT from left to right; NOT takes away what follows from all before it. */
function readAnd(walk: Walk, context: DialectContext): Query {
  let query: Query;
  if (walk.tookWord('not')) {
    query = { kind: 'not', include: { kind: 'everything' }, exclude: readOperand(walk, context) };
  } else query = readOperand(walk, context);
  for (;;) {
    if (walk.tookWord('and')) {
      if (walk.tookWord('not')) query = without(query, readOperand(walk, context));
      else query = { kind: 'and', operands: [query, readOperand(walk, context)] };
    } else if (walk.tookWord('not')) query = without(query, readOperand(walk, context));
    else return query;
  }
}

function without(include: Query, exclude: Query): Query {
  return { kind: 'not', include, exclude };
}

function readOperand(walk: Walk, context: DialectContext): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readOr(walk, context));
  if (walk.took(EVERYTHING)) return { kind: 'everything' };
  if (first.kind === 'quoted') return readPhrase('words', walk);
  if (first.kind !== 'word' || OPERATOR_WORDS.has(first.text.toLowerCase())) {
    return walk.fail('a word, a phrase in quotes, or a field');
  }
  if (walk.peek(1).kind === 'symbol' && walk.peek(1).text === ':') {
    walk.next();
    walk.next();
    return readField(first, walk, context);
  }
  return readWord('words', walk);
}

function readField(name: Lexeme, walk: Walk, context: DialectContext): Query {
  const called = name.text.toLowerCase();
  const field = SEARCH_FIELDS.find((each) => prefixOf(each) === `${called}:`);
  if (field !== undefined) {
    return walk.peek().kind === 'quoted' ? readPhrase(field, walk) : readWord(field, walk);
  }
  switch (called) {
    case 'descriptor':
    case 'descriptor.below':
      return {
        kind: 'heading',
        vocabulary: context.vocabulary,
        label: valueAt(walk, 'the name of a descriptor'),
        narrower: called === 'descriptor.below',
        central: false,
        subheadings: [],
      };
    case 'year':
      return readYears(walk);
    case 'line':
      return lineAt(walk.next());
  }
  const limit = context.limitFields.find((each) => each.toLowerCase() === called);
  if (limit === undefined) {
    const fields = SEARCH_FIELDS.map((each) => prefixOf(each).slice(0, -1)).filter((each) => each !== '');
    const known = [...fields, 'descriptor', 'descriptor.below', 'year', 'line', ...context.limitFields];
    unreadable(name.at, `There is no field “${name.text}”. There are ${known.join(', ')}.`);
  }
  return { kind: 'limit', field: limit, values: [valueAt(walk, 'a value')] };
}

function readWord(field: SearchField, walk: Walk): Query {
  const { kind, text, at } = walk.peek();
  if (kind !== 'word') walk.fail('a word or a phrase in quotes');
  walk.next();
  return { kind: 'words', field, phrase: phraseAt(text, at) };
}

function readPhrase(field: SearchField, walk: Walk): Query {
  const { text, at } = walk.next();
  const masked = /[*?]/.exec(text);
  if (masked !== null) {
    unreadable(
      at + 1 + masked.index,
      `Within a phrase ${masked[0]} has no meaning here: spell the words out.`,
    );
  }
  const phrase = phraseAt(text, at + 1);
  if (!walk.took('~')) return { kind: 'words', field, phrase };
  const distance = distanceAt(walk.next(), 'After ~ stands');
  if (phrase.length < 2) unreadable(at, 'One word cannot be near itself.');
  const parts = phrase.map((pattern): WordsQuery => ({ kind: 'words', field, phrase: [pattern] }));
  return { kind: 'near', parts, distance, ordered: false };
}

function readYears(walk: Walk): Query {
  if (!walk.took('[')) {
    const year = yearAt(walk.next());
    return { kind: 'limit', field: 'year', from: year, to: year };
  }
  const bound = () => (walk.tookWord('*') ? null : yearAt(walk.next()));
  const from = bound();
  if (!walk.tookWord('to')) walk.fail('TO');
  const to = bound();
  walk.expect(']');
  return { kind: 'limit', field: 'year', from, to };
}

function valueAt(walk: Walk, expected: string): string {
  const { kind, text } = walk.peek();
  if ((kind !== 'quoted' && kind !== 'word') || text.trim() === '') walk.fail(expected);
  walk.next();
  return kind === 'quoted' ? unquoted(text).trim() : text;
}
