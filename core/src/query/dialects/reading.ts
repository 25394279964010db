/** What the readers of dialects share: lexemes with their places, errors, and operators of several strengths. */
import { MAX_NOTS, TOO_MANY_NOTS } from '../depth.js';
import { parsePhrase } from '../phrase.js';
import { MAX_NEAR_DISTANCE, reversedYears, type Query, type WordPattern } from '../model.js';
import type { DialectError, DialectResult } from './dialect.js';
import { normaliseQuery } from '../normalise.js';

export interface Lexeme {
  /** `end` stands once, behind the last */
  kind: 'word' | 'quoted' | 'symbol' | 'end';
  /** without the quotation marks */
  text: string;
  at: number;
}

/** The longest string that is read, in characters, and the deepest nesting: both guard memory and stack. */
const MAX_LENGTH = 1_000_000;
const MAX_DEPTH = 200;

export class Unreadable extends Error {
  constructor(readonly error: DialectError) {
    super(error.message);
  }
}

export function unreadable(at: number, message: string): never {
  throw new Unreadable({ at, message });
}

/** How a dialect cuts a string into lexemes. Both patterns are sticky. */
export interface Lexing {
  quote: '"' | "'";
  symbols: RegExp;
  word: RegExp;
}

/**
 * Runs a reader over the whole of a string; what it cannot read becomes a value.
 * @param expected what may stand behind a query, for the error where something else does
 */
export function reading(
  text: string,
  lexing: Lexing,
  expected: string,
  read: (walk: Walk) => Query,
): DialectResult {
  try {
    if (text.length > MAX_LENGTH) {
      unreadable(MAX_LENGTH, `The string has ${text.length} characters; ${MAX_LENGTH} is the most.`);
    }
    const walk = new Walk(lexemesOf(text, lexing));
    const query = read(walk);
    walk.end(expected);
    return { ok: true, query: normaliseQuery(query), cautions: walk.cautions };
  } catch (error) {
    if (error instanceof Unreadable) return { ok: false, error: error.error };
    throw error;
  }
}

function lexemesOf(text: string, { quote, symbols, word }: Lexing): Lexeme[] {
  const lexemes: Lexeme[] = [];
  const space = /\s+/y;
  const quoted = quote === '"' ? /"((?:[^"\\]|\\[\s\S])*)"/y : /'((?:[^'\\]|\\[\s\S])*)'/y;
  let at = 0;
  const match = (pattern: RegExp): RegExpExecArray | null => {
    pattern.lastIndex = at;
    return pattern.exec(text);
  };
  while (at < text.length) {
    const blank = match(space);
    if (blank !== null) {
      at += blank[0].length;
      continue;
    }
    const string = match(quoted);
    const symbol = string === null ? match(symbols) : null;
    const letters = string === null && symbol === null ? match(word) : null;
    if (string !== null) lexemes.push({ kind: 'quoted', text: string[1] ?? '', at });
    else if (symbol !== null) lexemes.push({ kind: 'symbol', text: symbol[0], at });
    else if (letters !== null && letters[0] !== '') lexemes.push({ kind: 'word', text: letters[0], at });
    else if (text[at] === quote) unreadable(at, 'A quotation mark is not closed.');
    else unreadable(at, `“${text[at] ?? ''}” means nothing here.`);
    at += (string ?? symbol ?? letters)?.[0].length ?? 1;
  }
  lexemes.push({ kind: 'end', text: '', at: text.length });
  return lexemes;
}

/** Walks over lexemes. */
export class Walk {
  readonly cautions: DialectError[] = [];
  private position = 0;
  private depth = 0;
  private nots = 0;

  constructor(private readonly lexemes: readonly Lexeme[]) {}

  peek(ahead = 0): Lexeme {
    const lexeme = this.lexemes[Math.min(this.position + ahead, this.lexemes.length - 1)];
    if (lexeme === undefined) throw new RangeError('a string has at least its end');
    return lexeme;
  }

  next(): Lexeme {
    const lexeme = this.peek();
    this.position += 1;
    return lexeme;
  }

  /** Steps over a symbol if it is next. */
  took(symbol: string): boolean {
    const { kind, text } = this.peek();
    if (kind !== 'symbol' || text !== symbol) return false;
    this.position += 1;
    return true;
  }

  /** Steps over a word, in capitals or not, if it is next. */
  tookWord(word: string): boolean {
    const { kind, text } = this.peek();
    if (kind !== 'word' || text.toLowerCase() !== word) return false;
    this.position += 1;
    return true;
  }

  expect(symbol: string, what = `“${symbol}”`): void {
    if (!this.took(symbol)) this.fail(what);
  }

  fail(expected: string): never {
    const { kind, text, at } = this.peek();
    const found = kind === 'end' ? 'the end' : `“${text}”`;
    return unreadable(at, `Expected ${expected}, found ${found}.`);
  }

  /** Reads what stands between parentheses, the first of which is behind. */
  inParentheses(opened: Lexeme, read: () => Query): Query {
    this.depth += 1;
    if (this.depth > MAX_DEPTH) unreadable(opened.at, 'Parentheses are nested too deeply.');
    const query = read();
    if (!this.took(')')) {
      unreadable(this.peek().at, `The parenthesis opened at ${opened.at + 1} is not closed.`);
    }
    this.depth -= 1;
    return query;
  }

  /** Notes that something is left out. @param at where that is said */
  leavesOut(at: number): void {
    this.nots += 1;
    if (this.nots > MAX_NOTS) unreadable(at, TOO_MANY_NOTS);
  }

  /** Nothing may be left. */
  end(expected: string): void {
    if (this.peek().kind === 'end') return;
    if (this.peek().text === ')') unreadable(this.peek().at, 'A closing parenthesis has no opening one.');
    this.fail(expected);
  }
}

/**
 * Operators of one level of parentheses: where OR meets another, databases differ in what they join first.
 */
export class Level {
  private readonly met = new Map<string, number>();

  constructor(
    private readonly walk: Walk,
    private readonly precedence: string,
  ) {}

  meet(operator: string, at: number): void {
    if (!this.met.has(operator)) this.met.set(operator, at);
  }

  /** Warns where the reading depends on the database. */
  close(): void {
    const caution = precedenceCaution(this.met, this.precedence);
    if (caution !== null) this.walk.cautions.push(caution);
  }
}

/** @param met the operators of one level, and where each stands first */
export function precedenceCaution(met: ReadonlyMap<string, number>, precedence: string): DialectError | null {
  if (!met.has('or') || met.size === 1) return null;
  const names = [...met.keys()].map((each) => each.toUpperCase()).join(' and ');
  const message = `${names} stand side by side without parentheses. Here ${precedence}; other databases read it otherwise, so parentheses are safer.`;
  return { at: Math.max(...met.values()), message };
}

/**
 * AND, OR and NOT as words; OR binds least.
 * @param notTakesFrom what NOT takes away from: the operand before it, or all that AND has joined before it
 */
export function wordOperators(
  walk: Walk,
  { precedence, notTakesFrom }: { precedence: string; notTakesFrom: 'operand' | 'all before' },
  operand: () => Query,
): Query {
  const level = new Level(walk, precedence);
  const took = (word: string): boolean => {
    const { at } = walk.peek();
    const taken = walk.tookWord(word);
    if (taken) level.meet(word, at);
    return taken;
  };
  const taken = (include: Query): Query => {
    walk.leavesOut(walk.peek().at);
    return { kind: 'not', include, exclude: operand() };
  };
  const tight = (): Query => {
    let query = took('not') ? taken({ kind: 'everything' }) : operand();
    while (notTakesFrom === 'operand' && took('not')) query = taken(query);
    return query;
  };
  const joined = (): Query => {
    let operands = [tight()];
    for (;;) {
      const isNot = notTakesFrom === 'all before';
      const isAnd = took('and');
      if (isNot && took('not')) operands = [taken(allOf(operands))];
      else if (isAnd) operands.push(tight());
      else return allOf(operands);
    }
  };
  const query = chain('or', joined(), () => (took('or') ? joined() : null));
  level.close();
  return query;
}

export function allOf(operands: Query[]): Query {
  return operands.length === 1 && operands[0] !== undefined ? operands[0] : { kind: 'and', operands };
}

/** One or more operands with an operator between them. */
export function chain(kind: 'and' | 'or', first: Query, more: () => Query | null): Query {
  const operands = [first];
  for (let next = more(); next !== null; next = more()) operands.push(next);
  return operands.length === 1 ? first : { kind, operands };
}

/** @param at where the phrase begins in the whole string */
export function phraseAt(text: string, at: number): WordPattern[] {
  const result = parsePhrase(text);
  if (result.ok) return result.phrase;
  return unreadable(at + result.error.at, result.error.message);
}

/** Signs that mean something in one dialect or another, so that a word with them was meant for it. */
const SIGNS = /[=~&|!<>{}[\];\\]/;

/** A word without quotation marks. One with signs is refused, so that a string of another database is not misread. */
export function bareWordAt({ text, at }: Lexeme): WordPattern[] {
  if (!/^[\p{L}\p{N}?]/u.test(text) || SIGNS.test(text)) {
    unreadable(
      at,
      `“${text}” has signs that mean nothing here. To search it as a word, put it in quotation marks.`,
    );
  }
  return phraseAt(text, at);
}

/** For dialects that have no `?`. @param at where the text begins in the whole string */
export function refuseOneLetter(text: string, at: number): void {
  const unknown = /(?<!\\)\?/.exec(text);
  if (unknown === null) return;
  unreadable(
    at + unknown.index,
    'There is no ? for one letter here: spell the words out, or end the word with *.',
  );
}

export function unquoted(text: string): string {
  return text.replace(/\\([\s\S])/g, '$1');
}

export function quotedWith(quote: '"' | "'", text: string): string {
  const escaped = text.replaceAll('\\', '\\\\').replaceAll(quote, `\\${quote}`);
  return quote + escaped + quote;
}

/** The operators that are words, in small letters. */
export const OPERATOR_WORDS: ReadonlySet<string> = new Set(['and', 'or', 'not']);

/** A reference to a line, by its number. */
export function lineAt({ text, at }: Lexeme): Query {
  if (!/^[1-9]\d{0,5}$/.test(text)) unreadable(at, 'A line is named by its number.');
  return { kind: 'line', line: Number(text) };
}

/** A distance between words. */
export function distanceAt({ text, at }: Lexeme, where: string): number {
  const distance = Number(text);
  if (!/^\d{1,4}$/.test(text) || distance < 1 || distance > MAX_NEAR_DISTANCE) {
    unreadable(at, `${where} a distance from 1 to ${MAX_NEAR_DISTANCE}.`);
  }
  return distance;
}

/** Years from one to another. One after the other would find nothing, without a word. */
export function yearRange(at: number, from: number | null, to: number | null): Query {
  if (from !== null && to !== null && from > to) unreadable(at, reversedYears(from, to));
  return { kind: 'limit', field: 'year', from, to };
}

/** A year of four digits. */
export function yearAt({ text, at, kind }: Lexeme): number {
  if (kind !== 'word' || !/^\d{4}$/.test(text)) unreadable(at, 'A year is written with four digits.');
  return Number(text);
}
