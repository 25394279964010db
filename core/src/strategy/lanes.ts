/** The lanes of a question: those of its elements that are searched on. */
import { elementShape, type ElementKey } from '../question/index.js';
import type { TermContent } from './model.js';

/** What of an element makes up its lane. */
export interface ElementOfLane {
  id: string;
  key: ElementKey;
  text: string;
  searched: boolean;
  terms: readonly { content: TermContent }[];
}

export interface LaneOfElement<Element extends ElementOfLane> {
  id: string;
  name: string;
  element: Element;
  terms: Element['terms'][number][];
}

/** In the order of the elements; within a lane headings come first, then words, as they are shown. */
export function lanesOfElements<Element extends ElementOfLane>(
  elements: readonly Element[],
): LaneOfElement<Element>[] {
  return elements
    .filter(({ searched }) => searched)
    .map((element) => {
      const terms: Element['terms'][number][] = [...element.terms];
      const ofKind = (kind: TermContent['kind']) => terms.filter(({ content }) => content.kind === kind);
      return {
        id: element.id,
        name: element.text.trim() || elementShape(element.key).name,
        element,
        terms: [...ofKind('heading'), ...ofKind('words')],
      };
    });
}
