import { wrap, type Remote } from 'comlink';
import type { Lookups } from './lookups.js';

/** Starts the worker that looks words up. */
export function startLookups(): Remote<Lookups> {
  return wrap<Lookups>(new Worker(new URL('./lookupWorker.ts', import.meta.url), { type: 'module' }));
}
