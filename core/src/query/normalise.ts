/** One shape for queries that say the same in the same order: the shape that printing and parsing preserve. */
import { isYearRange, type LimitQuery, type Query } from './model.js';

/**
 * Flattens nested `and` and `or`, unwraps single operands, and merges limits on one field joined by `or` into one.
 * The meaning stays the same.
 *
 * @throws RangeError for an `and` or `or` without operands, which has no written form
 */
export function normaliseQuery(query: Query): Query {
  switch (query.kind) {
    case 'and':
    case 'or': {
      const operands = query.operands
        .map(normaliseQuery)
        .flatMap((operand) => (operand.kind === query.kind ? operand.operands : [operand]));
      const merged = query.kind === 'or' ? mergeLimits(operands) : operands;
      const [first] = merged;
      if (first === undefined) throw new RangeError(`“${query.kind}” needs at least one operand`);
      return merged.length === 1 ? first : { kind: query.kind, operands: merged };
    }
    case 'not':
      return {
        kind: 'not',
        include: normaliseQuery(query.include),
        exclude: normaliseQuery(query.exclude),
      };
    case 'limit':
      return isYearRange(query) ? query : { ...query, values: [...new Set(query.values)] };
    case 'heading':
      return { ...query, subheadings: [...new Set(query.subheadings)] };
    case 'near':
    case 'words':
    case 'line':
    case 'everything':
      return query;
  }
}

/** `or` of value limits on the same field, side by side, is one limit with several values. */
function mergeLimits(operands: readonly Query[]): Query[] {
  const merged: Query[] = [];
  for (const operand of operands) {
    const last = merged.at(-1);
    if (isValueLimit(operand) && last !== undefined && isValueLimit(last) && last.field === operand.field) {
      const values = [...new Set([...last.values, ...operand.values])];
      merged[merged.length - 1] = { kind: 'limit', field: operand.field, values };
    } else {
      merged.push(operand);
    }
  }
  return merged;
}

function isValueLimit(query: Query): query is Extract<LimitQuery, { values: readonly string[] }> {
  return query.kind === 'limit' && !isYearRange(query);
}
