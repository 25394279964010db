import type { LineKey } from '@even-lantern/core';
import { useEffect, useState } from 'react';

/** Brings a line’s row into sight, once it is there: one that was just added may stand out of it. */
export function useBroughtIntoSight(lines: unknown): (key: LineKey) => void {
  const [target, setTarget] = useState<LineKey | null>(null);
  useEffect(() => {
    if (target === null) return;
    const row = document.querySelector(`[data-line="${CSS.escape(target)}"]`);
    if (row === null) return;
    row.scrollIntoView({ block: 'nearest' });
    setTarget(null);
  }, [target, lines]);
  return setTarget;
}
