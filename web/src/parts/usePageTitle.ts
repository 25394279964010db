import { useEffect } from 'react';

const NAME = 'Even Lantern';

/** Names the page, for tabs, histories and those who hear it: the nearest first, the program last. */
export function usePageTitle(...parts: (string | undefined)[]): void {
  const title = [...parts.filter((part) => part !== undefined && part !== ''), NAME].join(' · ');
  useEffect(() => {
    document.title = title;
  }, [title]);
}
