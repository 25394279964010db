import { useSyncExternalStore } from 'react';

/** In the size of text that a person chose, as the styles have it. */
const NARROW = '(max-width: 47.999rem)';

function subscribe(changed: () => void): () => void {
  const narrow = matchMedia(NARROW);
  narrow.addEventListener('change', changed);
  return () => narrow.removeEventListener('change', changed);
}

/** Whether the screen is too narrow for panes side by side. */
export function useNarrowScreen(): boolean {
  return useSyncExternalStore(subscribe, () => matchMedia(NARROW).matches);
}
