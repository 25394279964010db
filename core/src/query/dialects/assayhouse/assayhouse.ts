/**
 * The sign form of Assayhouse Reviews & Trials: `title ~ 'light therap*' & !(subject >= 'Phototherapy')`.
 * `!` binds most, then `&`, then `|`. There is neither near nor `?`; headings are neither central nor with
 * subheadings. Full texts can be searched.
 */
import { SEARCH_FIELDS, type Query, type SearchField } from '../../model.js';
import { printPhrase } from '../../phrase.js';
import type { Abilities } from '../../abilities.js';
import { fourDigits, type Form } from '../../form.js';
import { fieldNamed, isNamed, namesToWrite, type DialectKind, type Known } from '../naming.js';
import { type Names } from '../names.js';
import {
  allOf,
  chain,
  Level,
  lineAt,
  phraseAt,
  quotedWith,
  reading,
  refuseOneLetter,
  unquoted,
  unreadable,
  yearAt,
  yearRange,
  type Lexeme,
  type Lexing,
  type Walk,
} from '../reading.js';

const PRECEDENCE = '! is read first, then &, then |';
const abilities: Abilities = {
  fields: SEARCH_FIELDS,
  years: true,
  anyEnding: true,
  oneLetter: false,
  inPhrase: { anyEnding: true, oneLetter: false },
  near: null,
  headings: { narrower: true, central: false, subheadings: false, anyVocabulary: false },
  lines: true,
};
const LEXING: Lexing = { quote: "'", symbols: /\.\.|>=|<=|[()&|!~=]/y, word: /[^\s'()&|!~=<>.]+/y };

const NAMES: Names = {
  words: 'text',
  title: 'title',
  abstract: 'abstract',
  keywords: 'keywords',
  headings: 'subjectwords',
  author: 'author',
  journal: 'journal',
  fulltext: 'fulltext',
  heading: 'subject',
  year: 'year',
};

export const assayhouseKind: DialectKind = {
  id: 'assayhouse',
  form: 'sign form',
  precedence: PRECEDENCE,
  names: NAMES,
  abilities,
  formOf,
  read: (text, known) => reading(text, LEXING, '&, | or the end', (walk) => readQuery(walk, known)),
};

const quoted = (text: string) => quotedWith("'", text);

function formOf(names: Names): Form {
  return {
    words: ({ field, phrase }) => `${names[field]} ~ ${quoted(printPhrase(phrase))}`,
    near: () => {
      throw new RangeError('there is no near in this dialect');
    },
    heading: ({ label, narrower }) => `${names.heading} ${narrower ? '>=' : '='} ${quoted(label)}`,
    years(from, to) {
      const { year } = names;
      if (from === null) return `${year} <= ${fourDigits(to ?? 0)}`;
      return to === null
        ? `${year} >= ${fourDigits(from)}`
        : `${year} = ${fourDigits(from)}..${fourDigits(to)}`;
    },
    limit(field, values) {
      const each = values.map((value) => `${field} = ${quoted(value)}`);
      return each.length === 1 ? each.join('') : `(${each.join(' | ')})`;
    },
    line: (line) => `line = ${line}`,
    everything: 'all',
    operators: { and: ' & ', or: ' | ', not: ' & !' },
  };
}

function readQuery(walk: Walk, known: Known): Query {
  const level = new Level(walk, PRECEDENCE);
  const took = (sign: string, means: string): boolean => {
    const { at } = walk.peek();
    const taken = walk.took(sign);
    if (taken) level.meet(means, at);
    return taken;
  };
  const without = (include: Query): Query => {
    walk.leavesOut(walk.peek().at);
    return { kind: 'not', include, exclude: readOperand(walk, known) };
  };
  const joined = (): Query => {
    let operands = [took('!', 'not') ? without({ kind: 'everything' }) : readOperand(walk, known)];
    while (took('&', 'and')) {
      if (took('!', 'not')) operands = [without(allOf(operands))];
      else operands.push(readOperand(walk, known));
    }
    return allOf(operands);
  };
  const query = chain('or', joined(), () => (took('|', 'or') ? joined() : null));
  level.close();
  return query;
}

function readOperand(walk: Walk, known: Known): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readQuery(walk, known));
  if (first.kind === 'quoted') {
    walk.next();
    return readWords('words', first);
  }
  if (first.kind !== 'word') return walk.fail("words in single quotes, or a field such as title ~ '…'");
  walk.next();
  return readField(first, walk, known);
}

function readWords(field: SearchField, { text, at }: Lexeme): Query {
  refuseOneLetter(text, at + 1);
  return { kind: 'words', field, phrase: phraseAt(text, at + 1) };
}

function readField(name: Lexeme, walk: Walk, known: Known): Query {
  const called = name.text.toLowerCase();
  const field = fieldNamed(known, called);
  if (field !== undefined) {
    walk.expect('~', `“~” after ${name.text}`);
    return readWords(field, quotedNext(walk, 'words in single quotes'));
  }
  if (called === 'all') return { kind: 'everything' };
  if (isNamed(known, 'heading', called)) {
    if (known.vocabulary === null) unreadable(name.at, 'This database has no headings.');
    const narrower = walk.took('>=');
    if (!narrower) walk.expect('=', `“=” or “>=” after ${name.text}`);
    const label = valueAt(walk, `the name of a ${name.text} in single quotes`);
    const { vocabulary } = known;
    return { kind: 'heading', vocabulary, label, narrower, central: false, subheadings: [] };
  }
  if (isNamed(known, 'year', called)) return readYears(walk);
  if (called === 'line') {
    walk.expect('=', '“=” after line');
    return lineAt(walk.next());
  }
  const limit = known.limitFields.find((each) => each.toLowerCase() === called);
  if (limit === undefined) {
    const names = [...namesToWrite(known), 'line', 'all'];
    unreadable(
      name.at,
      `There is no field “${name.text}”. There are ${names.join(', ')}; words stand in single quotes.`,
    );
  }
  walk.expect('=', `“=” after ${name.text}`);
  return { kind: 'limit', field: limit, values: [valueAt(walk, 'a value in single quotes')] };
}

function readYears(walk: Walk): Query {
  if (walk.took('>=')) return { kind: 'limit', field: 'year', from: yearAt(walk.next()), to: null };
  if (walk.took('<=')) return { kind: 'limit', field: 'year', from: null, to: yearAt(walk.next()) };
  walk.expect('=', '“=”, “>=” or “<=” after year');
  const { at } = walk.peek();
  const from = yearAt(walk.next());
  return yearRange(at, from, walk.took('..') ? yearAt(walk.next()) : from);
}

function quotedNext(walk: Walk, expected: string): Lexeme {
  if (walk.peek().kind !== 'quoted' || walk.peek().text.trim() === '') walk.fail(expected);
  return walk.next();
}

function valueAt(walk: Walk, expected: string): string {
  return unquoted(quotedNext(walk, expected).text).trim();
}
