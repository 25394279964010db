import { useEffect, useState } from 'react';

/**
 * For what opens on the screen and takes the focus: when it goes, the focus goes back to where it was.
 * @param otherwise the id of an element that takes the focus where that has gone, too
 */
export function useFocusBack(otherwise: string): void {
  // Before anything of what opens has taken it.
  const [had] = useState(() => document.activeElement);
  useEffect(
    () => () => {
      setTimeout(() => giveBack(had, otherwise));
    },
    [had, otherwise],
  );
}

/** Gives the focus back, unless it is somewhere already. */
export function giveBack(had: Element | null, otherwise: string): void {
  const { activeElement, body } = document;
  if (activeElement !== null && activeElement !== body) return;
  const back = had instanceof HTMLElement && had.isConnected && had !== body ? had : null;
  (back ?? document.getElementById(otherwise))?.focus();
}
