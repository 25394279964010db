/**
 * The sign form of Assayhouse Reviews & Trials: `title ~ 'light therap*' & !(subject >= 'Phototherapy')`.
 * `!` binds most, then `&`, then `|`. There is neither near nor `?`; headings are neither central nor with
 * subheadings. Full texts can be searched.
 */
import { SEARCH_FIELDS, type Query, type SearchField } from '../../model.js';
import { printPhrase } from '../../phrase.js';
import type { Abilities, Dialect, DialectContext } from '../dialect.js';
import { fourDigits, type Form } from '../form.js';
import { printIn } from '../printing.js';
import {
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
  type Lexeme,
  type Lexing,
  type Walk,
} from '../reading.js';

const PRECEDENCE = '! is read first, then &, then |';
const abilities: Abilities = {
  fields: SEARCH_FIELDS,
  oneLetter: false,
  inPhrase: { anyEnding: true, oneLetter: false },
  near: null,
  headings: { central: false, subheadings: false, anyVocabulary: false },
  lines: true,
};
const LEXING: Lexing = { quote: "'", symbols: /\.\.|>=|<=|[()&|!~=]/y, word: /[^\s'()&|!~=<>.]+/y };

export const assayhouseDialect: Dialect = {
  id: 'assayhouse',
  form: 'sign form',
  precedence: PRECEDENCE,
  abilities,
  print: (query, context) => printIn(form, abilities, query, context),
  parse: (text, context) => reading(text, LEXING, '&, | or the end', (walk) => readQuery(walk, context)),
};

const nameOf = (field: SearchField) =>
  field === 'words' ? 'text' : field === 'headings' ? 'subjectwords' : field;
const quoted = (text: string) => quotedWith("'", text);

const form: Form = {
  words: ({ field, phrase }) => `${nameOf(field)} ~ ${quoted(printPhrase(phrase))}`,
  near: () => {
    throw new RangeError('there is no near in this dialect');
  },
  heading: ({ label, narrower }) => `subject ${narrower ? '>=' : '='} ${quoted(label)}`,
  years(from, to) {
    if (from === null) return `year <= ${fourDigits(to ?? 0)}`;
    return to === null ? `year >= ${fourDigits(from)}` : `year = ${fourDigits(from)}..${fourDigits(to)}`;
  },
  limit(field, values) {
    const each = values.map((value) => `${field} = ${quoted(value)}`);
    return each.length === 1 ? each.join('') : `(${each.join(' | ')})`;
  },
  line: (line) => `line = ${line}`,
  everything: 'all',
  operators: { and: ' & ', or: ' | ', not: ' & !' },
};

function readQuery(walk: Walk, context: DialectContext): Query {
  const level = new Level(walk, PRECEDENCE);
  const took = (sign: string, means: string): boolean => {
    const { at } = walk.peek();
    const taken = walk.took(sign);
    if (taken) level.meet(means, at);
    return taken;
  };
  const without = (include: Query): Query => ({ kind: 'not', include, exclude: readOperand(walk, context) });
  const joined = (): Query => {
    let query = took('!', 'not') ? without({ kind: 'everything' }) : readOperand(walk, context);
    while (took('&', 'and')) {
      query = took('!', 'not')
        ? without(query)
        : { kind: 'and', operands: [query, readOperand(walk, context)] };
    }
    return query;
  };
  const query = chain('or', joined(), () => (took('|', 'or') ? joined() : null));
  level.close();
  return query;
}

function readOperand(walk: Walk, context: DialectContext): Query {
  const first = walk.peek();
  if (walk.took('(')) return walk.inParentheses(first, () => readQuery(walk, context));
  if (first.kind === 'quoted') {
    walk.next();
    return readWords('words', first);
  }
  if (first.kind !== 'word') return walk.fail("words in single quotes, or a field such as title ~ '…'");
  walk.next();
  return readField(first, walk, context);
}

function readWords(field: SearchField, { text, at }: Lexeme): Query {
  refuseOneLetter(text, at + 1);
  return { kind: 'words', field, phrase: phraseAt(text, at + 1) };
}

function readField(name: Lexeme, walk: Walk, context: DialectContext): Query {
  const called = name.text.toLowerCase();
  const field = SEARCH_FIELDS.find((each) => nameOf(each) === called);
  if (field !== undefined) {
    walk.expect('~', `“~” after ${name.text}`);
    return readWords(field, quotedNext(walk, 'words in single quotes'));
  }
  switch (called) {
    case 'all':
      return { kind: 'everything' };
    case 'subject': {
      if (context.vocabulary === null) unreadable(name.at, 'This database has no headings.');
      const narrower = walk.took('>=');
      if (!narrower) walk.expect('=', '“=” or “>=” after subject');
      const label = valueAt(walk, 'the name of a subject in single quotes');
      const { vocabulary } = context;
      return { kind: 'heading', vocabulary, label, narrower, central: false, subheadings: [] };
    }
    case 'year':
      return readYears(walk);
    case 'line':
      walk.expect('=', '“=” after line');
      return lineAt(walk.next());
  }
  const limit = context.limitFields.find((each) => each.toLowerCase() === called);
  if (limit === undefined) {
    const known = [...SEARCH_FIELDS.map(nameOf), 'subject', 'year', 'line', 'all', ...context.limitFields];
    unreadable(
      name.at,
      `There is no field “${name.text}”. There are ${known.join(', ')}; words stand in single quotes.`,
    );
  }
  walk.expect('=', `“=” after ${name.text}`);
  return { kind: 'limit', field: limit, values: [valueAt(walk, 'a value in single quotes')] };
}

function readYears(walk: Walk): Query {
  if (walk.took('>=')) return { kind: 'limit', field: 'year', from: yearAt(walk.next()), to: null };
  if (walk.took('<=')) return { kind: 'limit', field: 'year', from: null, to: yearAt(walk.next()) };
  walk.expect('=', '“=”, “>=” or “<=” after year');
  const from = yearAt(walk.next());
  return { kind: 'limit', field: 'year', from, to: walk.took('..') ? yearAt(walk.next()) : from };
}

function quotedNext(walk: Walk, expected: string): Lexeme {
  if (walk.peek().kind !== 'quoted' || walk.peek().text.trim() === '') walk.fail(expected);
  return walk.next();
}

function valueAt(walk: Walk, expected: string): string {
  return unquoted(quotedNext(walk, expected).text).trim();
}
