import {
  designTree,
  groupedDesigns,
  readDesignRules,
  type DesignRule,
  type DesignTree,
  type Heading,
} from '@even-lantern/core';
import type { MeasuredFilter, StudyDesigns } from '@even-lantern/contract';
import { designApi } from './api/designApi.js';

export interface KnownDesigns {
  tree: DesignTree;
  rules: readonly DesignRule[];
  groups: { group: string; designs: Heading[] }[];
  /** what a design is, in a sentence; empty for what is none */
  definitionOf: (label: string) => string;
  figures: readonly MeasuredFilter[];
}

/** Read once, however many ask. */
const read = new WeakMap<StudyDesigns, KnownDesigns>();

/** The study designs; null until they have come. */
export function useDesigns(): KnownDesigns | null {
  const { data } = designApi.useDesignsQuery();
  if (data === undefined) return null;
  let known = read.get(data);
  if (known === undefined) {
    const tree = designTree(data.taxonomy);
    const labels = new Set(tree.designs.map(({ label }) => label));
    const definitions = new Map(tree.designs.map(({ label, scopeNote }) => [label, scopeNote]));
    known = {
      tree,
      rules: readDesignRules(data.rules, labels).rules,
      groups: groupedDesigns(data.taxonomy),
      definitionOf: (label) => definitions.get(label) ?? '',
      figures: data.figures,
    };
    read.set(data, known);
  }
  return known;
}
