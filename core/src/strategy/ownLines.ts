/**
 * Lines that people write beside those of the lanes, once for all databases. Their text is CQL of the context set `el`.
 * On screen a line is named by its number, as in `(L4 and L8) not "newborn*"`, where L4 without quotation marks is line 4;
 * in what is kept it is named by its key, as in `cql.resultSetId = "lane:…"`, so that references follow when lines move
 * and hold in every database, whatever numbers the lines have there.
 */
import { LIMIT_KINDS } from '../limits/index.js';
import {
  mapQuery,
  parseCql,
  parseCqlSyntax,
  precedenceCaution,
  printCql,
  unescapeQuoted,
  type CqlClause,
  type CqlNode,
  type Dialect,
  type DialectContext,
  type DialectError,
  type DialectResult,
  type Query,
} from '../query/index.js';
import { CQL_PRECEDENCE, type EditedLine, type LineKey } from './edits.js';
import { queryAsSent } from './saying.js';
import type { TermResolver } from './termResolver.js';

/**
 * What a line of one’s own does: it only looks (is counted, and no more), narrows the whole, is added to it, or is left
 * out from it.
 */
export const OWN_LINE_ROLES = ['looks', 'narrows', 'adds', 'leavesOut'] as const;
export type OwnLineRole = (typeof OWN_LINE_ROLES)[number];

/** The part that a line takes, in words. */
export const ROLE_NAMES: Readonly<Record<OwnLineRole, string>> = {
  looks: 'only looks',
  narrows: 'narrows',
  adds: 'adds',
  leavesOut: 'leaves out',
};

export interface OwnLine {
  id: string;
  role: OwnLineRole;
  /** switched off, it is kept but no line of the strategy */
  on: boolean;
  /** in CQL, lines named by their keys; may be empty, or not readable yet */
  text: string;
  /** what somebody says about it; may be empty */
  note: string;
}

/** A line of one’s own as a database reads it. */
export interface OwnPart extends Pick<OwnLine, 'id' | 'role' | 'on'> {
  /** null where it cannot be read, or is empty */
  line: EditedLine | null;
  /** why it cannot be read, and where in the text as it is kept */
  error: DialectError | null;
}

/** How lines are named on screen: L1 and up. */
const NUMBERED = /^L([1-9]\d{0,5})$/i;
const RESULT_SET = 'cql.resultsetid';

/** A place in a text, and what takes its place. */
interface Replacement {
  from: number;
  to: number;
  by: string;
}

/**
 * The text to keep of what was written on screen: numbers become keys, and headings name their vocabulary, since the line
 * holds for all databases. What cannot be read is kept as it is.
 * @param keyOf the line that a number is on the sheet at which it was written; null where there is none
 * @param vocabulary of the database at which it was written; null where it has none
 */
export function textToKeep(
  text: string,
  keyOf: (number: number) => LineKey | null,
  vocabulary: string | null,
): string {
  return replaced(text, (clause) => {
    const number = numberOf(clause);
    if (number !== null) {
      const key = keyOf(number);
      return key === null ? null : { ...spanOf(clause), by: reference(key) };
    }
    if (vocabulary === null || !isHeading(clause) || names(clause, 'vocabulary')) return null;
    const at = startOfTerm(clause);
    return { from: at, to: at, by: `/el.vocabulary=${quoted(vocabulary)} ` };
  });
}

/**
 * A text as it is shown on the sheet of a database: keys become the numbers that lines have there.
 * @param numberIn the number of a line there; null where it has none, so that the key stays
 */
export function textToShow(kept: string, numberIn: (key: LineKey) => number | null): string {
  return replaced(kept, (clause) => {
    if (clause.index?.toLowerCase() !== RESULT_SET) return null;
    const number = numberIn(unescapeQuoted(clause.term.text));
    return number === null ? null : { ...spanOf(clause), by: `L${number}` };
  });
}

/** The keys of the lines that a text refers to, each once; none where it cannot be read. */
export function linesReferredTo(kept: string): LineKey[] {
  const keys = new Set<LineKey>();
  replaced(kept, (clause) => {
    if (clause.index?.toLowerCase() === RESULT_SET) keys.add(unescapeQuoted(clause.term.text));
    return null;
  });
  return [...keys];
}

/** A text in which lines have other keys, such as those of another review; those that have none stay as they are. */
export function textWithKeys(kept: string, keyFor: (key: LineKey) => LineKey | null): string {
  return replaced(kept, (clause) => {
    if (clause.index?.toLowerCase() !== RESULT_SET) return null;
    const key = keyFor(unescapeQuoted(clause.term.text));
    return key === null ? null : { ...spanOf(clause), by: reference(key) };
  });
}

/** A text in which one line takes the place of another, as when two are made one. */
export function textReferringTo(kept: string, from: LineKey, to: LineKey): string {
  return textWithKeys(kept, (key) => (key === from ? to : null));
}

/** Lines joined, as a text to keep. */
export function joinedText(keys: readonly LineKey[], operator: 'and' | 'or' | 'not'): string {
  const [first, ...others] = keys.map(reference);
  if (first === undefined) return '';
  if (operator !== 'not' || others.length < 2) return [first, ...others].join(` ${operator} `);
  return `${first} not (${others.join(' or ')})`;
}

/** Two lines of one’s own as one: what either finds, or what both find. Where one is empty, it is the other. */
export function mergedText(kept: string, other: string, operator: 'and' | 'or'): string {
  const [first, second] = [kept.trim(), other.trim()];
  if (first === '' || second === '') return first + second;
  return `(${first}) ${operator} (${second})`;
}

/**
 * The parts that a line of one’s own joins with AND or OR, each as a text to keep.
 * @returns null where it cannot be read, or joins nothing that could stand by itself
 */
export function splitText(kept: string): { operator: 'and' | 'or'; parts: string[] } | null {
  const keys: LineKey[] = [];
  const lineNamed = (key: string): number => {
    if (!keys.includes(key)) keys.push(key);
    return keys.indexOf(key) + 1;
  };
  // Whatever limits it names, they are read and written alike.
  const limitFields = namesIn(kept);
  const read = parseCql(kept, { vocabulary: '', limitFields, lineNamed });
  if (!read.ok || (read.query.kind !== 'and' && read.query.kind !== 'or')) return null;
  const parts = read.query.operands.map((part) =>
    textToKeep(printCql(part, { vocabulary: '' }), (number) => keys[number - 1] ?? null, null),
  );
  return { operator: read.query.kind, parts };
}

/** How a kept text names a line. */
export function reference(key: LineKey): string {
  return `cql.resultSetId = ${quoted(key)}`;
}

/**
 * Reads a text as it stands on a sheet, for whoever writes it.
 * @param has whether the sheet has a line of that number
 * @returns the query, in which lines have their numbers; or what is wrong, with its place in the text
 */
export function readShownText(
  text: string,
  context: DialectContext,
  has: (number: number) => boolean,
): DialectResult {
  const lineNamed = (name: string): number | null => {
    const number = NUMBERED.exec(name)?.[1];
    // A key stands where a line has no number on this sheet; whether it is there, the strategy tells.
    if (number === undefined) return 1;
    return has(Number(number)) ? Number(number) : null;
  };
  const parsed = parseCql(text, {
    vocabulary: context.vocabulary ?? '',
    limitFields: limitFieldsFor(context),
    lineNamed,
  });
  if (!parsed.ok) return { ok: false, error: parsed.error };
  const cautions = parsed.mixed.flatMap((met) => precedenceCaution(met, CQL_PRECEDENCE) ?? []);
  return { ok: true, query: parsed.query, cautions };
}

/** Limits that this database has, and those that others may have. */
function limitFieldsFor({ limitFields }: DialectContext): string[] {
  return [...new Set([...limitFields, ...LIMIT_KINDS.flatMap(({ fields }) => fields)])];
}

/**
 * A line of one’s own as a database reads it.
 * @param read how its headings and words are said there
 * @param dialect in which limits within it are said; null to leave them as they are meant
 */
export function readOwnLine(
  { id, role, on, text }: OwnLine,
  context: DialectContext,
  read: TermResolver,
  dialect: Dialect | null,
): OwnPart {
  const part = { id, role, on };
  if (text.trim() === '') return { ...part, line: null, error: null };
  const keys: LineKey[] = [];
  const lineNamed = (key: string): number | null => {
    // A number that nothing was written for when it was kept is no line.
    if (NUMBERED.test(key)) return null;
    if (!keys.includes(key)) keys.push(key);
    return keys.indexOf(key) + 1;
  };
  const limitFields = limitFieldsFor(context);
  const parsed = parseCql(text, { vocabulary: context.vocabulary ?? '', limitFields, lineNamed });
  if (!parsed.ok) return { ...part, line: null, error: parsed.error };
  const changes = new Set<string>();
  const unsaid: string[] = [];
  const query = mapQuery(parsed.query, (leaf): Query => {
    const said =
      leaf.kind === 'heading' || leaf.kind === 'words' || leaf.kind === 'near'
        ? read(leaf)
        : leaf.kind === 'limit' && dialect !== null
          ? queryAsSent(dialect, context, leaf)
          : null;
    if (said === null) return leaf;
    if (!said.ok) {
      unsaid.push(said.message);
      return leaf;
    }
    said.changes.forEach((each) => changes.add(each));
    return said.query;
  });
  const [why] = unsaid;
  if (why !== undefined) return { ...part, line: null, error: { message: why, at: 0 } };
  const refersTo = Object.fromEntries(keys.map((key, i) => [i + 1, key]));
  return { ...part, line: { query, refersTo, changes: [...changes], written: null }, error: null };
}

/** The names of indexes in a text, without their context sets. */
function namesIn(text: string): string[] {
  const syntax = parseCqlSyntax(text);
  if (!syntax.ok) return [];
  return clausesOf(syntax.tree.root).flatMap(({ index }) => index?.split('.').slice(1).join('.') ?? []);
}

function replaced(text: string, replace: (clause: CqlClause) => Replacement | null): string {
  const syntax = parseCqlSyntax(text);
  if (!syntax.ok) return text;
  const replacements = clausesOf(syntax.tree.root).flatMap((clause) => replace(clause) ?? []);
  return replacements
    .sort((a, b) => b.from - a.from)
    .reduce((result, { from, to, by }) => result.slice(0, from) + by + result.slice(to), text);
}

/** In a loop, since long chains lean to the left. */
function clausesOf(root: CqlNode): CqlClause[] {
  const clauses: CqlClause[] = [];
  const open = [root];
  for (let node = open.pop(); node !== undefined; node = open.pop()) {
    if (node.kind === 'clause') clauses.push(node);
    else open.push(node.right, node.left);
  }
  return clauses;
}

/** The line that a clause names by its number. */
function numberOf({ index, relation, term }: CqlClause): number | null {
  const named = index === null ? !term.quoted && relation === null : index.toLowerCase() === RESULT_SET;
  const match = named ? NUMBERED.exec(unescapeQuoted(term.text)) : null;
  return match === null ? null : Number(match[1]);
}

function isHeading({ index }: CqlClause): boolean {
  return ['el.heading', 'heading', 'dc.subject'].includes(index?.toLowerCase() ?? '');
}

function names({ modifiers }: CqlClause, name: string): boolean {
  return modifiers.some((each) => each.name.toLowerCase().replace(/^el\./, '') === name);
}

function startOfTerm({ term }: CqlClause): number {
  return term.quoted ? term.at - 1 : term.at;
}

function spanOf(clause: CqlClause): Pick<Replacement, 'from' | 'to'> {
  const { at, term } = clause;
  return { from: at, to: term.at + term.text.length + (term.quoted ? 1 : 0) };
}

function quoted(text: string): string {
  return `"${text.replace(/["\\]/g, '\\$&')}"`;
}
