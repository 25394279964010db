import { useSyncExternalStore } from 'react';

const narrow = matchMedia('(max-width: 767px)');

function subscribe(changed: () => void): () => void {
  narrow.addEventListener('change', changed);
  return () => narrow.removeEventListener('change', changed);
}

/** Whether the screen is too narrow for panes side by side. */
export function useNarrowScreen(): boolean {
  return useSyncExternalStore(subscribe, () => narrow.matches);
}
