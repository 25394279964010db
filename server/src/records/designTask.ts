/** Tells the designs of records in a worker thread. Loaded by path, not imported. */
import {
  designTree,
  likelyDesigns,
  readDesignRules,
  type BibRecord,
  type DesignRule,
  type DesignTree,
  type Vocabulary,
} from '@even-lantern/core';

export interface DesignTask {
  rules: string;
  taxonomy: Vocabulary;
  /** as JSON */
  records: string[];
}

interface Ready {
  text: string;
  rules: readonly DesignRule[];
  tree: DesignTree;
}

let ready: Ready | null = null;

/** @returns the likely design of each record; empty where nothing tells of any */
export default function tellDesigns({ rules: text, taxonomy, records }: DesignTask): string[] {
  if (ready?.text !== text) {
    const tree = designTree(taxonomy);
    const labels = new Set(tree.designs.map(({ label }) => label));
    ready = { text, tree, rules: readDesignRules(text, labels).rules };
  }
  const { rules, tree } = ready;
  return records.map((json) => likelyDesigns(JSON.parse(json) as BibRecord, rules, tree)[0]?.design ?? '');
}
