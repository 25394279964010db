/**
 * The plain form of the Skein Citation Index: `light "night shift*" OR nurses in:title -review`. Side by side means
 * AND, and OR binds more than that. There are no headings, no near, no `?` and no references to lines.
 */
import { SEARCH_FIELDS, type Query, type SearchField } from '../../model.js';
import { printPhrase } from '../../phrase.js';
import type { Abilities } from '../../abilities.js';
import { fourDigits, type Form } from '../../form.js';
import { fieldNamed, isNamed, type DialectKind, type Known } from '../naming.js';
import { type Names } from '../names.js';
import {
  allOf,
  bareWordAt,
  chain,
  Level,
  OPERATOR_WORDS,
  phraseAt,
  quotedWith,
  reading,
  refuseOneLetter,
  unquoted,
  unreadable,
  yearRange,
  type Lexeme,
  type Lexing,
  type Walk,
} from '../reading.js';

const PRECEDENCE = 'OR is read before words side by side are joined';
const abilities: Abilities = {
  fields: SEARCH_FIELDS.filter((field) => field !== 'headings' && field !== 'fulltext'),
  years: true,
  anyEnding: true,
  oneLetter: false,
  inPhrase: { anyEnding: true, oneLetter: false },
  near: null,
  headings: null,
  lines: false,
};
const EVERYTHING = '*';
/** A minus is a sign only before something; within a word it is a hyphen. */
const LEXING: Lexing = { quote: '"', symbols: /[():]|-(?=\S)/y, word: /[^\s"():]+/y };

const NAMES: Names = {
  words: '',
  title: 'title',
  abstract: 'abstract',
  keywords: 'keywords',
  headings: null,
  author: 'author',
  journal: 'journal',
  fulltext: null,
  heading: null,
  year: 'year',
};

export const skeinKind: DialectKind = {
  id: 'skein',
  form: 'plain form',
  precedence: PRECEDENCE,
  names: NAMES,
  abilities,
  formOf,
  read: (text, known) =>
    reading(text, LEXING, 'words, OR or the end', (walk) => readQuery(walk, 'words', known)),
};

const quoted = (text: string) => quotedWith('"', text);
const never = (): never => {
  throw new RangeError('this dialect has neither headings, near nor lines');
};

function formOf(names: Names): Form {
  return {
    words({ field, phrase }) {
      const words = printPhrase(phrase);
      const plain = phrase.length === 1 && !OPERATOR_WORDS.has(words);
      return (field === 'words' ? '' : `in:${names[field]} `) + (plain ? words : quoted(words));
    },
    near: never,
    heading: never,
    line: never,
    years(from, to) {
      const four = (year: number | null) => (year === null ? '' : fourDigits(year));
      return `${names.year}:${quoted(`${four(from)}-${four(to)}`)}`;
    },
    limit(field, values) {
      const each = values.map((value) => `${field}:${quoted(value)}`);
      return each.length === 1 ? each.join('') : `(${each.join(' OR ')})`;
    },
    everything: EVERYTHING,
    operators: { and: ' ', or: ' OR ', not: ' -' },
  };
}

/** @param field where words without a field of their own are looked for */
function readQuery(walk: Walk, field: SearchField, known: Known): Query {
  const level = new Level(walk, PRECEDENCE);
  const either = (): Query =>
    chain('or', readOperand(walk, field, known), () => {
      const { at } = walk.peek();
      if (!walk.tookWord('or')) return null;
      level.meet('or', at);
      return readOperand(walk, field, known);
    });
  const without = (include: Query): Query => {
    walk.leavesOut(walk.peek().at);
    return { kind: 'not', include, exclude: readOperand(walk, field, known) };
  };
  let operands = [walk.took('-') ? without({ kind: 'everything' }) : either()];
  for (;;) {
    const { kind, text, at } = walk.peek();
    if (kind === 'end' || (kind === 'symbol' && text === ')')) break;
    if (kind === 'word' && OPERATOR_WORDS.has(text.toLowerCase())) refuseOperator(walk.peek());
    if (walk.took('-')) {
      level.meet('not', at);
      operands = [without(allOf(operands))];
    } else {
      level.meet('and', at);
      operands.push(either());
    }
  }
  level.close();
  return allOf(operands);
}

/** A string that was written for a database with other operators is refused, not read as if they were words. */
function refuseOperator({ text, at }: Lexeme): never {
  const message = {
    and: 'AND is not written here: words side by side are joined, after OR.',
    not: 'NOT is written here as a minus before the word, without a space.',
    or: 'OR stands between two words, phrases or parentheses.',
  }[text.toLowerCase()];
  return unreadable(at, `${message ?? text} To search it as a word, put it in quotation marks.`);
}

function readOperand(walk: Walk, field: SearchField, known: Known): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readQuery(walk, field, known));
  if (first.kind === 'quoted') {
    walk.next();
    refuseOneLetter(first.text, first.at + 1);
    return { kind: 'words', field, phrase: phraseAt(first.text, first.at + 1) };
  }
  if (first.kind !== 'word') return walk.fail('a word, a phrase in quotes, or a field');
  if (OPERATOR_WORDS.has(first.text.toLowerCase())) refuseOperator(first);
  walk.next();
  const next = walk.peek();
  if (walk.took(':')) return readField(first, walk, known);
  if (next.kind === 'symbol' && next.text === '(' && next.at === first.at + first.text.length) {
    unreadable(next.at, `There is no call “${first.text}(”. Put a space between a word and a parenthesis.`);
  }
  if (first.text === EVERYTHING) return { kind: 'everything' };
  refuseOneLetter(first.text, first.at);
  return { kind: 'words', field, phrase: bareWordAt(first) };
}

function readField(name: Lexeme, walk: Walk, known: Known): Query {
  const called = name.text.toLowerCase();
  if (called === 'in') {
    const { kind, text, at } = walk.next();
    const field = kind === 'word' ? fieldNamed(known, text.toLowerCase()) : undefined;
    if (field === undefined) {
      const names = known.fields.flatMap((each) => known.names[each] || []);
      unreadable(at, `After “in:” stands one of ${names.join(', ')}.`);
    }
    if (walk.peek().text.toLowerCase() === 'in' && walk.peek(1).text === ':') {
      unreadable(walk.peek().at, 'Words are looked for in one field: “in:” stands once before them.');
    }
    return readOperand(walk, field, known);
  }
  if (isNamed(known, 'year', called)) return readYears(walk);
  const limit = known.limitFields.find((each) => each.toLowerCase() === called);
  if (limit === undefined) {
    const { year } = known.names;
    const names = ['in', ...(year === null ? [] : [year]), ...known.limitFields].map((each) => `${each}:`);
    unreadable(name.at, `There is no “${name.text}:”. There are ${names.join(', ')}.`);
  }
  return { kind: 'limit', field: limit, values: [valueNext(walk, 'a value')] };
}

function readYears(walk: Walk): Query {
  const { at } = walk.peek();
  const text = valueNext(walk, 'a year, or a range such as 2005-2026');
  const match = /^(\d{4})?(-)?(\d{4})?$/.exec(text);
  const [, first, range, second] = match ?? [];
  const year = (digits: string | undefined) => (digits === undefined ? null : Number(digits));
  if (first === undefined && second === undefined) {
    unreadable(at, 'A year is written with four digits, a range as 2005-2026, 2005- or "-2026".');
  }
  if (range === undefined && second !== undefined)
    unreadable(at, 'A range of years is written as 2005-2026.');
  return yearRange(at, year(first), range === undefined ? year(first) : year(second));
}

function valueNext(walk: Walk, expected: string): string {
  const { kind, text } = walk.peek();
  if ((kind !== 'quoted' && kind !== 'word') || text.trim() === '') walk.fail(expected);
  walk.next();
  return kind === 'quoted' ? unquoted(text).trim() : text;
}
