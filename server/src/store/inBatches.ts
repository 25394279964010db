import { setImmediate as othersFirst } from 'node:timers/promises';

/** Statements hold only so many values. */
const BATCH = 200;

/** Does something with rows, so many at a time. In between, whoever else asks is answered: the store itself does not wait. */
export async function inBatches<Row>(
  rows: readonly Row[],
  each: (batch: Row[]) => Promise<unknown>,
): Promise<void> {
  for (let i = 0; i < rows.length; i += BATCH) {
    if (i > 0) await othersFirst();
    await each(rows.slice(i, i + BATCH));
  }
}
