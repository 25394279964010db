/**
 * The call form of the Corvane Medical Index: `words("night shift*") AND heading("Shift work", narrower)`.
 * NOT binds most, then AND, then OR. It has no ordered near. Words without a field are joined with a heading.
 */
import {
  isYearRange,
  SEARCH_FIELDS,
  type NearQuery,
  type Query,
  type SearchField,
  type WordsQuery,
} from '../../model.js';
import { normaliseQuery } from '../../normalise.js';
import { printPhrase } from '../../phrase.js';
import {
  foreignHeading,
  inWords,
  ORDER_LOST,
  said,
  standingFor,
  type Dialect,
  type DialectContext,
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

export const corvaneDialect: Dialect = {
  id: 'corvane',
  print: (query, context) => print(normaliseQuery(query), context),
  parse: (text, context) =>
    reading(text, () => {
      const walk = new Walk(lexemesOf(text, '"', /\.\.|[(),:]/y, /[^\s"(),:.]+/y));
      const query = readOr(walk, context);
      walk.end('AND, OR, NOT or the end');
      return query;
    }),
};

const HEADING_WORDS = 'headingwords';
const callOf = (field: SearchField) => (field === 'headings' ? HEADING_WORDS : field);
const quoted = (text: string) => quotedWith('"', text);

function print(query: Query, context: DialectContext): Printed {
  switch (query.kind) {
    case 'words':
      return said(`${callOf(query.field)}(${quoted(printPhrase(query.phrase))})`);
    case 'near':
      return printNear(query);
    case 'heading': {
      const options = [
        ...(query.narrower ? ['narrower'] : []),
        ...(query.central ? ['central'] : []),
        ...query.subheadings.map((each) => `subheading: ${quoted(each)}`),
      ];
      const call = said(`heading(${[quoted(query.label), ...options].join(', ')})`);
      return query.vocabulary === context.vocabulary ? call : standingFor(call, foreignHeading(query.label));
    }
    case 'limit':
      if (isYearRange(query)) {
        if (query.from === null && query.to === null) return said('all()');
        const four = (year: number | null) => (year === null ? '' : String(year).padStart(4, '0'));
        return said(`year(${four(query.from)}..${four(query.to)})`);
      }
      if (query.values.length === 0) throw new RangeError(`the limit on ${query.field} has no values`);
      return said(`${query.field}(${query.values.map(quoted).join(', ')})`);
    case 'line':
      return said(`line(${query.line})`);
    case 'everything':
      return said('all()');
    case 'and':
    case 'or':
    case 'not':
      return inWords(query, (each) => print(each, context));
  }
}

function printNear({ parts, distance, ordered }: NearQuery): Printed {
  const written = parts.map((part) =>
    part.field === 'words'
      ? quoted(printPhrase(part.phrase))
      : `${callOf(part.field)}(${quoted(printPhrase(part.phrase))})`,
  );
  const near = said(`near(${[distance, ...written].join(', ')})`);
  return ordered ? standingFor(near, ORDER_LOST) : near;
}

function readOr(walk: Walk, context: DialectContext): Query {
  return chain('or', readAnd(walk, context), () => (walk.tookWord('or') ? readAnd(walk, context) : null));
}

function readAnd(walk: Walk, context: DialectContext): Query {
  return chain('and', readNot(walk, context), () => (walk.tookWord('and') ? readNot(walk, context) : null));
}

function readNot(walk: Walk, context: DialectContext): Query {
  let query = readOperand(walk, context);
  while (walk.tookWord('not')) query = { kind: 'not', include: query, exclude: readOperand(walk, context) };
  return query;
}

function readOperand(walk: Walk, context: DialectContext): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readOr(walk, context));
  if (first.kind === 'quoted') {
    walk.next();
    return bareWords(first.text, first.at + 1, context);
  }
  if (first.kind !== 'word' || OPERATOR_WORDS.has(first.text.toLowerCase())) {
    return walk.fail('a call such as words("…"), or words');
  }
  if (walk.peek(1).kind === 'symbol' && walk.peek(1).text === '(') {
    walk.next();
    walk.next();
    const query = readCall(first, walk, context);
    walk.expect(')', '“)” at the end of the call');
    return query;
  }
  // Side by side they are one phrase, up to the next operator.
  const words: string[] = [];
  while (walk.peek().kind === 'word' && !OPERATOR_WORDS.has(walk.peek().text.toLowerCase())) {
    words.push(walk.next().text);
  }
  return bareWords(words.join(' '), first.at, context);
}

/** The database looks them up as an entry term and, if they are one, joins the heading: helpful, and a trap. */
function bareWords(text: string, at: number, context: DialectContext): Query {
  const words: Query = { kind: 'words', field: 'words', phrase: phraseAt(text, at) };
  const label = context.headingFor?.(unquoted(text)) ?? null;
  if (label === null) return words;
  const heading: Query = {
    kind: 'heading',
    vocabulary: context.vocabulary,
    label,
    narrower: true,
    central: false,
    subheadings: [],
  };
  return { kind: 'or', operands: [words, heading] };
}

function readCall(name: Lexeme, walk: Walk, context: DialectContext): Query {
  const called = name.text.toLowerCase();
  const field = SEARCH_FIELDS.find((each) => callOf(each) === called);
  if (field !== undefined) return readWords(field, walk);
  switch (called) {
    case 'heading':
      return readHeading(walk, context);
    case 'near':
      return readNear(walk);
    case 'year':
      return readYears(walk);
    case 'line':
      return lineAt(walk.next());
    case 'all':
      return { kind: 'everything' };
  }
  const limit = context.limitFields.find((each) => each.toLowerCase() === called);
  if (limit === undefined) {
    const known = [
      ...SEARCH_FIELDS.map(callOf),
      'heading',
      'near',
      'year',
      'line',
      'all',
      ...context.limitFields,
    ];
    unreadable(name.at, `There is no call “${name.text}”. There are ${known.join(', ')}.`);
  }
  const values = [quotedArgument(walk, 'a value in quotes')];
  while (walk.took(',')) values.push(quotedArgument(walk, 'a value in quotes'));
  return { kind: 'limit', field: limit, values };
}

function readWords(field: SearchField, walk: Walk): WordsQuery {
  const argument = walk.peek();
  if (argument.kind !== 'quoted') walk.fail('words in quotes');
  walk.next();
  return { kind: 'words', field, phrase: phraseAt(argument.text, argument.at + 1) };
}

function readHeading(walk: Walk, context: DialectContext): Query {
  const label = quotedArgument(walk, 'the name of a heading in quotes');
  const subheadings: string[] = [];
  const flags = new Set<string>();
  while (walk.took(',')) {
    const { text, kind, at } = walk.next();
    const option = text.toLowerCase();
    if (kind === 'word' && option === 'subheading') {
      walk.expect(':');
      subheadings.push(quotedArgument(walk, 'the name of a subheading in quotes'));
    } else if (kind === 'word' && (option === 'narrower' || option === 'central')) flags.add(option);
    else unreadable(at, `“${text}” is none of narrower, central, subheading: "…".`);
  }
  return {
    kind: 'heading',
    vocabulary: context.vocabulary,
    label,
    narrower: flags.has('narrower'),
    central: flags.has('central'),
    subheadings,
  };
}

function readNear(walk: Walk): NearQuery {
  const distance = distanceAt(walk.next(), 'near begins with');
  const parts: WordsQuery[] = [];
  while (walk.took(',')) {
    if (walk.peek().kind === 'quoted') parts.push(readWords('words', walk));
    else {
      const name = walk.next();
      const field = SEARCH_FIELDS.find((each) => callOf(each) === name.text.toLowerCase());
      if (field === undefined) unreadable(name.at, 'Only words can be near each other.');
      walk.expect('(');
      parts.push(readWords(field, walk));
      walk.expect(')');
    }
  }
  if (parts.length < 2) walk.fail('two or more words that are near each other');
  return { kind: 'near', parts, distance, ordered: false };
}

function readYears(walk: Walk): Query {
  const from = walk.peek().kind === 'word' ? yearAt(walk.next()) : null;
  if (!walk.took('..')) {
    if (from === null) walk.fail('a year, or a range such as 2005..2026');
    return { kind: 'limit', field: 'year', from, to: from };
  }
  const to = walk.peek().kind === 'word' ? yearAt(walk.next()) : null;
  if (from === null && to === null) walk.fail('a year before or after “..”');
  return { kind: 'limit', field: 'year', from, to };
}

function quotedArgument(walk: Walk, expected: string): string {
  const lexeme = walk.peek();
  if (lexeme.kind !== 'quoted' || lexeme.text.trim() === '') walk.fail(expected);
  walk.next();
  return unquoted(lexeme.text).trim();
}
