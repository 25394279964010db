import type { DesignTree } from '@even-lantern/core';
import { badInput } from '../http/problem.js';

/** @throws ProblemException for a label that no design has, with those there are */
export function expectDesigns(designs: readonly string[], tree: DesignTree, path: string): void {
  const known = new Set(tree.designs.map(({ label }) => label));
  const unknown = designs.find((design) => !known.has(design));
  if (unknown === undefined) return;
  const message = `There is no study design “${unknown}”. Take one of: ${[...known].join(', ')}.`;
  throw badInput([{ path, message }]);
}
