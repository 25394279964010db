/** A strategy with one line for each lane: terms are said within it, but for those that another line refers to. */
import { mapQuery, type Query } from '../query/index.js';
import { linesIn } from './edits.js';
import type { Line, Strategy } from './model.js';

/** How fine the lines of a strategy are. */
export const LINES_FOR = ['term', 'lane'] as const;
export type LinesFor = (typeof LINES_FOR)[number];

/**
 * The same strategy with fewer lines: each finds what it found. A term keeps a line of its own where somebody wrote it by
 * hand, or a line other than its lane’s refers to it.
 * @param describe a term’s line in words, to tell what is searched otherwise in it
 */
export function foldTerms({ lines, problems }: Strategy, describe: (line: Line) => string): Strategy {
  const referred = new Set(
    lines.flatMap(({ kind, edited, query }) => (kind === 'lane' && !edited ? [] : linesIn(query))),
  );
  const isFolded = ({ kind, number, edited }: Line) => kind === 'term' && !edited && !referred.has(number);
  const folded = new Map(lines.filter(isFolded).map((line) => [line.number, line]));
  const numbers = new Map<number, number>();
  for (const { number } of lines) if (!folded.has(number)) numbers.set(number, numbers.size + 1);
  const within = (query: Query): Query =>
    mapQuery(query, (part) => {
      if (part.kind !== 'line') return part;
      const term = folded.get(part.line);
      return term === undefined ? { kind: 'line', line: numbers.get(part.line) ?? part.line } : term.query;
    });
  const kept = lines.filter(({ number }) => numbers.has(number));
  return {
    lines: kept.map((line) => ({
      ...line,
      number: numbers.get(line.number) ?? line.number,
      query: within(line.query),
      changes: [
        ...line.changes,
        ...linesIn(line.query).flatMap((number) => {
          const term = folded.get(number);
          return term?.changes.map((change) => `${describe(term)}: ${change}`) ?? [];
        }),
      ],
    })),
    problems: problems.map((problem) => {
      const number = problem.number === undefined ? undefined : numbers.get(problem.number);
      return number === undefined ? problem : { ...problem, number };
    }),
  };
}

/** The problems of a strategy in whole sentences, once its lines have their last numbers. */
export function nameLines({ lines, problems }: Strategy): Strategy {
  return {
    lines,
    problems: problems.map(({ number, ...problem }) =>
      number === undefined ? problem : { ...problem, message: `L${number} ${problem.message}` },
    ),
  };
}
