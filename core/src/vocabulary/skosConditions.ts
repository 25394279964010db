/** Integrity conditions of SKOS (SKOS Reference, W3C 2009, sections 5.4 and 8.4) that a vocabulary breaks. */
import type { Heading } from './model.js';

export interface BrokenConditions {
  /** labels of headings that have one name as preferred and as alternative or hidden, or as both of these (S13) */
  namedTwice: string[];
  /** pairs that are related although one lies below the other (S27), each once */
  relatedAndAbove: [string, string][];
  /** false where the hierarchy is so large that not all pairs were looked at */
  complete: boolean;
}

/** How many steps upwards are made for all pairs together; a great vocabulary needs a tenth of it. */
const MOST_STEPS = 3_000_000;

export function brokenConditions(headings: readonly Heading[]): BrokenConditions {
  const namedTwice = headings.filter(isNamedTwice).map(({ label }) => label);
  const byLabel = new Map<string, Heading>();
  if (headings.some(({ related }) => related.length > 0)) {
    for (const heading of headings) byLabel.set(heading.label, heading);
  }
  const relatedAndAbove: [string, string][] = [];
  let steps = 0;
  for (const heading of headings) {
    if (heading.related.length === 0) continue;
    if (steps > MOST_STEPS) return { namedTwice, relatedAndAbove, complete: false };
    const above = new Set<string>();
    const open = [...heading.broader];
    for (let label = open.pop(); label !== undefined && steps <= MOST_STEPS; label = open.pop()) {
      if (above.has(label)) continue;
      above.add(label);
      steps += 1;
      for (const next of byLabel.get(label)?.broader ?? []) open.push(next);
    }
    for (const other of new Set(heading.related)) {
      if (above.has(other)) relatedAndAbove.push([heading.label, other]);
      // Whoever is above may be the only one that says so.
      else if (
        isAbove(heading.label, other) &&
        byLabel.get(other)?.related.includes(heading.label) !== true
      ) {
        relatedAndAbove.push([heading.label, other]);
      }
    }
  }
  return { namedTwice, relatedAndAbove, complete: true };

  function isAbove(high: string, low: string): boolean {
    const seen = new Set<string>();
    const open = [low];
    for (let label = open.pop(); label !== undefined && steps <= MOST_STEPS; label = open.pop()) {
      steps += 1;
      for (const next of byLabel.get(label)?.broader ?? []) {
        if (next === high) return true;
        if (seen.has(next)) continue;
        seen.add(next);
        open.push(next);
      }
    }
    return false;
  }
}

function isNamedTwice({ label, entryTerms, further }: Heading): boolean {
  const hidden = further?.hiddenLabel ?? [];
  if (entryTerms.includes(label) || hidden.includes(label)) return true;
  return hidden.length > 0 && hidden.some((name) => entryTerms.includes(name));
}
