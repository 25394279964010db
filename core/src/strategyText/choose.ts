/** What a person takes of an arranged strategy. What refers to something that is left cannot be taken either. */
import { laneKey, linesReferredTo, ownKey, termKey, textWithKeys, type LineKey } from '../strategy/index.js';
import type { ArrangedStrategy } from './arrange.js';

export interface Chosen {
  /** by place, from 0 */
  lanes: readonly boolean[];
  ownLines: readonly boolean[];
}

/** @returns the lines that can be taken beside what is chosen, by place: those that refer to nothing that is left */
export function linesThatFit(strategy: ArrangedStrategy, { lanes, ownLines }: Chosen): boolean[] {
  const left = new Set<LineKey>();
  strategy.lanes.forEach(({ terms }, i) => {
    if (lanes[i] === true) return;
    left.add(laneKey(String(i + 1)));
    terms.forEach((_, k) => left.add(termKey(`${i + 1}.${k + 1}`)));
  });
  ownLines.forEach((taken, i) => {
    if (!taken) left.add(ownKey(String(i + 1)));
  });
  // Lines refer to lines before them only, so one look is enough.
  return strategy.ownLines.map(({ text }, i) => {
    const fits = linesReferredTo(text).every((key) => !left.has(key));
    if (!fits) left.add(ownKey(String(i + 1)));
    return fits;
  });
}

/** What is chosen and fits, with its places in the smaller strategy. */
export function chosenOf(strategy: ArrangedStrategy, chosen: Chosen): ArrangedStrategy {
  const fits = linesThatFit(strategy, chosen);
  const places = new Map<LineKey, LineKey>();
  let [lane, line] = [0, 0];
  strategy.lanes.forEach(({ terms }, i) => {
    if (chosen.lanes[i] !== true) return;
    lane += 1;
    places.set(laneKey(String(i + 1)), laneKey(String(lane)));
    terms.forEach((_, k) => places.set(termKey(`${i + 1}.${k + 1}`), termKey(`${lane}.${k + 1}`)));
  });
  const isTaken = (i: number) => chosen.ownLines[i] === true && fits[i] === true;
  strategy.ownLines.forEach((_, i) => {
    if (!isTaken(i)) return;
    line += 1;
    places.set(ownKey(String(i + 1)), ownKey(String(line)));
  });
  return {
    lanes: strategy.lanes.filter((_, i) => chosen.lanes[i] === true),
    ownLines: strategy.ownLines
      .filter((_, i) => isTaken(i))
      .map((each) => ({ ...each, text: textWithKeys(each.text, (key) => places.get(key) ?? null) })),
  };
}
