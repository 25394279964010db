import type { Problem } from '@even-lantern/contract';
import { useEffect, useRef, useState } from 'react';

/** A pause in typing after which what was typed is kept. */
const PAUSE_MS = 400;

/**
 * Sends what was typed.
 * @param over the version that somebody else left and that this one is to replace; null for the version that is shown
 * @returns why it was not kept
 */
export type Keep<Value> = (value: Value, over: number | null) => Promise<Problem | null>;

export interface Autosave<Value> {
  /** keeps a value after a pause in typing, or at once; a later one takes its place */
  save(value: Value, when?: 'after a pause' | 'at once'): void;
  /** keeps at once what still waits */
  flush(): void;
  /** whether something was typed that is not on its way to the server yet */
  waits(): boolean;
  /** why the last was not kept; it is kept here meanwhile */
  problem: Problem | null;
  /** sends again what was not kept, over what somebody else has written */
  keepMine(): void;
  /** drops what was not kept */
  takeTheirs(): void;
}

/**
 * Saves while somebody types: after a pause, one request after the other, and at once when the place is left. Where
 * somebody else has changed the same, nothing more is sent before a person has chosen whose it is to be.
 */
export function useAutosave<Value>(keep: Keep<Value>): Autosave<Value> {
  const [problem, setProblem] = useState<Problem | null>(null);
  const waiting = useRef<{ value: Value } | null>(null);
  const conflict = useRef<Problem | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const sending = useRef(Promise.resolve());
  const latest = useRef(keep);
  latest.current = keep;

  const send = (over: number | null = null): void => {
    clearTimeout(timer.current);
    sending.current = sending.current.then(async () => {
      const next = waiting.current;
      if (next === null || conflict.current !== null) return;
      waiting.current = null;
      const refused = await latest.current(next.value, over);
      if (refused !== null) waiting.current ??= next;
      if (refused?.status === 412) conflict.current = refused;
      setProblem(refused);
    });
  };
  const flush = useRef(() => send());
  flush.current = () => send();
  // Leaving does not lose what was typed last.
  useEffect(() => () => flush.current(), []);

  return {
    save(value, when = 'after a pause') {
      waiting.current = { value };
      clearTimeout(timer.current);
      if (when === 'at once') send();
      else timer.current = setTimeout(() => flush.current(), PAUSE_MS);
    },
    flush: () => send(),
    waits: () => waiting.current !== null,
    problem,
    keepMine() {
      const theirs = conflict.current?.current as { version?: number } | undefined;
      conflict.current = null;
      send(theirs?.version ?? null);
    },
    takeTheirs() {
      clearTimeout(timer.current);
      waiting.current = null;
      conflict.current = null;
      setProblem(null);
    },
  };
}
