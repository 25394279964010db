/** How well a filter finds a design, from how many records it finds of those that have it and of those that have not. */

/** Records by what a filter does and what they are. */
export interface FilterCounts {
  /** found, and of the design */
  right: number;
  /** found, and not of it */
  wrong: number;
  /** of the design, and not found */
  missed: number;
  /** neither */
  passed: number;
}

/** A share with its 95% interval, each 0 to 1; null where there is nothing to take a share of. */
export interface Share {
  value: number;
  from: number;
  to: number;
}

export interface FilterFigures {
  /** of the records of the design, the share that is found */
  sensitivity: Share | null;
  /** of the others, the share that is not found */
  specificity: Share | null;
  /** of the records found, the share that is of the design */
  precision: Share | null;
  /** records to read for each one of the design: the inverse of the precision */
  toRead: Share | null;
}

export function filterFigures({ right, wrong, missed, passed }: FilterCounts): FilterFigures {
  const precision = wilson(right, right + wrong);
  return {
    sensitivity: wilson(right, right + missed),
    specificity: wilson(passed, passed + wrong),
    precision,
    toRead:
      precision === null || precision.value === 0
        ? null
        : { value: 1 / precision.value, from: 1 / precision.to, to: 1 / precision.from },
  };
}

/** The standard normal quantile for 95%. */
const Z = 1.959964;

/**
 * The score interval of a share (E. B. Wilson, 1927), which stays within 0 and 1 and holds for small numbers.
 * @returns null for a share of nothing
 */
export function wilson(part: number, whole: number): Share | null {
  if (whole === 0) return null;
  const p = part / whole;
  const middle = p + (Z * Z) / (2 * whole);
  const half = Z * Math.sqrt((p * (1 - p)) / whole + (Z * Z) / (4 * whole * whole));
  const below = 1 + (Z * Z) / whole;
  return { value: p, from: Math.max(0, (middle - half) / below), to: Math.min(1, (middle + half) / below) };
}
