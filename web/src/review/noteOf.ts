import { headingByLabel } from '@even-lantern/core';

export function noteOf(tree: Parameters<typeof headingByLabel>[0], label: string): string {
  return headingByLabel(tree, label)?.scopeNote ?? '';
}
