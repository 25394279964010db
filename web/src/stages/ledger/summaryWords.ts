import type { LedgerKind } from '@even-lantern/core';
import type { LedgerSummary } from '@even-lantern/contract';
import { releaseText } from '../../parts/release.js';

/** What kinds of entries are called where they are chosen. */
export const KIND_NAMES: Readonly<Record<LedgerKind, string>> = {
  run: 'Runs',
  elsewhere: 'Searches elsewhere',
  note: 'Notes',
  correction: 'Corrections',
};

/** What stands behind the title of an entry in a list. */
export function detailOf({ kind, release, purpose, about }: LedgerSummary): string {
  switch (kind) {
    case 'run':
      return [
        releaseText(release),
        ...(about === null ? [] : [`repeats entry ${about}`]),
        ...(purpose === '' ? [] : [purpose]),
      ].join(' · ');
    case 'elsewhere':
      return purpose;
    case 'note':
      return `note on entry ${about}`;
    case 'correction':
      return `correction of entry ${about}`;
  }
}
