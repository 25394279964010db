/** The study designs: a vocabulary of their own (`core/content/study-designs.ttl`), and what lies below what. */
import {
  allNarrower,
  directlyBelow,
  headingByLabel,
  treeOf,
  type Heading,
  type Vocabulary,
} from '../vocabulary/index.js';

/** Headings under which families of designs stand, and which are no design themselves. */
const GROUPS = new Set(['Review of evidence', 'Experimental study', 'Observational study']);

export interface DesignTree {
  /** all designs, in the order of their file, without the headings that only group them */
  designs: readonly Heading[];
  /** the family that a design belongs to, by its label: itself, or what it is a kind of; null for what is no design */
  familyOf(label: string): string | null;
  /** the labels of all kinds of a design */
  below(label: string): readonly string[];
}

export function designTree(vocabulary: Vocabulary): DesignTree {
  const tree = treeOf(vocabulary);
  const designs = vocabulary.headings.filter(({ label }) => !GROUPS.has(label));
  const families = designs.filter(({ broader }) => broader.every((each) => GROUPS.has(each)));
  const family = new Map(
    families.flatMap(({ label }) =>
      [label, ...(allNarrower(tree, label) ?? []).map((each) => each.label)].map(
        (each) => [each, label] as const,
      ),
    ),
  );
  return {
    designs,
    familyOf: (label) => family.get(label) ?? null,
    below: (label) => (allNarrower(tree, label) ?? []).map((each) => each.label),
  };
}

/** Designs under the headings that group them, for lists to choose from. */
export function groupedDesigns(vocabulary: Vocabulary): { group: string; designs: Heading[] }[] {
  const tree = treeOf(vocabulary);
  const { designs, familyOf } = designTree(vocabulary);
  const others = designs.filter((design) => {
    const family = headingByLabel(tree, familyOf(design.label) ?? '');
    return family !== null && family.broader.length === 0;
  });
  const groups = [...GROUPS].map((group) => {
    const heading = headingByLabel(tree, group);
    const families = heading === null ? [] : directlyBelow(tree, heading);
    const each = families.flatMap((one) => [one, ...(allNarrower(tree, one.label) ?? [])]);
    return { group, designs: each };
  });
  return [...groups, { group: 'Others', designs: others }];
}
