/** The lanes that are searched: those of elements that are searched on, and those that stand by themselves. */
import { elementShape, type ElementKey } from '../question/index.js';
import type { TermContent } from './model.js';

/** What of an element bears on its lanes. */
export interface ElementOfLane {
  id: string;
  key: ElementKey;
  text: string;
  searched: boolean;
}

/** A lane as it is kept, whether it is searched or not. */
export interface KeptLane {
  id: string;
  /** null for a further concept, which is no part of an element */
  elementId: string | null;
  /** empty for one that is called as its element is */
  name: string;
  leftOut: boolean;
  terms: readonly { content: TermContent }[];
}

export interface LaneOfQuestion<Element extends ElementOfLane, Kept extends KeptLane> {
  id: string;
  name: string;
  leftOut: boolean;
  element: Element | null;
  kept: Kept;
  terms: Kept['terms'][number][];
}

/** What a lane is called that has neither a name nor an element. */
const FURTHER = 'Further concept';

/**
 * In the order of the elements, lanes without one behind; within an element in the order in which they are given.
 * Within a lane headings come first, then words, as they are shown.
 */
export function lanesOfQuestion<Element extends ElementOfLane, Kept extends KeptLane>(
  elements: readonly Element[],
  lanes: readonly Kept[],
): LaneOfQuestion<Element, Kept>[] {
  const of = (element: Element | null) =>
    lanes
      .filter(({ elementId }) => elementId === (element?.id ?? null))
      .map((kept) => {
        const terms: Kept['terms'][number][] = [...kept.terms];
        const ofKind = (kind: TermContent['kind']) => terms.filter(({ content }) => content.kind === kind);
        const { id, leftOut } = kept;
        const name = nameOfLane(kept, element);
        return { id, name, leftOut, element, kept, terms: [...ofKind('heading'), ...ofKind('words')] };
      });
  return [...elements.filter(({ searched }) => searched), null].flatMap(of);
}

/** Its own name, or else what its element says, or is. */
export function nameOfLane(lane: Pick<KeptLane, 'name'>, element: ElementOfLane | null): string {
  const own = lane.name.trim();
  if (own !== '' || element === null) return own || FURTHER;
  return element.text.trim() || elementShape(element.key).name;
}
