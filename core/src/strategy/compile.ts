/** From lanes to the numbered lines of a strategy. */
import {
  mapQuery,
  childrenOf,
  MAX_NEAR_DISTANCE,
  parsePhrase,
  SEARCH_FIELDS,
  type HeadingQuery,
  type NearQuery,
  type Query,
  type SearchField,
  type WordsQuery,
} from '../query/index.js';
import {
  laneKey,
  lineKeyOf,
  ownKey,
  renumbered,
  termKey,
  WHOLE_LINE,
  type EditedLine,
  type Edits,
  type LineKey,
} from './edits.js';
import { namedField } from './describe.js';
import type { OwnLineRole, OwnPart } from './ownLines.js';
import { placeOwn } from './placeOwn.js';
import { missingFields, searchFieldsOf } from './termFields.js';
import type { ResolvedTerm, TermQueryResult, TermResolver } from './termResolver.js';
import type { Lane, LimitPart, Line, Strategy, StrategyProblem, Term, TermContent } from './model.js';

/** For a database that has the vocabulary of the headings and can say all that is asked. */
export const asWritten: TermResolver = (query) => ({ ok: true, query, changes: [] });

/**
 * The query of a term, or why it has none.
 * @param read how headings and words are said in the database at hand
 */
export function termQuery(content: TermContent, read: TermResolver = asWritten): TermQueryResult {
  if (content.kind === 'heading') {
    const { vocabulary, label, narrower, central, subheadings } = content;
    // No vocabulary has such a heading, and none of the dialects could name it.
    const nameless = [label, ...(typeof narrower === 'boolean' ? [] : narrower)].find(
      (each) => !/[\p{L}\p{N}]/u.test(each),
    );
    if (nameless !== undefined) {
      return {
        ok: false,
        message: `“${nameless}” is no heading: it has neither a letter nor a digit.`,
        at: 0,
      };
    }
    const heading = (name: string, withNarrower: boolean): HeadingQuery => ({
      kind: 'heading',
      vocabulary,
      label: name,
      narrower: withNarrower,
      central,
      subheadings,
    });
    if (typeof narrower === 'boolean') return anyOfRead([read(heading(label, narrower))]);
    const chosen = narrower.map((name) => heading(name, true));
    return anyOfRead([heading(label, false), ...chosen].map(read));
  }
  const phrase = parsePhrase(content.text);
  if (!phrase.ok) return { ok: false, message: phrase.error.message, at: phrase.error.at };
  const { near } = content;
  if (near !== null && (near < 1 || near > MAX_NEAR_DISTANCE)) {
    return {
      ok: false,
      message: `Words can be within 1 to ${MAX_NEAR_DISTANCE} words of each other.`,
      at: 0,
    };
  }
  const has = read.fields ?? SEARCH_FIELDS;
  const inField = (field: SearchField): WordsQuery | NearQuery => {
    const words: WordsQuery = { kind: 'words', field, phrase: phrase.phrase };
    if (near === null || phrase.phrase.length === 1) return words;
    const parts = phrase.phrase.map((pattern): WordsQuery => ({ ...words, phrase: [pattern] }));
    return { kind: 'near', parts, distance: near, ordered: false };
  };
  const missing = missingFields(content.field, has).map(
    (field) => `${namedField(field)} cannot be searched here`,
  );
  return anyOfRead(
    searchFieldsOf(content.field, has).map((field) => read(inField(field))),
    missing,
  );
}

/** Any of the parts; none when one of them cannot be said, since a part would pass for the whole. */
function anyOfRead(parts: readonly ResolvedTerm[], further: readonly string[] = []): TermQueryResult {
  const queries: Query[] = [];
  const changes = new Set<string>(further);
  for (const part of parts) {
    if (!part.ok) return { ...part, at: 0 };
    queries.push(part.query);
    part.changes.forEach((each) => changes.add(each));
  }
  const [only] = queries;
  const query: Query = queries.length === 1 && only !== undefined ? only : { kind: 'or', operands: queries };
  return { ok: true, query, changes: [...changes] };
}

/** What a strategy is made of beside its lanes. */
export interface StrategyParts {
  /** how terms are said in the database at hand */
  read?: TermResolver;
  /** lines that somebody wrote by hand for it, which take the place of what the lanes give */
  edits?: Edits;
  /** lines that people wrote beside those of the lanes, in their order */
  own?: readonly OwnPart[];
  /** those that are applied, in their order */
  limits?: readonly LimitPart[];
}

/**
 * Numbers the lines: each term, then its lane as the OR of its terms; then own lines; then the whole, which joins the
 * lanes and the own lines that take part (`joinParts`); behind it each limit, joined with AND to the line before it; at
 * the end own lines that look at the whole or at what limits leave of it.
 * What cannot be searched is left out and named in `problems`.
 */
export function compileLanes(
  lanes: readonly Lane[],
  { read = asWritten, edits = NO_EDITS, own = [], limits = [] }: StrategyParts = {},
): Strategy {
  const lines: Line[] = [];
  const problems: StrategyProblem[] = [];
  const numbers = new Map<LineKey, number>();
  /** by number, how many parts a line has with all that it refers to written out */
  const sizes = new Map<number, number>();
  const tooLong = (query: Query) => sizeOf(query, sizes) > MOST_PARTS;
  const add = (
    given: Pick<Line, 'kind' | 'query' | 'changes'> &
      Partial<Pick<Line, 'laneId' | 'termId' | 'limitId' | 'ownId' | 'text'>>,
  ): number => {
    const line = { laneId: null, termId: null, limitId: null, ownId: null, text: null, ...given };
    const key = lineKeyOf(line);
    const edit = edits.get(key);
    const number = lines.length + 1;
    const asNumbered = edit === undefined ? null : renumbered(edit, numbers);
    const query = asNumbered !== null && tooLong(asNumbered) ? null : asNumbered;
    if (edit === undefined || query === null) lines.push({ number, ...line, edited: false, written: null });
    else lines.push({ number, ...line, query, changes: edit.changes, edited: true, written: edit.written });
    if (edit !== undefined && query === null) {
      const why =
        asNumbered === null ? 'with a reference to a line that does not stand before it any more' : TOO_LONG;
      const message = `was written ${why}. Until it is mended, what the lanes give is searched.`;
      problems.push({ laneId: line.laneId, termId: line.termId, line: key, number, message });
    }
    numbers.set(key, number);
    sizes.set(number, sizeOf(lines.at(-1)?.query ?? line.query, sizes));
    return number;
  };
  const parts: JoinedPart[] = [];
  for (const lane of lanes) {
    const termLines: number[] = [];
    for (const term of searchedTerms(lane)) {
      const result = queryOfTerm(term, read, edits);
      if (result.ok) {
        const { query, changes } = result;
        termLines.push(add({ kind: 'term', laneId: lane.id, termId: term.id, query, changes }));
      } else {
        problems.push({ laneId: lane.id, termId: term.id, message: result.message });
      }
    }
    if (termLines.length === 0 && !edits.has(laneKey(lane.id))) {
      const message = `The lane “${lane.name}” has nothing to search. Add a heading or words, or stop searching on it.`;
      problems.push({ laneId: lane.id, termId: null, message });
      continue;
    }
    const number = add({
      kind: 'lane',
      laneId: lane.id,
      query: { kind: 'or', operands: termLines.map(lineRef) },
      changes: [],
    });
    parts.push({ query: lineRef(number), role: lane.leftOut ? 'leavesOut' : 'narrows' });
  }
  const addOwn = ({ id }: OwnPart, { query, changes }: EditedLine): number =>
    add({ kind: 'own', ownId: id, query, changes });
  /** what keeps an own line from being one; a line that only looks holds up nothing else */
  const tell = ({ id, role }: OwnPart, message: string) => {
    const aside = role === 'looks' ? { aside: true as const } : {};
    problems.push({ laneId: null, termId: null, line: ownKey(id), ...aside, message });
  };
  let partsOfOwn = 0;
  /** Whether there is room for an own line; where there is not, that is told. */
  const hasRoom = (part: OwnPart, query: Query): boolean => {
    const size = sizeOf(query, sizes);
    const fits = size <= MOST_PARTS && partsOfOwn + size <= MOST_PARTS_OF_OWN;
    if (fits) partsOfOwn += size;
    else tell(part, `A line of your own was written ${TOO_LONG}.`);
    return fits;
  };
  const behind: { part: OwnPart; line: EditedLine }[] = [];
  for (const [i, part] of own.entries()) {
    const placed = placeOwn(part, { numbers, others: own, behind: behind.map((each) => each.part.id) });
    if (placed === null) continue;
    if (typeof placed === 'string') {
      tell(part, placed);
    } else if (placed.behind) {
      behind.push({ part, line: placed.line });
    } else {
      const query = renumbered(placed.line, numbers);
      if (query === null) throw new RangeError(`own line ${i} refers to a line that has no number`);
      if (!hasRoom(part, query)) continue;
      const number = addOwn(part, { ...placed.line, query });
      if (part.role !== 'looks') parts.push({ query: lineRef(number), role: part.role });
    }
  }
  const whole = joinParts(parts);
  if (whole !== null || edits.has(WHOLE_LINE)) {
    const query: Query = whole ?? { kind: 'and', operands: [] };
    let last = add({ kind: 'whole', query, changes: [] });
    for (const { limitId, text, query: limit, changes } of limits) {
      last = add({
        kind: 'limit',
        limitId,
        text,
        query: { kind: 'and', operands: [lineRef(last), limit] },
        changes,
      });
    }
  } else if (parts.length > 0) {
    const message =
      'All lanes are left out, so there is nothing to leave them out of. Search on one of them.';
    problems.push({ laneId: null, termId: null, message });
  } else if (lanes.length === 0) {
    const message =
      'No element of the question is searched yet. Switch on “search on this” for at least one.';
    problems.push({ laneId: null, termId: null, message });
  }
  for (const { part, line } of behind) {
    const query = renumbered(line, numbers);
    // Where there is no whole, there is nothing to look at yet.
    if (query !== null && hasRoom(part, query)) addOwn(part, { ...line, query });
  }
  return { lines, problems };
}

/** More parts than this, with all references written out, no database would take; lines that double each other reach it soon. */
const MOST_PARTS = 50_000;
/** So many in all own lines together, since the whole may hold each of them. */
const MOST_PARTS_OF_OWN = 200_000;
const TOO_LONG = 'so that it has too many parts once the lines that it refers to are written out';

/** How many parts a query has with the lines that it refers to written out. */
function sizeOf(query: Query, sizes: ReadonlyMap<number, number>): number {
  if (query.kind === 'line') return sizes.get(query.line) ?? 1;
  return childrenOf(query).reduce((sum, part) => sum + sizeOf(part, sizes), 1);
}

/** What takes part in the whole: a lane, or a line of one’s own. */
export interface JoinedPart {
  query: Query;
  role: Exclude<OwnLineRole, 'looks'>;
}

/**
 * The whole: what all parts find that narrow it, or any that is added to it, without what any finds that is left out.
 * So it does not depend on the order of the parts. Null when nothing is asked for.
 */
export function joinParts(parts: readonly JoinedPart[]): Query | null {
  const [narrowing, added, leftOut] = (['narrows', 'adds', 'leavesOut'] as const).map((role) =>
    parts.filter((part) => part.role === role).map(({ query }) => query),
  ) as [Query[], Query[], Query[]];
  if (narrowing.length + added.length === 0) return null;
  const narrowed: Query = { kind: 'and', operands: narrowing };
  const searched: Query =
    added.length === 0 ? narrowed : anyOf(narrowing.length === 0 ? added : [single(narrowed), ...added]);
  if (leftOut.length === 0) return searched;
  return { kind: 'not', include: single(searched), exclude: single(anyOf(leftOut)) };
}

const anyOf = (operands: readonly Query[]): Query => ({ kind: 'or', operands });

/** A query that joins but one part, as that part. */
function single(query: Query): Query {
  const [only, second] = query.kind === 'and' || query.kind === 'or' ? query.operands : [];
  return only !== undefined && second === undefined ? only : query;
}

/** The line that tells what a strategy finds; undefined where nothing is searched yet. */
export function foundLine<L extends Pick<Line, 'kind'>>(lines: readonly L[]): L | undefined {
  return lines.findLast(({ kind }) => kind === 'limit' || kind === 'whole');
}

/** The lines up to what the strategy finds: those that are run. */
export function linesToRun<L extends Pick<Line, 'kind'>>(lines: readonly L[]): L[] {
  const found = foundLine(lines);
  return found === undefined ? [...lines] : lines.slice(0, lines.indexOf(found) + 1);
}

const NO_EDITS: Edits = new Map();

/** What a term searches: what somebody wrote for its line, or else its content. */
function queryOfTerm({ id, content }: Term, read: TermResolver, edits: Edits): TermQueryResult {
  const edit = edits.get(termKey(id));
  return edit === undefined
    ? termQuery(content, read)
    : { ok: true, query: edit.query, changes: edit.changes };
}

/** A line's query with all references written out, so that it stands alone. References point backwards only. */
export function standaloneQuery(line: Line, lines: readonly Line[]): Query {
  return mapQuery(line.query, (part) => {
    if (part.kind !== 'line') return part;
    const target = lines[part.line - 1];
    if (target === undefined || target.number >= line.number) {
      throw new RangeError(`L${line.number} refers to L${part.line}, which does not come before it`);
    }
    return standaloneQuery(target, lines);
  });
}

/** The terms of a lane that are not held back. */
export function searchedTerms<T extends Term>(lane: { terms: readonly T[] }): T[] {
  return lane.terms.filter(({ heldBack }) => heldBack === null);
}

/**
 * The headings and the words of a lane, each joined with OR; null where there are none to search. A heading that the
 * database at hand reads as words counts among the words.
 */
export function laneParts(
  lane: Lane,
  read: TermResolver = asWritten,
  edits: Edits = NO_EDITS,
): { headings: Query | null; words: Query | null } {
  const queries = searchedTerms(lane)
    .map((term) => queryOfTerm(term, read, edits))
    .flatMap((result) => (result.ok ? [result.query] : []));
  const anyOf = (operands: Query[]): Query | null =>
    operands.length === 0 ? null : { kind: 'or', operands };
  return {
    headings: anyOf(queries.filter(holdsHeading)),
    words: anyOf(queries.filter((query) => !holdsHeading(query))),
  };
}

function holdsHeading(query: Query): boolean {
  return query.kind === 'heading' || childrenOf(query).some(holdsHeading);
}

/**
 * What each term alone finds in its lane: its hits without those of the lane's other terms.
 * @returns by the term's id; null where a term cannot be searched, and none of those held back
 */
export function addsQueries(
  lane: Lane,
  read: TermResolver = asWritten,
  edits: Edits = NO_EDITS,
): Map<string, Query | null> {
  const all = searchedTerms(lane).map((term) => ({ id: term.id, result: queryOfTerm(term, read, edits) }));
  const readable = all.flatMap(({ id, result }) => (result.ok ? [{ id, query: result.query }] : []));
  const others = allButEach(readable.map(({ query }) => query));
  const adds = readable.map(({ id, query }, i): [string, Query] => {
    const operands = others[i] ?? [];
    if (operands.length === 0) return [id, query];
    return [id, { kind: 'not', include: query, exclude: { kind: 'or', operands } }];
  });
  return new Map<string, Query | null>([...all.map(({ id }): [string, null] => [id, null]), ...adds]);
}

/**
 * For each of some queries, all others in their order. They are joined by halves that are shared, so that of thousands
 * each has some ten parts of its own, and not thousands.
 */
function allButEach(queries: readonly Query[]): Query[][] {
  const found: Query[][] = [];
  const halves = (some: readonly Query[]) => {
    const middle = Math.ceil(some.length / 2);
    return [some.slice(0, middle), some.slice(middle)] as const;
  };
  const visit = (some: readonly Query[], before: readonly Query[], after: readonly Query[]) => {
    if (some.length < 2) {
      if (some.length === 1) found.push([...before, ...after]);
      return;
    }
    const [left, right] = halves(some);
    const [ofLeft, ofRight] = [left, right].map((half) => single(anyOf(half))) as [Query, Query];
    visit(left, before, [ofRight, ...after]);
    visit(right, [...before, ofLeft], after);
  };
  visit(queries, [], []);
  return found;
}

function lineRef(line: number): Query {
  return { kind: 'line', line };
}
