import { textKey } from '../text/index.js';
import { namesLeadingTo, type Heading, type Vocabulary, type VocabularyTree } from './model.js';

/** Prepares a vocabulary for lookup and for walking up and down. */
export function indexVocabulary(vocabulary: Vocabulary): VocabularyTree {
  const byLabel = new Map(vocabulary.headings.map((heading) => [textKey(heading.label), heading]));
  const byEntryTerm = new Map<string, Heading[]>();
  const narrower = new Map<string, Heading[]>();
  for (const heading of vocabulary.headings) {
    for (const term of namesLeadingTo(heading)) {
      const key = textKey(term);
      // A heading whose terms differ in capitals only is there once.
      if (byEntryTerm.get(key)?.at(-1) !== heading) push(byEntryTerm, key, heading);
    }
    for (const above of heading.broader) push(narrower, above, heading);
  }
  for (const list of narrower.values()) list.sort((a, b) => a.label.localeCompare(b.label, 'en'));
  return { vocabulary, byLabel, byEntryTerm, narrower };
}

const trees = new WeakMap<Vocabulary, VocabularyTree>();

/** As `indexVocabulary`, once for each vocabulary however often it is asked for. */
export function treeOf(vocabulary: Vocabulary): VocabularyTree {
  const tree = trees.get(vocabulary) ?? indexVocabulary(vocabulary);
  trees.set(vocabulary, tree);
  return tree;
}

export function headingByLabel(tree: VocabularyTree, label: string): Heading | null {
  return tree.byLabel.get(textKey(label)) ?? null;
}

/** The heading of that name, or else the first that has it as an entry term. */
export function headingCalled(tree: VocabularyTree, name: string): Heading | null {
  return headingByLabel(tree, name) ?? tree.byEntryTerm.get(textKey(name))?.[0] ?? null;
}

/** The headings directly below, in alphabetical order. */
export function directlyBelow(tree: VocabularyTree, heading: Heading): readonly Heading[] {
  return tree.narrower.get(heading.label) ?? [];
}

/**
 * All headings below one, each once, however many ways lead to it. Circles, which a foreign vocabulary may hold,
 * are walked once.
 * @returns null when there is no such heading
 */
export function allNarrower(tree: VocabularyTree, label: string): Heading[] | null {
  const top = headingByLabel(tree, label);
  if (top === null) return null;
  const seen = new Set([top]);
  const open = [top];
  for (let heading = open.pop(); heading !== undefined; heading = open.pop()) {
    for (const below of directlyBelow(tree, heading)) {
      if (seen.has(below)) continue;
      seen.add(below);
      open.push(below);
    }
  }
  seen.delete(top);
  return [...seen];
}

/** In a tree of many diamonds there are more ways than anybody could look at. */
const MOST_PATHS = 60;

/** The ways from a top heading down to this one, this one included: all of them, but never more than sixty. */
export function pathsTo(tree: VocabularyTree, heading: Heading): Heading[][] {
  const paths: Heading[][] = [];
  const climb = (path: readonly Heading[]): void => {
    const [at] = path;
    const above = (at?.broader ?? [])
      .map((label) => headingByLabel(tree, label))
      .filter((each): each is Heading => each !== null && !path.includes(each));
    if (above.length === 0) paths.push([...path]);
    // Each way up ends in a path, so this is as much work as there are paths.
    for (const each of above) if (paths.length < MOST_PATHS) climb([each, ...path]);
  };
  climb([heading]);
  return paths;
}

function push<K, V>(map: Map<K, V[]>, key: K, value: V): void {
  const list = map.get(key);
  if (list === undefined) map.set(key, [value]);
  else list.push(value);
}
