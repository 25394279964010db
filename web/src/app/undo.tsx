/**
 * Undo and redo. What edits did to a question and its strategy, the server keeps for each person, so that it outlasts
 * the page; of other edits, the page remembers how to take them back. Ctrl Z takes back whichever was later.
 */
import { formatDistanceToNow } from 'date-fns';
import { createContext, useCallback, useContext, useMemo, useRef, type ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useMatch } from 'react-router';
import { toast } from 'sonner';
import type { EditTaken } from '@even-lantern/contract';
import { problemOf } from './api.js';
import { undoApi } from './undoApi.js';

interface Step {
  /** what was done, as in “Undone: added …” */
  what: string;
  undo: () => Promise<void>;
  redo: () => Promise<void>;
}

interface Undo {
  /** Remembers an edit that the server does not keep as a step of the review. */
  remember(step: Step): void;
  undoLast(): void;
  redoLast(): void;
}

const UndoContext = createContext<Undo>({
  remember: () => undefined,
  undoLast: () => undefined,
  redoLast: () => undefined,
});

const REMEMBERED = 100;
/** An edit that is older than this is told with its age. */
const LONG_AGO_MS = 600_000;

interface RememberedStep extends Step {
  /** when it was done: the server’s clock is this machine’s */
  at: string;
}

export function UndoProvider({ children }: { children: ReactNode }) {
  const reviewId = useMatch('/reviews/:reviewId/*')?.params.reviewId ?? null;
  const steps = useRef<RememberedStep[]>([]);
  /** what was taken back, the last at the end; null stands for what the server keeps */
  const undone = useRef<(RememberedStep | null)[]>([]);
  const [undoKept] = undoApi.useUndoMutation();
  const [redoKept] = undoApi.useRedoMutation();
  // Keys that are pressed quickly are answered in their order.
  const going = useRef(Promise.resolve());
  const inTurn = useCallback((work: () => Promise<void>) => {
    going.current = going.current.then(work).catch(() => undefined);
  }, []);

  const remember = useCallback((step: Step) => {
    steps.current = [...steps.current, { ...step, at: new Date().toISOString() }].slice(-REMEMBERED);
    undone.current = [];
  }, []);

  const undoLast = useCallback(() => {
    inTurn(async () => {
      const last = steps.current.at(-1);
      if (reviewId !== null) {
        const answer = await undoKept({ review: reviewId, since: last?.at ?? null });
        const { data: taken } = answer;
        if (taken === undefined) return tellProblem(answer.error);
        if (taken.words !== null) {
          undone.current.push(null);
          return tell('Undone', taken);
        }
      }
      if (last === undefined) {
        toast('There is nothing to undo.');
        return;
      }
      steps.current = steps.current.slice(0, -1);
      try {
        await last.undo();
        undone.current.push(last);
        toast(`Undone: ${last.what}`);
      } catch {
        toast.error(`This could not be undone: ${last.what}. It has been changed since.`);
      }
    });
  }, [inTurn, reviewId, undoKept]);

  const redoLast = useCallback(() => {
    inTurn(async () => {
      const last = undone.current.pop() ?? null;
      if (last !== null) {
        try {
          await last.redo();
          steps.current = [...steps.current, { ...last, at: new Date().toISOString() }];
          toast(`Done again: ${last.what}`);
        } catch {
          toast.error(`This could not be done again: ${last.what}. It has been changed since.`);
        }
        return;
      }
      if (reviewId === null) {
        toast('There is nothing to do again.');
        return;
      }
      const answer = await redoKept(reviewId);
      if (answer.data === undefined) return tellProblem(answer.error);
      if (answer.data.words === null) toast('There is nothing to do again.');
      else tell('Done again', answer.data);
    });
  }, [inTurn, reviewId, redoKept]);

  useHotkeys('mod+z', undoLast, { preventDefault: true });
  useHotkeys('mod+shift+z, mod+y', redoLast, { preventDefault: true });
  const undo = useMemo(() => ({ remember, undoLast, redoLast }), [remember, undoLast, redoLast]);
  return <UndoContext value={undo}>{children}</UndoContext>;
}

export function useUndo(): Undo {
  return useContext(UndoContext);
}

function tell(did: string, { words, at }: EditTaken): void {
  const old = at !== null && Date.now() - Date.parse(at) > LONG_AGO_MS;
  const when = old ? `, which was ${formatDistanceToNow(new Date(at), { addSuffix: true })}` : '';
  toast(`${did}: ${words ?? ''}${when}`);
}

function tellProblem(error: unknown): void {
  const { title, detail } = problemOf(error);
  toast.error(title, { description: detail });
}
