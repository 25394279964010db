/**
 * A pasted strategy arranged as ours: what is joined with OR becomes lanes, what these are joined with becomes lines of
 * one’s own, and what nothing uses is looked at. The whole finds just what the pasted one does.
 */
import { childrenOf, printCql, printPhrase, type Query } from '../query/index.js';
import {
  laneKey,
  linesIn,
  ownKey,
  STRATEGY_FORM,
  termKey,
  textToKeep,
  type LaneDocument,
  type LineKey,
  type OwnLineRole,
  type StrategyDocument,
  type TermContent,
} from '../strategy/index.js';
import type { PastedLine } from './pastedLines.js';

export interface ArrangedLane {
  name: string;
  leftOut: boolean;
  terms: TermContent[];
  /** the pasted lines that it stands for */
  lines: number[];
}

export interface ArrangedLine {
  role: OwnLineRole;
  /** in CQL, lines named by their places: `lane:1`, `term:1.2` */
  text: string;
  /** the pasted line that it stands for */
  line: number;
}

export interface ArrangedStrategy {
  lanes: ArrangedLane[];
  ownLines: ArrangedLine[];
}

/** A part of the whole; the order of parts does not matter. */
interface Part {
  query: Query;
  role: Exclude<OwnLineRole, 'looks'>;
  /** the pasted line that it is, or stands in */
  line: number;
}

/** A lane of more terms than this is no lane that somebody wrote. */
const MOST_TERMS = 2000;

/** @param lines those that can be read count; the last that no other refers to is the whole */
export function arrangeStrategy(lines: readonly PastedLine[]): ArrangedStrategy {
  const pasted = new Pasted(lines);
  const wholes = pasted.wholes();
  const main = wholes.at(-1);
  if (main === undefined) return { lanes: [], ownLines: [] };
  const all: Query = { kind: 'and', operands: wholes.map((line) => ({ kind: 'line', line })) };
  const parts = pasted.partsOf(single(all), main);
  const lanes: ArrangedLane[] = [];
  const own: Part[] = [];
  for (const part of parts) {
    const terms = part.role === 'adds' ? null : pasted.laneTerms(part.query);
    if (terms === null) own.push(part);
    else addLane(lanes, terms, part);
  }
  const written = new WrittenLines(pasted, lanes);
  for (const { query, role, line } of own) written.add(query, role, line);
  for (const line of pasted.aside(wholes)) written.add({ kind: 'line', line }, 'looks', line);
  return { lanes, ownLines: written.lines };
}

/** What the lines say, each looked at once however often others refer to it. */
class Pasted {
  private readonly queries: ReadonlyMap<number, Query>;
  private readonly terms = new Map<number, TermContent[] | null>();
  private readonly parts = new Map<number, Part[]>();
  private readonly used: ReadonlySet<number>;

  constructor(lines: readonly PastedLine[]) {
    this.queries = new Map(lines.flatMap(({ number, query }) => (query === null ? [] : [[number, query]])));
    this.used = new Set([...this.queries.values()].flatMap(linesIn));
  }

  queryOf(line: number): Query | undefined {
    return this.queries.get(line);
  }

  numbers(): number[] {
    return [...this.queries.keys()];
  }

  /**
   * The lines that are the whole together: the last that nothing refers to. Where no line refers to another, each is a
   * concept, unless the last says all that the others do.
   */
  wholes(): number[] {
    const tops = this.numbers().filter((line) => !this.used.has(line));
    if (this.used.size > 0 || this.lastSaysAll()) return tops.slice(-1);
    return tops;
  }

  /** Lines that nothing refers to, and that are no part of the whole. */
  aside(wholes: readonly number[]): number[] {
    if (this.used.size === 0) return [];
    return this.numbers().filter((line) => !this.used.has(line) && !wholes.includes(line));
  }

  /** The terms of a query that is no more than terms joined with OR, each once; null for any other. */
  laneTerms(query: Query): TermContent[] | null {
    switch (query.kind) {
      case 'line': {
        const known = this.terms.get(query.line);
        if (known !== undefined) return known;
        const target = this.queries.get(query.line);
        const terms = target === undefined ? null : this.laneTerms(target);
        this.terms.set(query.line, terms);
        return terms;
      }
      case 'or': {
        const all: TermContent[] = [];
        for (const operand of query.operands) {
          const terms = this.laneTerms(operand);
          if (terms === null) return null;
          for (const term of terms) if (!all.some((each) => same(each, term))) all.push(term);
          if (all.length > MOST_TERMS) return null;
        }
        return all.length === 0 ? null : all;
      }
      default: {
        const term = termOf(query);
        return term === null ? null : [term];
      }
    }
  }

  partsOf(query: Query, line: number): Part[] {
    const asItIs: Part[] = [{ query, role: 'narrows', line }];
    // What is no more than a lane stays as it is, so that what refers to its line refers to the lane.
    if (this.laneTerms(query) !== null) return [{ query, role: 'narrows', line: lineOf(query, line) }];
    switch (query.kind) {
      case 'line': {
        const known = this.parts.get(query.line);
        if (known !== undefined) return known;
        const target = this.queries.get(query.line);
        if (target === undefined) return asItIs;
        const parts = this.partsOf(target, query.line);
        // A line that is but one part is that part by its name.
        const [only, second] = parts;
        const shown =
          only?.query === target && second === undefined
            ? [{ query, role: only.role, line: query.line }]
            : parts;
        this.parts.set(query.line, shown);
        return shown;
      }
      case 'and':
        return distinct(
          query.operands.flatMap((each) => {
            const parts = this.partsOf(each, line);
            // What is added to a part is no part of what the others narrow, so such a part stays whole.
            const adds = parts.some(({ role }) => role === 'adds');
            return adds ? [{ query: each, role: 'narrows' as const, line: lineOf(each, line) }] : parts;
          }),
        );
      case 'not': {
        const leftOut = this.alternatives(query.exclude).map((each): Part => ({
          query: each,
          role: 'leavesOut',
          line: lineOf(each, line),
        }));
        return distinct([...this.partsOf(query.include, line), ...leftOut]);
      }
      case 'or': {
        // What is added to one part that is joined with AND.
        const at = query.operands.findIndex((each) => this.laneTerms(each) === null);
        const joined = query.operands[at];
        const others = query.operands.filter((_, i) => i !== at);
        const within = joined === undefined ? [] : this.partsOf(joined, line);
        if (within.length < 2 || within.some(({ role }) => role !== 'narrows')) return asItIs;
        return [
          ...within,
          ...others.map((each): Part => ({ query: each, role: 'adds', line: lineOf(each, line) })),
        ];
      }
      default:
        return asItIs;
    }
  }

  /** The queries of which any is left out. */
  private alternatives(query: Query): Query[] {
    if (query.kind !== 'or' || this.laneTerms(query) !== null) return [query];
    return query.operands.flatMap((each) => this.alternatives(each));
  }

  /** Whether the last line holds every term of the others, as where each line is written out in full. */
  private lastSaysAll(): boolean {
    const last = [...this.queries.values()].at(-1);
    if (last === undefined) return true;
    const leaves = (query: Query): string[] => {
      if (query.kind === 'and' || query.kind === 'or' || query.kind === 'not')
        return childrenOf(query).flatMap(leaves);
      return [JSON.stringify(query)];
    };
    const all = new Set(leaves(last));
    return [...this.queries.values()].every((query) => leaves(query).every((leaf) => all.has(leaf)));
  }
}

/** Lines of one’s own as they come to be; each pasted line is one at most. */
class WrittenLines {
  readonly lines: ArrangedLine[] = [];
  private readonly places = new Map<number, LineKey>();

  constructor(
    private readonly pasted: Pasted,
    lanes: readonly ArrangedLane[],
  ) {
    for (const number of pasted.numbers()) {
      // A line is a lane where it says just what that says, and no more: terms of a lane may also stand within other lines.
      const terms = pasted.laneTerms({ kind: 'line', line: number });
      if (terms === null) continue;
      const lane = lanes.findIndex((each) => sameTerms(each.terms, terms));
      if (lane >= 0) this.places.set(number, laneKey(String(lane + 1)));
      const [term, second] = terms;
      if (term === undefined || second !== undefined) continue;
      for (const [i, each] of lanes.entries()) {
        const k = each.terms.findIndex((known) => same(known, term));
        if (k >= 0 && !this.places.has(number)) this.places.set(number, termKey(`${i + 1}.${k + 1}`));
      }
    }
  }

  add(query: Query, role: OwnLineRole, line: number): void {
    const isLine = query.kind === 'line' && query.line === line;
    const own = isLine ? (this.pasted.queryOf(line) ?? query) : query;
    if (isLine && this.places.has(line) && role === 'looks') return;
    // What it refers to comes before it.
    for (const other of linesIn(own)) {
      if (!this.places.has(other)) this.add({ kind: 'line', line: other }, 'looks', other);
    }
    const text = textToKeep(
      printCql(own, { vocabulary: '' }),
      (number) => this.places.get(number) ?? null,
      null,
    );
    this.lines.push({ role, text, line });
    if (isLine && !this.places.has(line)) this.places.set(line, ownKey(String(this.lines.length)));
  }
}

/** As the form in which strategies are read. */
export function arrangedDocument(
  title: string,
  { lanes, ownLines }: ArrangedStrategy,
  elementOf: (lane: ArrangedLane) => LaneDocument['element'] = () => null,
): StrategyDocument {
  return {
    form: STRATEGY_FORM,
    title,
    lanes: lanes.map((lane) => ({
      name: lane.name,
      element: elementOf(lane),
      leftOut: lane.leftOut,
      terms: lane.terms.map((content) => ({ content, origin: 'pasted', heldBack: null })),
    })),
    ownLines: ownLines.map(({ role, text, line }) => ({
      role,
      on: true,
      text,
      note: `pasted as line ${line}`,
    })),
    limits: [],
    written: [],
  };
}

/** The line that a query is, or else the one it stands in. */
function lineOf(query: Query, line: number): number {
  return query.kind === 'line' ? query.line : line;
}

function distinct(parts: readonly Part[]): Part[] {
  const known = new Map<string, Part>();
  for (const part of parts) {
    const key = part.query.kind === 'line' ? `${part.role} ${part.query.line}` : null;
    known.set(key ?? `${part.role} ${JSON.stringify(part.query)}`, part);
  }
  return [...known.values()];
}

function sameTerms(ones: readonly TermContent[], others: readonly TermContent[]): boolean {
  return JSON.stringify(ones) === JSON.stringify(others);
}

function same(one: TermContent, other: TermContent): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** A query that joins but one part, as that part. */
function single(query: Query): Query {
  const [only, second] = query.kind === 'and' ? query.operands : [];
  return only !== undefined && second === undefined ? only : query;
}

/** The term that searches for just this; null where no single one does. */
function termOf(query: Query): TermContent | null {
  switch (query.kind) {
    case 'heading': {
      const { vocabulary, label, narrower, central, subheadings } = query;
      return { kind: 'heading', vocabulary, label, narrower, central, subheadings: [...subheadings] };
    }
    case 'words':
      return { kind: 'words', text: phraseText(printPhrase(query.phrase)), field: query.field, near: null };
    case 'near': {
      const [first] = query.parts;
      const simple =
        !query.ordered &&
        first !== undefined &&
        query.parts.every(({ phrase, field }) => phrase.length === 1 && field === first.field);
      if (!simple) return null;
      const text = query.parts.map(({ phrase }) => printPhrase(phrase)).join(' ');
      return { kind: 'words', text, field: first.field, near: query.distance };
    }
    default:
      return null;
  }
}

/** Several words are a phrase, which quotation marks say. */
function phraseText(text: string): string {
  return text.includes(' ') ? `"${text}"` : text;
}

function addLane(lanes: ArrangedLane[], terms: readonly TermContent[], { role, line }: Part): void {
  const leftOut = role === 'leavesOut';
  const known = lanes.find((lane) => lane.leftOut === leftOut && sameTerms(lane.terms, terms));
  if (known !== undefined) known.lines.push(line);
  else lanes.push({ name: nameFor(terms, lanes), leftOut, terms: [...terms], lines: [line] });
}

/** A lane is called as its first heading is, or else its first words. */
function nameFor(terms: readonly TermContent[], lanes: readonly ArrangedLane[]): string {
  const heading = terms.find(({ kind }) => kind === 'heading');
  const first = heading ?? terms[0];
  const name =
    first === undefined
      ? ''
      : (first.kind === 'heading' ? first.label : first.text.replace(/["*]/g, '')).trim();
  const taken = lanes.filter((lane) => lane.name === name || lane.name.startsWith(`${name} (`)).length;
  return (taken === 0 ? name : `${name} (${taken + 1})`).slice(0, 200);
}
