/** From the headings that topics are written in to those of another vocabulary. */
import { headingByLabel, indexVocabulary, type Vocabulary } from '@even-lantern/core';
import type { AuthoredVocabulary } from './content.js';

/**
 * The headings of a vocabulary for one of the first vocabulary: those written as its counterparts, or, where there
 * are none, those of the nearest heading above that has any.
 */
export function counterpartsIn(
  target: AuthoredVocabulary,
  first: Vocabulary,
): (label: string) => readonly string[] {
  const direct = directCounterparts(target);
  const tree = indexVocabulary(first);
  return (label) => {
    const seen = new Set([label]);
    for (let level = [label]; level.length > 0;) {
      const found = level.flatMap((each) => direct.get(each) ?? []);
      if (found.length > 0) return [...new Set(found)];
      level = level
        .flatMap((each) => headingByLabel(tree, each)?.broader ?? [])
        .filter((above) => !seen.has(above));
      level.forEach((above) => seen.add(above));
    }
    return [];
  };
}

/** The headings written as counterparts, by the heading of the first vocabulary. */
export function directCounterparts(target: AuthoredVocabulary): ReadonlyMap<string, readonly string[]> {
  const direct = new Map<string, string[]>();
  for (const [label, firsts] of target.counterparts) {
    for (const each of firsts) direct.set(each, [...(direct.get(each) ?? []), label]);
  }
  return direct;
}
