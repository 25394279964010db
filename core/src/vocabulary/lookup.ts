/** From the word a person types to the headings it may mean. */
import { textKey } from '../text/index.js';
import type { Heading, VocabularyTree } from './model.js';

export type LookupReason =
  'same label' | 'entry term' | 'begins the label' | 'begins an entry term' | 'words of the name';

export interface LookupHit {
  heading: Heading;
  reason: LookupReason;
  /** the label or entry term that matched */
  matched: string;
}

const ORDER: readonly LookupReason[] = [
  'same label',
  'entry term',
  'begins the label',
  'begins an entry term',
  'words of the name',
];

/**
 * Headings whose label or entry terms match what was typed, the surest first. A trailing plural `s` does not
 * matter.
 *
 * @param limit the most headings to return
 */
export function lookUp(tree: VocabularyTree, typed: string, limit = 8): LookupHit[] {
  const wanted = singular(textKey(typed.replaceAll(/[*?"]/g, ' ')));
  if (wanted === '') return [];
  const wantedWords = wanted.split(' ');
  const hits: LookupHit[] = [];
  for (const heading of tree.vocabulary.headings) {
    let best: LookupHit | null = null;
    for (const [i, name] of [heading.label, ...heading.entryTerms].entries()) {
      const reason = reasonFor(singular(textKey(name)), wanted, wantedWords, i === 0);
      if (reason !== null && (best === null || ORDER.indexOf(reason) < ORDER.indexOf(best.reason))) {
        best = { heading, reason, matched: name };
      }
    }
    if (best !== null) hits.push(best);
  }
  return hits
    .sort(
      (a, b) =>
        ORDER.indexOf(a.reason) - ORDER.indexOf(b.reason) ||
        a.matched.length - b.matched.length ||
        a.heading.label.localeCompare(b.heading.label, 'en'),
    )
    .slice(0, limit);
}

function reasonFor(
  name: string,
  wanted: string,
  words: readonly string[],
  isLabel: boolean,
): LookupReason | null {
  if (name === wanted) return isLabel ? 'same label' : 'entry term';
  if (wanted.length < 2) return null;
  if (name.startsWith(wanted)) return isLabel ? 'begins the label' : 'begins an entry term';
  const nameWords = name.split(' ');
  const all = words.every((word) =>
    nameWords.some((own) => (word.length > 2 ? own.startsWith(word) : own === word)),
  );
  return all ? 'words of the name' : null;
}

function singular(key: string): string {
  return key
    .split(' ')
    .map((word) => (word.length > 3 && word.endsWith('s') && !word.endsWith('ss') ? word.slice(0, -1) : word))
    .join(' ');
}
