/** Undo: each edit leaves behind how to take it back; Ctrl+Z takes back the latest. */
import { createContext, useCallback, useContext, useMemo, useRef, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { toast } from 'sonner';

interface Step {
  /** what was done, as in “Undone: added …” */
  what: string;
  undo: () => Promise<void>;
}

interface Undo {
  remember(step: Step): void;
  undoLast(): void;
}

const UndoContext = createContext<Undo>({ remember: () => undefined, undoLast: () => undefined });

const REMEMBERED = 100;

export function UndoProvider({ children }: { children: ReactNode }) {
  const steps = useRef<Step[]>([]);
  const remember = useCallback((step: Step) => {
    steps.current = [...steps.current, step].slice(-REMEMBERED);
  }, []);
  const undoLast = useCallback(() => {
    const step = steps.current.pop();
    if (step === undefined) {
      toast('There is nothing to undo.');
      return;
    }
    step.undo().then(
      () => toast(`Undone: ${step.what}`),
      () => toast.error(`This could not be undone: ${step.what}. It has been changed since.`),
    );
  }, []);
  useHotkeys('mod+z', undoLast, { preventDefault: true });
  const undo = useMemo(() => ({ remember, undoLast }), [remember, undoLast]);
  return <UndoContext value={undo}>{children}</UndoContext>;
}

export function useUndo(): Undo {
  return useContext(UndoContext);
}
