/** What edits of a review change, thing by thing, so that what one edit did can be told apart from the rest. */
import { findingKey, type Finding } from '../checks/index.js';
import type { LadderRung } from '../designs/index.js';
import type { Limit } from '../limits/index.js';
import type { FrameworkId } from '../question/index.js';
import type { ElementOfLane, LinesFor, OwnLine, Term, TermContent } from '../strategy/index.js';
import type { LaneState, StrategyState, WrittenState } from './state.js';

/**
 * A strategy with what stands around it: how the question is framed, what its elements say, the shelf, how fine the lines
 * are, what was let stand of what checks found, and the ladder of evidence.
 */
export interface EditableState {
  framework: FrameworkId;
  linesFor: LinesFor;
  /** null where it is the one proposed for the question */
  ladder: readonly ReasonedRung[] | null;
  /** in the order of their keys */
  accepted: LetStand[];
  /** in their order */
  elements: EditableElement[];
  strategy: Omit<StrategyState, 'searched'>;
  /** in its order */
  shelf: ShelfState[];
}

export interface EditableElement extends ElementOfLane {
  note: string;
}

/** Terms kept for later. */
export interface ShelfState {
  id: string;
  name: string;
  contents: TermContent[];
}

/** A rung of the ladder as a review sees it. */
export interface ReasonedRung extends LadderRung {
  reason: string;
}

/** What a check found and a person let stand. */
export interface LetStand extends Pick<Finding, 'check' | 'at' | 'detail' | 'message'> {
  reason: string;
}

/** One thing that edits change. Where it stands among others is told by orders. */
export type Thing =
  | { kind: 'framework'; framework: FrameworkId }
  | { kind: 'lines for'; linesFor: LinesFor }
  | { kind: 'ladder'; ladder: readonly ReasonedRung[] }
  | ({ kind: 'finding' } & LetStand)
  | ({ kind: 'element' } & EditableElement)
  | ({ kind: 'lane' } & Omit<LaneState, 'terms'>)
  | ({ kind: 'term'; laneId: string } & Term)
  | ({ kind: 'own line' } & OwnLine)
  | ({ kind: 'limit'; limit: Limit } & Pick<Limit, 'id'>)
  | ({ kind: 'text' } & WrittenState)
  | ({ kind: 'shelf' } & ShelfState);

/**
 * A state as things by their keys, and as lists of keys for those that stand in an order: `lanes`, `terms` of each lane
 * by its key, `own lines`, `limits`, `shelf`.
 */
export interface Things {
  things: ReadonlyMap<string, Thing>;
  orders: ReadonlyMap<string, readonly string[]>;
}

export function thingsOf(state: EditableState): Things {
  const { framework, linesFor, ladder, accepted, elements, strategy, shelf } = state;
  const { lanes, ownLines, limits, written } = strategy;
  const all: Thing[] = [
    { kind: 'framework', framework },
    { kind: 'lines for', linesFor },
    ...(ladder === null ? [] : [{ kind: 'ladder', ladder } as const]),
    ...accepted.map((finding): Thing => ({ kind: 'finding', ...finding })),
    ...elements.map((element): Thing => ({ kind: 'element', ...element })),
    ...lanes.flatMap(({ terms, ...lane }): Thing[] => [
      { kind: 'lane', ...lane },
      ...terms.map((term): Thing => ({ kind: 'term', laneId: lane.id, ...term })),
    ]),
    ...ownLines.map((line): Thing => ({ kind: 'own line', ...line })),
    ...limits.map((limit): Thing => ({ kind: 'limit', id: limit.id, limit })),
    ...written.map((text): Thing => ({ kind: 'text', ...text })),
    ...shelf.map((item): Thing => ({ kind: 'shelf', ...item })),
  ];
  const orders = new Map<string, string[]>();
  for (const thing of all) {
    const list = listOf(thing);
    if (list !== null) orders.set(list, [...(orders.get(list) ?? []), keyOfThing(thing)]);
  }
  return { things: new Map(all.map((thing) => [keyOfThing(thing), thing])), orders };
}

/** The state that things make up. @throws RangeError where no framework is among them, or not how fine lines are */
export function stateOfThings({ things, orders }: Things): EditableState {
  const all = [...things.values()];
  const ofKind = <Kind extends Thing['kind']>(kind: Kind) =>
    all.filter((thing): thing is Extract<Thing, { kind: Kind }> => thing.kind === kind);
  const inOrder = <Kind extends Thing['kind']>(kind: Kind, list: string) =>
    (orders.get(list) ?? []).flatMap((key) => {
      const thing = things.get(key);
      return thing?.kind === kind ? [thing as Extract<Thing, { kind: Kind }>] : [];
    });
  const [framework] = ofKind('framework');
  const [fine] = ofKind('lines for');
  if (framework === undefined || fine === undefined) {
    throw new RangeError('a state has a framework, and tells how fine its lines are');
  }
  return {
    framework: framework.framework,
    linesFor: fine.linesFor,
    ladder: ofKind('ladder')[0]?.ladder ?? null,
    accepted: ofKind('finding')
      .map(withoutKind)
      .sort((a, b) => (findingKey(a) < findingKey(b) ? -1 : 1)),
    elements: ofKind('element').map(withoutKind),
    strategy: {
      lanes: inOrder('lane', 'lanes').map(({ kind: _kind, ...lane }) => ({
        ...lane,
        terms: inOrder('term', `terms:${lane.id}`).map(({ kind: _term, laneId: _lane, ...term }) => term),
      })),
      ownLines: inOrder('own line', 'own lines').map(withoutKind),
      limits: inOrder('limit', 'limits').map(({ limit }) => limit),
      written: ofKind('text').map(withoutKind),
    },
    shelf: inOrder('shelf', 'shelf').map(withoutKind),
  };
}

function withoutKind<T extends { kind: string }>({ kind: _kind, ...rest }: T): Omit<T, 'kind'> {
  return rest;
}

export function keyOfThing(thing: Thing): string {
  switch (thing.kind) {
    case 'framework':
    case 'lines for':
    case 'ladder':
      return thing.kind;
    case 'finding':
      return `finding:${findingKey(thing)}`;
    case 'text':
      return `text:${thing.database}:${thing.line}`;
    default:
      return `${thing.kind}:${thing.id}`;
  }
}

/** The list in which a thing stands; null for those without an order of their own. */
export function listOf(thing: Thing): string | null {
  switch (thing.kind) {
    case 'lane':
      return 'lanes';
    case 'term':
      return `terms:${thing.laneId}`;
    case 'own line':
      return 'own lines';
    case 'limit':
      return 'limits';
    case 'shelf':
      return 'shelf';
    case 'framework':
    case 'lines for':
    case 'ladder':
    case 'finding':
    case 'element':
    case 'text':
      return null;
  }
}
