/**
 * Undo and redo. What edits did to a question and its strategy, the server keeps for each person, so that it outlasts
 * the page; of other edits, the page remembers how to take them back, also when it is loaded again. Ctrl Z takes back
 * whichever was later.
 */
import { formatDistanceToNow } from 'date-fns';
import { createContext, useCallback, useContext, useMemo, useRef, type ReactNode } from 'react';
import { useKey } from '../parts/keys/useKey.js';
import { useMatch } from 'react-router';
import { useDispatch } from 'react-redux';
import { toast } from 'sonner';
import type { EditTaken } from '@even-lantern/contract';
import { problemOf } from './api/api.js';
import { does, type Doing } from './remembered.js';
import { keepIn, rememberedIn, type Step } from './rememberedSteps.js';
import type { store } from './api/store.js';
import { undoApi } from './api/undoApi.js';

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

/** An edit that is older than this is told with its age. */
const LONG_AGO_MS = 600_000;

export function UndoProvider({ children }: { children: ReactNode }) {
  const reviewId = useMatch('/reviews/:reviewId/*')?.params.reviewId ?? null;
  const dispatch = useDispatch<typeof store.dispatch>();
  const [undoKept] = undoApi.useUndoMutation();
  const [redoKept] = undoApi.useRedoMutation();
  // Keys that are pressed quickly are answered in their order.
  const going = useRef(Promise.resolve());
  const inTurn = useCallback((work: () => Promise<void>) => {
    going.current = going.current.then(work).catch(() => undefined);
  }, []);

  const remember = useCallback(
    (step: Step) => {
      const { steps } = rememberedIn(reviewId);
      keepIn(reviewId, { steps: [...steps, { ...step, at: now() }], undone: [] });
    },
    [reviewId],
  );

  const undoLast = useCallback(() => {
    inTurn(async () => {
      const { steps, undone } = rememberedIn(reviewId);
      const last = steps.at(-1);
      if (reviewId !== null) {
        const answer = await undoKept({ review: reviewId, since: last?.at ?? null });
        const { data: taken } = answer;
        if (taken === undefined) return tellProblem(answer.error);
        if (taken.words !== null) {
          keepIn(reviewId, { steps, undone: [...undone, null] });
          return tell('Undone', taken);
        }
      }
      if (last === undefined) {
        toast('There is nothing to undo.');
        return;
      }
      const earlier = steps.slice(0, -1);
      keepIn(reviewId, { steps: earlier, undone });
      try {
        const version = await does(last.undo, dispatch);
        const back = { ...last, redo: onVersion(last.redo, version) };
        keepIn(reviewId, { steps: earlier, undone: [...undone, back] });
        tell('Undone', { words: last.what, at: last.at });
      } catch {
        toast.error(`This could not be undone: ${last.what}. It has been changed since.`);
      }
    });
  }, [inTurn, reviewId, undoKept, dispatch]);

  const redoLast = useCallback(() => {
    inTurn(async () => {
      const { steps, undone } = rememberedIn(reviewId);
      const last = undone.at(-1) ?? null;
      const earlier = undone.slice(0, -1);
      keepIn(reviewId, { steps, undone: earlier });
      if (last !== null) {
        try {
          const version = await does(last.redo, dispatch);
          const again = { ...last, undo: onVersion(last.undo, version), at: now() };
          keepIn(reviewId, { steps: [...steps, again], undone: earlier });
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
  }, [inTurn, reviewId, redoKept, dispatch]);

  useKey('undo', undoLast);
  useKey('redo', redoLast);
  const undo = useMemo(() => ({ remember, undoLast, redoLast }), [remember, undoLast, redoLast]);
  return <UndoContext value={undo}>{children}</UndoContext>;
}

export function useUndo(): Undo {
  return useContext(UndoContext);
}

function now(): string {
  return new Date().toISOString();
}

/** A way back that names the version of what it changes. */
function onVersion(doing: Doing, version: number | null): Doing {
  return version !== null && 'version' in doing ? { ...doing, version } : doing;
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
