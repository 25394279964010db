/** The state of a strategy, as a version keeps it. */
import type { Limit } from '../limits/index.js';
import {
  describeTerm,
  laneKey,
  limitKey,
  ownKey,
  termKey,
  type LineKey,
  type LineText,
  type OwnLine,
  type Term,
  type TermContent,
  ROLE_NAMES,
} from '../strategy/index.js';
import { limitText } from '../limits/index.js';

/** All that decides what a strategy finds. What elements say is the question’s, and is kept there. */
export interface StrategyState {
  /** the elements that are searched on, by their ids */
  searched: string[];
  /** in their order */
  lanes: LaneState[];
  /** in their order */
  ownLines: OwnLine[];
  /** in their order */
  limits: Limit[];
  /** what is written by hand, in the order of databases and lines */
  written: WrittenState[];
}

export interface LaneState {
  id: string;
  elementId: string | null;
  name: string;
  leftOut: boolean;
  /** in their order, those that are held back as well */
  terms: Term[];
}

export interface WrittenState extends LineText {
  database: string;
}

/** What differs between two states at one place. */
export interface StrategyChange {
  what: 'term' | 'lane' | 'own line' | 'limit' | 'element' | 'text';
  did: 'added' | 'taken out' | 'changed' | 'moved';
  at: LineKey;
  /** the lane of a term or the database of a text, as the state calls it; empty for others */
  within: string;
  /** what stood there, and what stands there now, in words; null where there is nothing */
  before: string | null;
  after: string | null;
}

/**
 * The present state with some lanes as they were in an earlier one. A lane that has ended since comes back at the end; a
 * term that was moved since goes back to its lane.
 */
export function withLanesOf(
  present: StrategyState,
  then: StrategyState,
  laneIds: readonly string[],
): StrategyState {
  const taken = then.lanes.filter(({ id }) => laneIds.includes(id));
  const byId = new Map(taken.map((lane) => [lane.id, lane]));
  const terms = new Set(taken.flatMap((lane) => lane.terms.map(({ id }) => id)));
  const lanes = present.lanes.map(
    (lane) => byId.get(lane.id) ?? { ...lane, terms: lane.terms.filter(({ id }) => !terms.has(id)) },
  );
  const back = taken.filter(({ id }) => present.lanes.every((lane) => lane.id !== id));
  const elements = taken.flatMap(({ elementId }) =>
    elementId !== null && then.searched.includes(elementId) && !present.searched.includes(elementId)
      ? [elementId]
      : [],
  );
  return { ...present, lanes: [...lanes, ...back], searched: [...present.searched, ...new Set(elements)] };
}

/** @returns what was done from one state to another, lanes first; nothing when they are the same */
export function compareStates(before: StrategyState, after: StrategyState): StrategyChange[] {
  return [
    ...compareElements(before, after),
    ...compareLanes(before, after),
    ...compareTerms(before, after),
    ...compareLists('own line', ownKey, before.ownLines, after.ownLines, ownText),
    ...compareLists('limit', limitKey, before.limits, after.limits, limitInWords),
    ...compareWritten(before.written, after.written),
  ];
}

function compareElements(before: StrategyState, after: StrategyState): StrategyChange[] {
  const change = (id: string, did: 'added' | 'taken out'): StrategyChange => ({
    what: 'element',
    did,
    at: `element:${id}`,
    within: '',
    before: null,
    after: null,
  });
  return [
    ...after.searched.filter((id) => !before.searched.includes(id)).map((id) => change(id, 'added')),
    ...before.searched.filter((id) => !after.searched.includes(id)).map((id) => change(id, 'taken out')),
  ];
}

function compareLanes(before: StrategyState, after: StrategyState): StrategyChange[] {
  const inWords = ({ name, leftOut }: LaneState) => `${name}${leftOut ? ' (left out)' : ''}`.trim();
  return compareLists('lane', laneKey, before.lanes, after.lanes, inWords);
}

/** Terms are told wherever they stand; one that is in another lane has moved. */
function compareTerms(before: StrategyState, after: StrategyState): StrategyChange[] {
  const placed = ({ lanes }: StrategyState) =>
    new Map(lanes.flatMap((lane) => lane.terms.map((term) => [term.id, { term, lane }] as const)));
  const [was, is] = [placed(before), placed(after)];
  const changes: StrategyChange[] = [];
  for (const [id, { term, lane }] of is) {
    const earlier = was.get(id);
    const common = { what: 'term' as const, at: termKey(id), within: lane.id, after: termInWords(term) };
    if (earlier === undefined) changes.push({ ...common, did: 'added', before: null });
    else {
      const words = termInWords(earlier.term);
      if (words !== common.after || !sameContent(earlier.term.content, term.content)) {
        changes.push({ ...common, did: 'changed', before: words });
      }
      if (earlier.lane.id !== lane.id) changes.push({ ...common, did: 'moved', before: words });
    }
  }
  for (const [id, { term, lane }] of was) {
    if (is.has(id)) continue;
    const common = { what: 'term' as const, at: termKey(id), within: lane.id };
    changes.push({ ...common, did: 'taken out', before: termInWords(term), after: null });
  }
  return changes;
}

function termInWords({ content, heldBack }: Term): string {
  const { text, marks } = describeTerm(content);
  return `${text} (${marks.join(', ')})${heldBack === null ? '' : `, held back: ${heldBack}`}`;
}

function sameContent(one: TermContent, other: TermContent): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

function ownText({ role, on, text, note }: OwnLine): string {
  return [text, ROLE_NAMES[role], ...(on ? [] : ['off']), ...(note === '' ? [] : [note])].join(' · ');
}

function limitInWords(limit: Limit): string {
  const ways = Object.entries(limit.ways).map(([database, way]) => `${database}: ${way}`);
  return [
    limitText(limit),
    ...(limit.on ? [] : ['off']),
    ...(limit.reason === '' ? [] : [limit.reason]),
    ...ways,
  ].join(' · ');
}

function compareLists<Item extends { id: string }>(
  what: StrategyChange['what'],
  keyOf: (id: string) => LineKey,
  before: readonly Item[],
  after: readonly Item[],
  inWords: (item: Item) => string,
): StrategyChange[] {
  const common = (id: string) => ({ what, at: keyOf(id), within: '' });
  const added = after
    .filter(({ id }) => !before.some((each) => each.id === id))
    .map((item): StrategyChange => ({
      ...common(item.id),
      did: 'added',
      before: null,
      after: inWords(item),
    }));
  const gone = before
    .filter(({ id }) => !after.some((each) => each.id === id))
    .map((item): StrategyChange => ({
      ...common(item.id),
      did: 'taken out',
      before: inWords(item),
      after: null,
    }));
  const both = after.flatMap((item): StrategyChange[] => {
    const was = before.find(({ id }) => id === item.id);
    if (was === undefined || inWords(was) === inWords(item)) return [];
    return [{ ...common(item.id), did: 'changed', before: inWords(was), after: inWords(item) }];
  });
  const order = (items: readonly Item[], others: readonly Item[]) =>
    items.map(({ id }) => id).filter((id) => others.some((each) => each.id === id));
  const [was, is] = [order(before, after), order(after, before)];
  const moved = is
    .filter((id, i) => id !== was[i])
    .slice(0, 1)
    .map((id): StrategyChange => {
      const item = after.find((each) => each.id === id);
      const words = item === undefined ? '' : inWords(item);
      return { ...common(id), did: 'moved', before: words, after: words };
    });
  return [...added, ...gone, ...both, ...moved];
}

function compareWritten(before: readonly WrittenState[], after: readonly WrittenState[]): StrategyChange[] {
  const same = (one: WrittenState, other: WrittenState) =>
    one.database === other.database && one.line === other.line;
  const common = ({ line, database }: WrittenState) => ({
    what: 'text' as const,
    at: line,
    within: database,
  });
  return [
    ...after.flatMap((text): StrategyChange[] => {
      const was = before.find((each) => same(each, text));
      if (was === undefined) return [{ ...common(text), did: 'added', before: null, after: text.text }];
      if (was.text === text.text && was.language === text.language) return [];
      return [{ ...common(text), did: 'changed', before: was.text, after: text.text }];
    }),
    ...before
      .filter((text) => !after.some((each) => same(each, text)))
      .map((text): StrategyChange => ({ ...common(text), did: 'taken out', before: text.text, after: null })),
  ];
}
