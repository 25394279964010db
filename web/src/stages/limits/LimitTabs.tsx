import { formatCount } from '@even-lantern/core';
import type { ReactNode } from 'react';
import type { ProfileIn } from './useProfiles.js';

/** In place of a database: all of them, or the designs of what is found. */
export const IN_ALL = 'all';
export const EVIDENCE = 'evidence';

interface LimitTabsProps {
  each: readonly ProfileIn[];
  chosen: string;
  onChoose: (id: string) => void;
}

/** The databases with what remains in each, all of them side by side, and the designs of what is found. */
export function LimitTabs({ each, chosen, onChoose }: LimitTabsProps) {
  const tab = (id: string, name: string, number: ReactNode) => (
    <button
      key={id}
      role="tab"
      aria-selected={chosen === id}
      className={`-mb-px cursor-pointer border-b-2 px-2 py-1.5 whitespace-nowrap ${
        chosen === id ? 'border-base-content font-bold' : 'border-transparent'
      }`}
      onClick={() => onChoose(id)}
    >
      {name} {number}
    </button>
  );
  return (
    <div
      role="tablist"
      aria-label="Databases"
      className="rule flex shrink-0 overflow-x-auto overflow-y-hidden border-b"
    >
      {each.map(({ database: { id, name }, profile }) =>
        tab(
          id,
          name.split(' ')[0] ?? name,
          <span className="quiet count font-normal">
            {profile?.remains.hits == null ? '…' : formatCount(profile.remains.hits)}
          </span>,
        ),
      )}
      {tab(IN_ALL, 'All side by side', null)}
      {tab(EVIDENCE, 'Evidence at hand', null)}
    </div>
  );
}
