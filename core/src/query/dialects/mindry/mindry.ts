/**
 * The colon form of the Mindry Behavioural Abstracts: `title:"night shift" AND (sleep* OR descriptor.below:"…")`.
 * AND binds more than OR, NOT binds to what follows. Within a phrase there is neither `*` nor `?`; near is unordered
 * and of single words; headings are neither central nor with subheadings.
 */
import { SEARCH_FIELDS, type Query, type SearchField, type WordsQuery } from '../../model.js';
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

const PRECEDENCE = 'AND and NOT are read before OR';
const FIELDS = SEARCH_FIELDS.filter((field) => field !== 'fulltext');
const abilities: Abilities = {
  fields: FIELDS,
  oneLetter: true,
  inPhrase: { anyEnding: false, oneLetter: false },
  near: { ordered: false, acrossFields: false, phrases: false },
  headings: { central: false, subheadings: false, anyVocabulary: false },
  lines: true,
};
const LEXING: Lexing = { quote: '"', symbols: /\*:\*|[()[\]:~]/y, word: /[^\s"()[\]:~]+/y };

export const mindryDialect: Dialect = {
  id: 'mindry',
  form: 'colon form',
  precedence: PRECEDENCE,
  abilities,
  print: (query, context) => printIn(form, abilities, query, context),
  parse: (text, context) =>
    reading(text, LEXING, 'AND, OR, NOT or the end', (walk) => readQuery(walk, context)),
};

const DESCRIPTOR_WORDS = 'descriptorwords';
const EVERYTHING = '*:*';
const prefixOf = (field: SearchField) =>
  field === 'words' ? '' : `${field === 'headings' ? DESCRIPTOR_WORDS : field}:`;
const quoted = (text: string) => quotedWith('"', text);

const form: Form = {
  words({ field, phrase }) {
    const words = printPhrase(phrase);
    // A word that is an operator elsewhere stands in quotes.
    const plain = phrase.length === 1 && !OPERATOR_WORDS.has(words);
    return prefixOf(field) + (plain ? words : quoted(words));
  },
  near({ parts, distance }) {
    const words = parts.map(({ phrase }) => printPhrase(phrase)).join(' ');
    return `${prefixOf(parts[0]?.field ?? 'words')}${quoted(words)}~${distance}`;
  },
  heading: ({ label, narrower }) => `descriptor${narrower ? '.below' : ''}:${quoted(label)}`,
  years(from, to) {
    const four = (year: number | null) => (year === null ? '*' : fourDigits(year));
    return `year:[${four(from)} TO ${four(to)}]`;
  },
  limit(field, values) {
    const each = values.map((value) => `${field}:${quoted(value)}`);
    return each.length === 1 ? each.join('') : `(${each.join(' OR ')})`;
  },
  line: (line) => `line:${line}`,
  everything: EVERYTHING,
  operators: { and: ' AND ', or: ' OR ', not: ' NOT ' },
};

function readQuery(walk: Walk, context: DialectContext): Query {
  return wordOperators(walk, { precedence: PRECEDENCE, notTakesFrom: 'all before' }, () =>
    readOperand(walk, context),
  );
}

function readOperand(walk: Walk, context: DialectContext): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readQuery(walk, context));
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
  const field = FIELDS.find((each) => prefixOf(each) === `${called}:`);
  if (field !== undefined) {
    return walk.peek().kind === 'quoted' ? readPhrase(field, walk) : readWord(field, walk);
  }
  switch (called) {
    case 'descriptor':
    case 'descriptor.below':
      if (context.vocabulary === null) unreadable(name.at, 'This database has no headings.');
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
    const fields = FIELDS.map((each) => prefixOf(each).slice(0, -1)).filter((each) => each !== '');
    const known = [...fields, 'descriptor', 'descriptor.below', 'year', 'line', ...context.limitFields];
    unreadable(name.at, `There is no field “${name.text}”. There are ${known.join(', ')}.`);
  }
  return { kind: 'limit', field: limit, values: [valueAt(walk, 'a value')] };
}

function readWord(field: SearchField, walk: Walk): Query {
  const word = walk.peek();
  if (word.kind !== 'word') walk.fail('a word or a phrase in quotes');
  walk.next();
  return { kind: 'words', field, phrase: bareWordAt(word) };
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
