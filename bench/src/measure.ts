/** What every benchmark prints: one measured value, with its aim where there is one. */
export interface Measurement {
  bench: string;
  metric: string;
  value: number;
  unit: string;
  aim?: string;
  met?: boolean;
}

/** A value with an aim such as `>= 15` or `< 20`. */
export function measured(
  bench: string,
  metric: string,
  value: number,
  unit: string,
  aim?: string,
): Measurement {
  const rounded = Number(value.toPrecision(4));
  if (aim === undefined) return { bench, metric, value: rounded, unit };
  const [comparison = '', bound = ''] = aim.split(' ');
  const limit = Number(bound);
  const tests: Record<string, boolean> = {
    '>=': value >= limit,
    '<=': value <= limit,
    '<': value < limit,
    '>': value > limit,
    '=': value === limit,
  };
  return { bench, metric, value: rounded, unit, aim, met: tests[comparison] ?? false };
}

export function quantile(values: readonly number[], q: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.floor(q * sorted.length))] ?? NaN;
}

export const median = (values: readonly number[]) => quantile(values, 0.5);

/** Milliseconds that an action takes. */
export function timed(action: () => unknown): number {
  const start = performance.now();
  action();
  return performance.now() - start;
}

export async function timedAsync(action: () => Promise<unknown>): Promise<number> {
  const start = performance.now();
  await action();
  return performance.now() - start;
}
