/** What a part does to the whole: what a line would find if another were not there. */
import type { Query } from '../query/index.js';
import type { Line } from './model.js';

/**
 * What a line would find if another found nothing, as when a term is taken out of its lane. Where that other is joined
 * with AND, nothing is left.
 * @returns the query, standing alone; null for one that finds nothing
 */
export function queryWithout(line: Line, lines: readonly Line[], without: number): Query | null {
  return withNothing(line.query, (number) => {
    if (number === without) return null;
    const target = lines[number - 1];
    if (target === undefined)
      throw new RangeError(`L${line.number} refers to L${number}, which is not there`);
    return queryWithout(target, lines, without);
  });
}

/** A query in which lines are what is given for them; null stands for finding nothing. */
function withNothing(query: Query, ofLine: (line: number) => Query | null): Query | null {
  switch (query.kind) {
    case 'line':
      return ofLine(query.line);
    case 'and':
    case 'or': {
      const operands = query.operands.map((each) => withNothing(each, ofLine));
      const left = operands.filter((each) => each !== null);
      if (left.length === 0 || (query.kind === 'and' && left.length < operands.length)) return null;
      return { kind: query.kind, operands: left };
    }
    case 'not': {
      const include = withNothing(query.include, ofLine);
      const exclude = withNothing(query.exclude, ofLine);
      return include === null || exclude === null ? include : { kind: 'not', include, exclude };
    }
    default:
      return query;
  }
}
