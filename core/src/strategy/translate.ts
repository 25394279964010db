/** A strategy in the dialect of a database. */
import { printCql, type Dialect, type DialectContext, type Printed } from '../query/index.js';
import { standaloneQuery } from './compile.js';
import type { Line } from './model.js';

export interface TranslatedLine {
  /** with references to other lines, as people type it line by line */
  referring: Printed;
  /** with the other lines written out, so that it stands alone */
  alone: Printed;
}

/**
 * A line as the database wants it.
 * @param dialect null for a database that takes CQL alone, which can say everything
 */
export function translateLine(
  line: Line,
  lines: readonly Line[],
  dialect: Dialect | null,
  context: DialectContext,
): TranslatedLine {
  if (line.written !== null) {
    const asItIs: Printed = { text: line.written, losses: [] };
    return { referring: asItIs, alone: asItIs };
  }
  const alone = standaloneQuery(line, lines);
  if (dialect === null) {
    const options = { vocabulary: context.vocabulary ?? '' };
    return {
      referring: { text: printCql(line.query, options), losses: [] },
      alone: { text: printCql(alone, options), losses: [] },
    };
  }
  const lineQuery = (number: number) => {
    const target = lines[number - 1];
    return target === undefined ? null : standaloneQuery(target, lines);
  };
  return {
    referring: dialect.print(line.query, { ...context, lineQuery }),
    alone: dialect.print(alone, context),
  };
}
