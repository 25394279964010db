import { useSyncExternalStore } from 'react';

const NARROW = '(max-width: 767px)';

function subscribe(changed: () => void): () => void {
  const narrow = matchMedia(NARROW);
  narrow.addEventListener('change', changed);
  return () => narrow.removeEventListener('change', changed);
}

/** Whether the screen is too narrow for panes side by side. */
export function useNarrowScreen(): boolean {
  return useSyncExternalStore(subscribe, () => matchMedia(NARROW).matches);
}
