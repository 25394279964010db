/**
 * The calls to one database, kept within what it may be asked: so many at once, and so many in a second. Those that a
 * person waits for go first.
 */
import { AsyncLocalStorage } from 'node:async_hooks';
import { setMaxListeners } from 'node:events';
import type { CallBudget } from '@even-lantern/contract';
import PQueue from 'p-queue';

/** How soon an answer is wanted: one that somebody looks at, one that explains it, or one that may come later. */
export type Priority = 'now' | 'soon' | 'later';

const PRIORITIES: Readonly<Record<Priority, number>> = { now: 2, soon: 1, later: 0 };
const SECOND_MS = 1000;

const priorities = new AsyncLocalStorage<Priority>();

/** Whatever is asked within `work` is wanted so soon. */
export function withPriority<T>(urgency: Priority, work: () => T): T {
  return priorities.run(urgency, work);
}

/** Nothing is wanted any longer, until somebody wants something again. */
export function forgetPriorities(): void {
  priorities.disable();
}

export class CallQueue {
  private queue: PQueue;

  constructor(private kept: CallBudget) {
    this.queue = queueOf(kept);
  }

  get budget(): CallBudget {
    return this.kept;
  }

  /** Calls that wait already are made as was said before. */
  change(budget: CallBudget): void {
    this.kept = budget;
    this.queue = queueOf(budget);
  }

  /** @throws what `call` throws, or the reason of the signal where it was aborted before the call was made */
  add<T>(call: () => Promise<T>, signal?: AbortSignal): Promise<T> {
    const priority = PRIORITIES[priorities.getStore() ?? 'now'];
    if (signal === undefined) return this.queue.add(call, { priority });
    // Whatever waits for one database is ended by one signal.
    setMaxListeners(0, signal);
    return this.queue.add(call, { priority, signal });
  }
}

function queueOf({ atOnce, perSecond }: CallBudget): PQueue {
  const rate = perSecond === null ? {} : { interval: SECOND_MS, intervalCap: perSecond, strict: true };
  return new PQueue({ concurrency: atOnce, ...rate });
}
