/**
 * The call form of the Corvane Medical Index: `words("night shift*") AND heading("Shift work", narrower)`.
 * NOT binds most, then AND, then OR. It has no ordered near. Words without a field are joined with a heading.
 */
import { SEARCH_FIELDS, type NearQuery, type Query, type SearchField, type WordsQuery } from '../../model.js';
import { printPhrase } from '../../phrase.js';
import type { Abilities } from '../../abilities.js';
import { fourDigits, type Form } from '../../form.js';
import { fieldNamed, isNamed, namesToWrite, type DialectKind, type Known } from '../naming.js';
import { type Names } from '../names.js';
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
  yearRange,
  type Lexeme,
  type Lexing,
  type Walk,
} from '../reading.js';

const PRECEDENCE = 'NOT is read first, then AND, then OR';
const abilities: Abilities = {
  fields: SEARCH_FIELDS.filter((field) => field !== 'fulltext'),
  years: true,
  anyEnding: true,
  oneLetter: true,
  inPhrase: { anyEnding: true, oneLetter: true },
  near: { ordered: false, acrossFields: true, phrases: true },
  headings: { narrower: true, central: true, subheadings: true, anyVocabulary: false },
  lines: true,
};
const LEXING: Lexing = { quote: '"', symbols: /\.\.|[(),:]/y, word: /[^\s"(),:.]+/y };

const NAMES: Names = {
  words: 'words',
  title: 'title',
  abstract: 'abstract',
  keywords: 'keywords',
  headings: 'headingwords',
  author: 'author',
  journal: 'journal',
  fulltext: null,
  heading: 'heading',
  year: 'year',
};

export const corvaneKind: DialectKind = {
  id: 'corvane',
  form: 'call form',
  precedence: PRECEDENCE,
  names: NAMES,
  abilities,
  formOf,
  read: (text, known) => reading(text, LEXING, 'AND, OR, NOT or the end', (walk) => readQuery(walk, known)),
};

const quoted = (text: string) => quotedWith('"', text);

function formOf(names: Names): Form {
  const wordsCall = ({ field, phrase }: WordsQuery) => `${names[field]}(${quoted(printPhrase(phrase))})`;
  return {
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
      return `${names.heading}(${[quoted(label), ...options].join(', ')})`;
    },
    years(from, to) {
      const four = (year: number | null) => (year === null ? '' : fourDigits(year));
      return `${names.year}(${four(from)}..${four(to)})`;
    },
    limit: (field, values) => `${field}(${values.map(quoted).join(', ')})`,
    line: (line) => `line(${line})`,
    everything: 'all()',
    operators: { and: ' AND ', or: ' OR ', not: ' NOT ' },
  };
}

function readQuery(walk: Walk, known: Known): Query {
  return wordOperators(walk, { precedence: PRECEDENCE, notTakesFrom: 'operand' }, () =>
    readOperand(walk, known),
  );
}

function readOperand(walk: Walk, known: Known): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readQuery(walk, known));
  if (first.kind === 'quoted') {
    walk.next();
    return bareWords({ ...first, at: first.at + 1 }, walk, known);
  }
  if (first.kind !== 'word' || OPERATOR_WORDS.has(first.text.toLowerCase())) {
    return walk.fail('a call such as words("…"), or words');
  }
  if (walk.peek(1).kind === 'symbol' && walk.peek(1).text === '(') {
    walk.next();
    walk.next();
    const query = readCall(first, walk, known);
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
  return bareWords(first, walk, known);
}

/** The database looks them up as an entry term and, if they are one, joins the heading: helpful, and a trap. */
function bareWords({ text, at }: Pick<Lexeme, 'text' | 'at'>, walk: Walk, known: Known): Query {
  const words: Query = { kind: 'words', field: 'words', phrase: phraseAt(text, at) };
  const label = known.headingFor?.(unquoted(text)) ?? null;
  if (label === null || known.vocabulary === null) return words;
  walk.cautions.push({
    at,
    message: `The database joins the heading “${label}” to these words, since they have no field. To search the words alone, write ${known.names.words}(${quoted(text)}).`,
  });
  const heading: Query = {
    kind: 'heading',
    vocabulary: known.vocabulary,
    label,
    narrower: true,
    central: false,
    subheadings: [],
  };
  return { kind: 'or', operands: [words, heading] };
}

function readCall(name: Lexeme, walk: Walk, known: Known): Query {
  const called = name.text.toLowerCase();
  const field = fieldNamed(known, called);
  if (field !== undefined) return readWords(field, walk);
  if (isNamed(known, 'heading', called)) return readHeading(walk, known);
  if (isNamed(known, 'year', called)) return readYears(walk);
  switch (called) {
    case 'near':
      return readNear(walk, known);
    case 'line':
      return lineAt(walk.next());
    case 'all':
      return { kind: 'everything' };
  }
  const limit = known.limitFields.find((each) => each.toLowerCase() === called);
  if (limit === undefined) {
    const names = [...namesToWrite(known), 'near', 'line', 'all'];
    unreadable(name.at, `There is no call “${name.text}”. There are ${names.join(', ')}.`);
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

function readHeading(walk: Walk, { vocabulary }: Known): Query {
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

function readNear(walk: Walk, known: Known): NearQuery {
  const distance = distanceAt(walk.next(), 'near begins with');
  const parts: WordsQuery[] = [];
  while (walk.took(',')) {
    if (walk.peek().kind === 'quoted') parts.push(readWords('words', walk));
    else {
      const name = walk.next();
      const field = fieldNamed(known, name.text.toLowerCase());
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
  const { at } = walk.peek();
  const from = walk.peek().kind === 'word' ? yearAt(walk.next()) : null;
  if (!walk.took('..')) {
    if (from === null) walk.fail('a year, or a range such as 2005..2026');
    return { kind: 'limit', field: 'year', from, to: from };
  }
  const to = walk.peek().kind === 'word' ? yearAt(walk.next()) : null;
  if (from === null && to === null) walk.fail('a year before or after “..”');
  return yearRange(at, from, to);
}

function quotedArgument(walk: Walk, expected: string): string {
  const lexeme = walk.peek();
  if (lexeme.kind !== 'quoted' || lexeme.text.trim() === '') walk.fail(expected);
  walk.next();
  return unquoted(lexeme.text).trim();
}
