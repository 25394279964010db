/**
 * Lines that somebody wrote by hand for one database. They take the place of what the lanes give; what the lanes would
 * give stays, so that either can be taken.
 */
import {
  mapQuery,
  parseCql,
  precedenceCaution,
  printCql,
  type Dialect,
  type DialectContext,
  type DialectError,
  type DialectResult,
  type Loss,
  type Query,
} from '../query/index.js';
import type { TermResolver } from './termResolver.js';
import type { Line } from './model.js';
import { describeLoss } from './saying.js';

/** How CQL is read without parentheses (OASIS searchRetrieve 1.0 part 5, section 2.2). */
export const CQL_PRECEDENCE = 'they are read from left to right';

/** Names a line of a strategy whatever its number is: a term’s, a lane’s, a limit’s, one of a person’s own, or the whole. */
export type LineKey = string;

export const WHOLE_LINE: LineKey = 'whole';

export function lineKeyOf({
  kind,
  laneId,
  termId,
  limitId,
  ownId,
}: Pick<Line, 'kind' | 'laneId' | 'termId' | 'limitId' | 'ownId'>): LineKey {
  switch (kind) {
    case 'whole':
      return WHOLE_LINE;
    case 'term':
      return termKey(termId ?? '');
    case 'lane':
      return laneKey(laneId ?? '');
    case 'limit':
      return limitKey(limitId ?? '');
    case 'own':
      return ownKey(ownId ?? '');
  }
}

const TERM = 'term:';
export const termKey = (id: string): LineKey => TERM + id;
export const laneKey = (id: string): LineKey => `lane:${id}`;
export const limitKey = (id: string): LineKey => `limit:${id}`;
export const ownKey = (id: string): LineKey => `own:${id}`;

/** A line as it was written. */
export interface LineText {
  line: LineKey;
  /** the database’s own dialect, or CQL */
  language: 'own' | 'cql';
  text: string;
  /** which line each number in the text was when it was written, since numbers move when terms come and go */
  refersTo: Readonly<Record<number, LineKey>>;
}

/** What a written line searches. */
export interface EditedLine {
  query: Query;
  refersTo: LineText['refersTo'];
  /** what the database searches otherwise than is written */
  changes: string[];
  /** the text, where just that can be sent */
  written: string | null;
}

/** By the key of the line. */
export type Edits = ReadonlyMap<LineKey, EditedLine>;

export type ReadEdit =
  { ok: true; intended: EditedLine; sent: EditedLine } | { ok: false; error: DialectError };

/**
 * The query of a text in the database's own dialect or in CQL, before anything is settled.
 * @param dialect null for a database that takes CQL alone
 */
export function parseLine(
  { language, text }: Pick<LineText, 'language' | 'text'>,
  dialect: Dialect | null,
  context: DialectContext,
): DialectResult {
  if (language === 'own' && dialect !== null) return dialect.parse(text, context);
  const read = parseCql(text, { vocabulary: context.vocabulary ?? '', limitFields: context.limitFields });
  if (read.ok) {
    const cautions = read.mixed.flatMap((met) => precedenceCaution(met, CQL_PRECEDENCE) ?? []);
    return { ok: true, query: read.query, cautions };
  }
  return { ok: false, error: { message: read.error.message, at: read.error.at } };
}

export type ConvertedLine =
  { ok: true; text: string; losses: readonly Loss[] } | { ok: false; error: DialectError };

/**
 * A text in the other language of a database, with what that one cannot say: so that a person can see it before
 * anything is changed.
 * @param dialect null for a database that takes CQL alone, in which everything can be said
 */
export function convertLine(
  line: Pick<LineText, 'language' | 'text'>,
  to: LineText['language'],
  dialect: Dialect | null,
  context: DialectContext,
): ConvertedLine {
  const read = parseLine(line, dialect, context);
  if (!read.ok) return read;
  if (to === 'cql' || dialect === null) {
    return { ok: true, text: printCql(read.query, { vocabulary: context.vocabulary ?? '' }), losses: [] };
  }
  return { ok: true, ...dialect.print(read.query, context) };
}

/**
 * Reads a written line.
 * @param dialect null for a database that takes CQL alone
 * @param read how headings of other vocabularies are searched there
 * @returns what it means, and what of that the database can be told; or what is wrong, with its place in the text
 */
export function readEdit(
  { line, language, text, refersTo }: LineText,
  dialect: Dialect | null,
  context: DialectContext,
  read: TermResolver,
): ReadEdit {
  const parsed = parseLine({ language, text }, dialect, context);
  if (!parsed.ok) return parsed;
  const changes = new Set<string>();
  const settled = withLeaves(parsed.query, (part) => {
    const result = read(part);
    if (!result.ok) throw new Unsettled(result.message);
    result.changes.forEach((each) => changes.add(each));
    return result.query;
  });
  if (settled instanceof Unsettled) return { ok: false, error: { message: settled.message, at: 0 } };
  const refers = holdsLine(settled);
  if (refers && line.startsWith(TERM)) {
    const message =
      'A term stands by itself: other lines can be referred to in the line of a lane and in the last.';
    return { ok: false, error: { message, at: 0 } };
  }
  if (refers && dialect !== null && !dialect.abilities.lines) {
    const message = 'This database has no references to lines: write the other lines out.';
    return { ok: false, error: { message, at: 0 } };
  }
  const own = language === 'own' || dialect === null;
  const intended: EditedLine = {
    query: settled,
    refersTo,
    changes: [...changes],
    written: own && !refers && changes.size === 0 ? text : null,
  };
  if (own) return { ok: true, intended, sent: intended };
  const printed = dialect.print(settled, context);
  const reread = dialect.parse(printed.text, context);
  if (!reread.ok) return { ok: false, error: { message: reread.error.message, at: 0 } };
  const lost = printed.losses.map(describeLoss);
  return { ok: true, intended, sent: { ...intended, query: reread.query, changes: [...changes, ...lost] } };
}

/**
 * With the numbers that lines have now.
 * @returns null where a line that is referred to is not there before it
 */
export function renumbered(edited: EditedLine, numberOf: ReadonlyMap<LineKey, number>): Query | null {
  const result = withLines(edited.query, (line) => numberOf.get(edited.refersTo[line] ?? '') ?? null);
  return result instanceof Unsettled ? null : result;
}

/** The numbers of lines that a query refers to. */
export function linesIn(query: Query): number[] {
  switch (query.kind) {
    case 'line':
      return [query.line];
    case 'and':
    case 'or':
      return query.operands.flatMap(linesIn);
    case 'not':
      return [...linesIn(query.include), ...linesIn(query.exclude)];
    default:
      return [];
  }
}

const holdsLine = (query: Query) => linesIn(query).length > 0;

class Unsettled extends Error {}

type Leaf = Parameters<TermResolver>[0];

function withLeaves(query: Query, change: (leaf: Leaf) => Query): Query | Unsettled {
  return orUnsettled(() =>
    mapQuery(query, (part) =>
      part.kind === 'heading' || part.kind === 'words' || part.kind === 'near' ? change(part) : part,
    ),
  );
}

function withLines(query: Query, numberOf: (line: number) => number | null): Query | Unsettled {
  return orUnsettled(() =>
    mapQuery(query, (part) => {
      if (part.kind !== 'line') return part;
      const line = numberOf(part.line);
      if (line === null) throw new Unsettled(`L${part.line}`);
      return { kind: 'line', line };
    }),
  );
}

function orUnsettled(make: () => Query): Query | Unsettled {
  try {
    return make();
  } catch (error) {
    if (error instanceof Unsettled) return error;
    throw error;
  }
}
