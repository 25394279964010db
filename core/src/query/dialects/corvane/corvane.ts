/**
 * The call form of the Corvane Medical Index: `words("night shift*") AND heading("Shift work", narrower)`.
 * NOT binds most, then AND, then OR. It has no ordered near. Words without a field are joined with a heading.
 */
import { SEARCH_FIELDS, type NearQuery, type Query, type SearchField, type WordsQuery } from '../../model.js';
import { printPhrase } from '../../phrase.js';
import type { Abilities, Dialect, DialectContext } from '../dialect.js';
import { fourDigits, type Form } from '../form.js';
import { printIn } from '../printing.js';
import {
  bareWordAt,
  distanceAt,
  lineAt,
  OPERATOR_WORDS,
  phraseAt,
  quotedWith,
  reading,
  unquoted,
  unreadable,
  wordOperators,
  yearAt,
  type Lexeme,
  type Lexing,
  type Walk,
} from '../reading.js';

const PRECEDENCE = 'NOT is read first, then AND, then OR';
const FIELDS = SEARCH_FIELDS.filter((field) => field !== 'fulltext');
const abilities: Abilities = {
  fields: FIELDS,
  oneLetter: true,
  inPhrase: { anyEnding: true, oneLetter: true },
  near: { ordered: false, acrossFields: true, phrases: true },
  headings: { central: true, subheadings: true, anyVocabulary: false },
  lines: true,
};
const LEXING: Lexing = { quote: '"', symbols: /\.\.|[(),:]/y, word: /[^\s"(),:.]+/y };

export const corvaneDialect: Dialect = {
  id: 'corvane',
  form: 'call form',
  precedence: PRECEDENCE,
  abilities,
  print: (query, context) => printIn(form, abilities, query, context),
  parse: (text, context) =>
    reading(text, LEXING, 'AND, OR, NOT or the end', (walk) => readQuery(walk, context)),
};

const HEADING_WORDS = 'headingwords';
const callOf = (field: SearchField) => (field === 'headings' ? HEADING_WORDS : field);
const quoted = (text: string) => quotedWith('"', text);
const wordsCall = ({ field, phrase }: WordsQuery) => `${callOf(field)}(${quoted(printPhrase(phrase))})`;

const form: Form = {
  words: wordsCall,
  near({ parts, distance }) {
    const written = parts.map((part) =>
      part.field === 'words' ? quoted(printPhrase(part.phrase)) : wordsCall(part),
    );
    return `near(${[distance, ...written].join(', ')})`;
  },
  heading({ label, narrower, central, subheadings }) {
    const options = [
      ...(narrower ? ['narrower'] : []),
      ...(central ? ['central'] : []),
      ...subheadings.map((each) => `subheading: ${quoted(each)}`),
    ];
    return `heading(${[quoted(label), ...options].join(', ')})`;
  },
  years(from, to) {
    const four = (year: number | null) => (year === null ? '' : fourDigits(year));
    return `year(${four(from)}..${four(to)})`;
  },
  limit: (field, values) => `${field}(${values.map(quoted).join(', ')})`,
  line: (line) => `line(${line})`,
  everything: 'all()',
  operators: { and: ' AND ', or: ' OR ', not: ' NOT ' },
};

function readQuery(walk: Walk, context: DialectContext): Query {
  return wordOperators(walk, { precedence: PRECEDENCE, notTakesFrom: 'operand' }, () =>
    readOperand(walk, context),
  );
}

function readOperand(walk: Walk, context: DialectContext): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readQuery(walk, context));
  if (first.kind === 'quoted') {
    walk.next();
    return bareWords({ ...first, at: first.at + 1 }, walk, context);
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
  walk.next();
  const next = walk.peek();
  if (next.kind === 'word' && !OPERATOR_WORDS.has(next.text.toLowerCase())) {
    unreadable(
      next.at,
      `Words side by side are not joined here. For a phrase put quotation marks around “${first.text} ${next.text}”; for both words write AND.`,
    );
  }
  bareWordAt(first);
  return bareWords(first, walk, context);
}

/** The database looks them up as an entry term and, if they are one, joins the heading: helpful, and a trap. */
function bareWords({ text, at }: Pick<Lexeme, 'text' | 'at'>, walk: Walk, context: DialectContext): Query {
  const words: Query = { kind: 'words', field: 'words', phrase: phraseAt(text, at) };
  const label = context.headingFor?.(unquoted(text)) ?? null;
  if (label === null || context.vocabulary === null) return words;
  walk.cautions.push({
    at,
    message: `The database joins the heading “${label}” to these words, since they have no field. To search the words alone, write words(${quoted(text)}).`,
  });
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
  const field = FIELDS.find((each) => callOf(each) === called);
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
    const known = [...FIELDS.map(callOf), 'heading', 'near', 'year', 'line', 'all', ...context.limitFields];
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

function readHeading(walk: Walk, { vocabulary }: DialectContext): Query {
  const first = walk.peek();
  const label = quotedArgument(walk, 'the name of a heading in quotes');
  if (vocabulary === null) unreadable(first.at, 'This database has no headings.');
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
    vocabulary,
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
      const field = FIELDS.find((each) => callOf(each) === name.text.toLowerCase());
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
