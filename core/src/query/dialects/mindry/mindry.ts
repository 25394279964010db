/**
 * The colon form of the Mindry Behavioural Abstracts: `title:"night shift" AND (sleep* OR descriptor.below:"…")`.
 * AND binds more than OR, NOT binds to what follows. Within a phrase there is neither `*` nor `?`; near is unordered
 * and of single words; headings are neither central nor with subheadings.
 */
import { SEARCH_FIELDS, type Query, type SearchField, type WordsQuery } from '../../model.js';
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

const PRECEDENCE = 'AND and NOT are read before OR';
const abilities: Abilities = {
  fields: SEARCH_FIELDS.filter((field) => field !== 'fulltext'),
  years: true,
  anyEnding: true,
  oneLetter: true,
  inPhrase: { anyEnding: false, oneLetter: false },
  near: { ordered: false, acrossFields: false, phrases: false },
  headings: { narrower: true, central: false, subheadings: false, anyVocabulary: false },
  lines: true,
};
const LEXING: Lexing = { quote: '"', symbols: /\*:\*|[()[\]:~]/y, word: /[^\s"()[\]:~]+/y };

const NAMES: Names = {
  words: '',
  title: 'title',
  abstract: 'abstract',
  keywords: 'keywords',
  headings: 'descriptorwords',
  author: 'author',
  journal: 'journal',
  fulltext: null,
  heading: 'descriptor',
  year: 'year',
};
const BELOW = '.below';

export const mindryKind: DialectKind = {
  id: 'mindry',
  form: 'colon form',
  precedence: PRECEDENCE,
  names: NAMES,
  abilities,
  formOf,
  read: (text, known) => reading(text, LEXING, 'AND, OR, NOT or the end', (walk) => readQuery(walk, known)),
};

const EVERYTHING = '*:*';
const quoted = (text: string) => quotedWith('"', text);

function formOf(names: Names): Form {
  const prefixOf = (field: SearchField) => (field === 'words' ? '' : `${names[field]}:`);
  return {
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
    heading: ({ label, narrower }) => `${names.heading}${narrower ? BELOW : ''}:${quoted(label)}`,
    years(from, to) {
      const four = (year: number | null) => (year === null ? '*' : fourDigits(year));
      return `${names.year}:[${four(from)} TO ${four(to)}]`;
    },
    limit(field, values) {
      const each = values.map((value) => `${field}:${quoted(value)}`);
      return each.length === 1 ? each.join('') : `(${each.join(' OR ')})`;
    },
    line: (line) => `line:${line}`,
    everything: EVERYTHING,
    operators: { and: ' AND ', or: ' OR ', not: ' NOT ' },
  };
}

function readQuery(walk: Walk, known: Known): Query {
  return wordOperators(walk, { precedence: PRECEDENCE, notTakesFrom: 'all before' }, () =>
    readOperand(walk, known),
  );
}

function readOperand(walk: Walk, known: Known): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readQuery(walk, known));
  if (walk.took(EVERYTHING)) return { kind: 'everything' };
  if (first.kind === 'quoted') return readPhrase('words', walk);
  if (first.kind !== 'word' || OPERATOR_WORDS.has(first.text.toLowerCase())) {
    return walk.fail('a word, a phrase in quotes, or a field');
  }
  if (walk.peek(1).kind === 'symbol' && walk.peek(1).text === ':') {
    walk.next();
    walk.next();
    return readField(first, walk, known);
  }
  return readWord('words', walk);
}

function readField(name: Lexeme, walk: Walk, known: Known): Query {
  const called = name.text.toLowerCase();
  const field = fieldNamed(known, called);
  if (field !== undefined) {
    return walk.peek().kind === 'quoted' ? readPhrase(field, walk) : readWord(field, walk);
  }
  const narrower = called.endsWith(BELOW);
  if (isNamed(known, 'heading', narrower ? called.slice(0, -BELOW.length) : called)) {
    if (known.vocabulary === null) unreadable(name.at, 'This database has no headings.');
    const label = valueAt(walk, `the name of a ${known.names.heading}`);
    const { vocabulary } = known;
    return { kind: 'heading', vocabulary, label, narrower, central: false, subheadings: [] };
  }
  if (isNamed(known, 'year', called)) return readYears(walk);
  if (called === 'line') return lineAt(walk.next());
  const limit = known.limitFields.find((each) => each.toLowerCase() === called);
  if (limit === undefined) {
    const below = known.names.heading === null ? [] : [known.names.heading + BELOW];
    const names = [...namesToWrite(known), ...below, 'line'];
    unreadable(name.at, `There is no field “${name.text}”. There are ${names.join(', ')}.`);
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
  const { at } = walk.peek();
  const bound = () => (walk.tookWord('*') ? null : yearAt(walk.next()));
  const from = bound();
  if (!walk.tookWord('to')) walk.fail('TO');
  const to = bound();
  walk.expect(']');
  return yearRange(at, from, to);
}

function valueAt(walk: Walk, expected: string): string {
  const { kind, text } = walk.peek();
  if ((kind !== 'quoted' && kind !== 'word') || text.trim() === '') walk.fail(expected);
  walk.next();
  return kind === 'quoted' ? unquoted(text).trim() : text;
}
