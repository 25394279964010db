/**
 * CQL as written (OASIS searchRetrieve 1.0 part 5, CQL 2.0): lexing and parsing into a tree of clauses, without
 * any knowledge of what an index means. `interpret.ts` gives the meaning.
 */
import { MAX_NOTS, TOO_MANY_NOTS } from '../depth.js';

/** Where and why a string could not be read. `diagnostic` is the SRU diagnostic number of the standard. */
export interface CqlError {
  diagnostic: number;
  message: string;
  /** UTF-16 offset into the string */
  at: number;
  found: string;
  expected: string;
}

export interface CqlModifier {
  name: string;
  comparison: string | null;
  value: string | null;
  at: number;
}

export interface CqlTerm {
  text: string;
  quoted: boolean;
  at: number;
}

export interface CqlClause {
  kind: 'clause';
  index: string | null;
  relation: string | null;
  modifiers: CqlModifier[];
  term: CqlTerm;
  at: number;
}

export interface CqlBoolean {
  kind: 'boolean';
  operator: 'and' | 'or' | 'not' | 'prox';
  modifiers: CqlModifier[];
  left: CqlNode;
  right: CqlNode;
  /** offset of the operator */
  at: number;
  /** it stands in parentheses of its own */
  inParentheses?: true;
}

export type CqlNode = CqlClause | CqlBoolean;

export interface CqlSortKey {
  index: string;
  modifiers: CqlModifier[];
}

/** Operators that stand side by side within the same parentheses, each with where it stands first. */
export type MixedOperators = ReadonlyMap<string, number>;

export interface CqlTree {
  root: CqlNode;
  sortBy: CqlSortKey[];
  /** levels of parentheses with several operators */
  mixed: MixedOperators[];
}

export type CqlSyntaxResult = { ok: true; tree: CqlTree } | { ok: false; error: CqlError };

interface Lexeme {
  kind: 'word' | 'quoted' | 'symbol' | 'end';
  text: string;
  at: number;
}

/** The longest query that is read, in characters, and the deepest nesting: both guard the parser's memory. */
export const MAX_CQL_LENGTH = 1_000_000;
const MAX_DEPTH = 200;

class Stop extends Error {
  constructor(readonly error: CqlError) {
    super(error.message);
  }
}

/** Parses CQL text into clauses. Booleans have no precedence: they are read from left to right. */
export function parseCqlSyntax(text: string): CqlSyntaxResult {
  try {
    if (text.length > MAX_CQL_LENGTH) {
      const message = `The query has ${text.length} characters; ${MAX_CQL_LENGTH} is the most.`;
      throw new Stop({ diagnostic: 12, message, at: MAX_CQL_LENGTH, found: '', expected: 'a shorter query' });
    }
    const lexemes = lex(text);
    return { ok: true, tree: new Parser(lexemes).parse() };
  } catch (stop) {
    if (stop instanceof Stop) return { ok: false, error: stop.error };
    throw stop;
  }
}

function lex(text: string): Lexeme[] {
  const lexemes: Lexeme[] = [];
  const token = /\s+|"((?:[^"\\]|\\[\s\S])*)"|(==|<>|<=|>=|[=<>()/])|([^\s"()=<>/]+)|"/y;
  while (token.lastIndex < text.length) {
    const at = token.lastIndex;
    const match = token.exec(text);
    if (match === null || match[0] === '"') {
      const message = 'A quotation mark is not closed.';
      throw new Stop({
        diagnostic: 14,
        message,
        at,
        found: text.slice(at, at + 20),
        expected: 'a closing "',
      });
    }
    if (match[1] !== undefined) lexemes.push({ kind: 'quoted', text: match[1], at });
    else if (match[2] !== undefined) lexemes.push({ kind: 'symbol', text: match[2], at });
    else if (match[3] !== undefined) lexemes.push({ kind: 'word', text: match[3], at });
  }
  lexemes.push({ kind: 'end', text: '', at: text.length });
  return lexemes;
}

const COMPARISONS = new Set(['=', '==', '<>', '<', '>', '<=', '>=']);
const BOOLEANS = new Set(['and', 'or', 'not', 'prox']);
/** Relations that are words. Others with a context set (`el.narrower`) are recognised by their dot. */
const NAMED_RELATIONS = new Set(['any', 'all', 'adj', 'within', 'encloses', 'exact', 'scr']);

/** The context sets that are known, with the prefixes that they have here. */
const CONTEXT_SETS: ReadonlyMap<string, string> = new Map([
  ['urn:even-lantern:context-set', 'el'],
  ['info:srw/cql-context-set/1/cql-v1.1', 'cql'],
  ['info:srw/cql-context-set/1/cql-v1.2', 'cql'],
  ['info:srw/cql-context-set/1/dc-v1.1', 'dc'],
  ['info:srw/cql-context-set/2/rec-1.1', 'rec'],
]);

class Parser {
  private position = 0;
  private depth = 0;
  private nots = 0;
  /** by prefix; the empty one stands for none */
  private prefixes: ReadonlyMap<string, string> = new Map();
  private readonly mixed: MixedOperators[] = [];

  constructor(private readonly lexemes: readonly Lexeme[]) {}

  parse(): CqlTree {
    const root = this.query();
    const sortBy: CqlSortKey[] = [];
    if (this.isWord('sortby')) {
      this.position += 1;
      while (this.peek().kind === 'word')
        sortBy.push({ index: this.next().text, modifiers: this.modifiers() });
      if (sortBy.length === 0) this.fail('a sort key');
    }
    if (this.peek().kind !== 'end') {
      const stray = this.peek();
      if (stray.text === ')')
        this.fail('the end of the query', 13, 'A closing parenthesis has no opening one.');
      this.fail('and, or, not, prox, or the end of the query');
    }
    return { root, sortBy, mixed: this.mixed };
  }

  private query(): CqlNode {
    this.depth += 1;
    if (this.depth > MAX_DEPTH)
      this.fail('fewer nested parentheses', 13, 'Parentheses are nested too deeply.');
    const outside = this.prefixes;
    this.prefixMaps();
    let left = this.operand();
    const met = new Map<string, number>();
    for (;;) {
      const lexeme = this.peek();
      const operator = lexeme.text.toLowerCase();
      if (lexeme.kind !== 'word' || !BOOLEANS.has(operator)) break;
      this.position += 1;
      if (!met.has(operator)) met.set(operator, lexeme.at);
      if (operator === 'not') this.nots += 1;
      if (this.nots > MAX_NOTS) this.fail('fewer nots', 13, TOO_MANY_NOTS);
      const modifiers = this.modifiers();
      const right = this.operand();
      left = {
        kind: 'boolean',
        operator: operator as CqlBoolean['operator'],
        modifiers,
        left,
        right,
        at: lexeme.at,
      };
    }
    if (met.size > 1) this.mixed.push(met);
    this.depth -= 1;
    this.prefixes = outside;
    return left;
  }

  /** Prefix maps stand before a query: `> short = "context set"`, or `> "context set"` for indexes without a prefix. */
  private prefixMaps(): void {
    while (this.peek().kind === 'symbol' && this.peek().text === '>') {
      this.position += 1;
      const first = this.text('a prefix or a context set');
      const named = this.peek().kind === 'symbol' && this.peek().text === '=';
      if (named) this.position += 1;
      const set = named ? this.text('the identifier of a context set, in quotes') : first;
      const identifier = unescapeQuoted(set.text);
      const own = CONTEXT_SETS.get(identifier);
      if (own === undefined) {
        const message = `The context set “${identifier}” is not known.`;
        throw new Stop({
          diagnostic: 15,
          message,
          at: set.at,
          found: set.text,
          expected: 'a known context set',
        });
      }
      this.prefixes = new Map(this.prefixes).set(named ? first.text.toLowerCase() : '', own);
    }
  }

  /** A word or a text in quotes. */
  private text(expected: string): Lexeme {
    const { kind } = this.peek();
    if (kind !== 'word' && kind !== 'quoted') this.fail(expected);
    return this.next();
  }

  /** A name with the prefix that its context set has here. */
  private resolved(name: string): string {
    if (this.prefixes.size === 0) return name;
    const dot = name.indexOf('.');
    const own = this.prefixes.get(dot < 0 ? '' : name.slice(0, dot).toLowerCase());
    return own === undefined ? name : `${own}.${name.slice(dot + 1)}`;
  }

  private operand(): CqlNode {
    const lexeme = this.peek();
    if (lexeme.text === '(' && lexeme.kind === 'symbol') {
      this.position += 1;
      const inner = this.query();
      if (this.peek().text !== ')' || this.peek().kind !== 'symbol') {
        this.fail('a closing parenthesis', 13, `The parenthesis opened at ${lexeme.at + 1} is not closed.`);
      }
      this.position += 1;
      return inner.kind === 'boolean' ? { ...inner, inParentheses: true } : inner;
    }
    return this.clause();
  }

  private clause(): CqlClause {
    const first = this.peek();
    if (first.kind !== 'word' && first.kind !== 'quoted')
      this.fail('a word, a phrase in quotes, or an index');
    if (first.kind === 'word' && BOOLEANS.has(first.text.toLowerCase())) {
      this.fail('a word, a phrase in quotes, or an index');
    }
    this.position += 1;
    const relation = this.peek();
    if (!this.isRelation(relation)) {
      return {
        kind: 'clause',
        index: null,
        relation: null,
        modifiers: [],
        term: this.term(first),
        at: first.at,
      };
    }
    this.position += 1;
    const modifiers = this.modifiers();
    const term = this.peek();
    if (term.kind !== 'word' && term.kind !== 'quoted') this.fail('a word or a phrase in quotes');
    this.position += 1;
    return {
      kind: 'clause',
      index: this.resolved(first.text),
      relation: relation.text.toLowerCase(),
      modifiers,
      term: this.term(term),
      at: first.at,
    };
  }

  private isRelation(lexeme: Lexeme): boolean {
    if (lexeme.kind === 'symbol') return COMPARISONS.has(lexeme.text);
    if (lexeme.kind !== 'word') return false;
    const name = lexeme.text.toLowerCase();
    return NAMED_RELATIONS.has(name.replace(/^cql\./, '')) || (name.includes('.') && !BOOLEANS.has(name));
  }

  private modifiers(): CqlModifier[] {
    const modifiers: CqlModifier[] = [];
    while (this.peek().kind === 'symbol' && this.peek().text === '/') {
      this.position += 1;
      const name = this.peek();
      if (name.kind !== 'word') this.fail('the name of a modifier');
      this.position += 1;
      const comparison = this.peek();
      if (comparison.kind === 'symbol' && COMPARISONS.has(comparison.text)) {
        this.position += 1;
        const value = this.peek();
        if (value.kind !== 'word' && value.kind !== 'quoted') this.fail('the value of the modifier');
        this.position += 1;
        const text = value.kind === 'quoted' ? unescapeQuoted(value.text) : value.text;
        modifiers.push({ name: name.text, comparison: comparison.text, value: text, at: name.at });
      } else {
        modifiers.push({ name: name.text, comparison: null, value: null, at: name.at });
      }
    }
    return modifiers;
  }

  private term(lexeme: Lexeme): CqlTerm {
    const quoted = lexeme.kind === 'quoted';
    return { text: lexeme.text, quoted, at: quoted ? lexeme.at + 1 : lexeme.at };
  }

  private isWord(word: string): boolean {
    return this.peek().kind === 'word' && this.peek().text.toLowerCase() === word;
  }

  private peek(): Lexeme {
    const lexeme = this.lexemes[this.position];
    if (lexeme === undefined) throw new RangeError('read past the end of the query');
    return lexeme;
  }

  private next(): Lexeme {
    const lexeme = this.peek();
    this.position += 1;
    return lexeme;
  }

  private fail(expected: string, diagnostic = 10, message?: string): never {
    const lexeme = this.peek();
    const found = lexeme.kind === 'end' ? 'the end of the query' : `“${lexeme.text}”`;
    throw new Stop({
      diagnostic,
      message: message ?? `Expected ${expected}, found ${found}.`,
      at: lexeme.at,
      found,
      expected,
    });
  }
}

/** The characters of a quoted string that stand for themselves: `\"` and `\\`. */
export function unescapeQuoted(text: string): string {
  return text.replace(/\\([\s\S])/g, '$1');
}
