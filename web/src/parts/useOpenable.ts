import { useEffect, useRef, useState } from 'react';
import { giveBack } from './useFocusBack.js';

/**
 * Something that is opened over the screen. When it closes, the focus goes back to where it was, or else to what stands
 * for the screen: it is never lost.
 * @param otherwise the id of an element that takes the focus where nothing had it
 */
export function useOpenable(otherwise: string): { isOpen: boolean; open: () => void; close: () => void } {
  const [isOpen, setOpen] = useState(false);
  const before = useRef<Element | null>(null);
  useEffect(() => {
    const had = before.current;
    if (isOpen || had === null) return;
    before.current = null;
    // When what was open has gone, with whatever it does about the focus itself.
    const timer = setTimeout(() => giveBack(had, otherwise));
    return () => clearTimeout(timer);
  }, [isOpen, otherwise]);
  return {
    isOpen,
    open: () => {
      before.current ??= document.activeElement;
      setOpen(true);
    },
    close: () => setOpen(false),
  };
}
