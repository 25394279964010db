/** Statements hold only so many values. */
const BATCH = 200;

/** Does something with rows, so many at a time. */
export async function inBatches<Row>(
  rows: readonly Row[],
  each: (batch: Row[]) => Promise<unknown>,
): Promise<void> {
  for (let i = 0; i < rows.length; i += BATCH) await each(rows.slice(i, i + BATCH));
}
