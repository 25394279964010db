/** Queries as canonical text: CQL with every parenthesis that makes the left-to-right reading certain. */
import { isYearRange, type NearQuery, type Query } from '../model.js';
import { normaliseQuery } from '../normalise.js';
import { printPhrase } from '../phrase.js';

/**
 * Prints a query as CQL. Reading it back with the same vocabulary gives the normalised query.
 *
 * @param options.vocabulary the vocabulary that headings need not name
 */
export function printCql(query: Query, options: { vocabulary: string }): string {
  return print(normaliseQuery(query), options.vocabulary);
}

function print(query: Query, vocabulary: string): string {
  switch (query.kind) {
    case 'words':
      return `el.${query.field} = ${quote(printPhrase(query.phrase))}`;
    case 'near':
      return printNear(query, vocabulary);
    case 'heading': {
      const modifiers = [
        query.vocabulary === vocabulary ? '' : `/el.vocabulary=${quote(query.vocabulary)}`,
        query.narrower ? '/el.narrower' : '',
        query.central ? '/el.central' : '',
        ...query.subheadings.map((subheading) => `/el.subheading=${quote(subheading)}`),
      ];
      return `el.heading ==${modifiers.join('')} ${quote(query.label)}`;
    }
    case 'limit':
      if (isYearRange(query)) return printYears(query.from, query.to);
      if (query.values.length === 0) throw new RangeError(`the limit on ${query.field} has no values`);
      return parenthesise(
        query.values.map((value) => `el.${query.field} == ${quote(value)}`),
        ' or ',
      );
    case 'line':
      return `cql.resultSetId = "L${query.line}"`;
    case 'everything':
      return 'cql.allRecords = 1';
    case 'and':
    case 'or':
      return query.operands.map((operand) => printOperand(operand, vocabulary)).join(` ${query.kind} `);
    case 'not':
      return `${printOperand(query.include, vocabulary)} not ${printOperand(query.exclude, vocabulary)}`;
  }
}

function printOperand(query: Query, vocabulary: string): string {
  const text = print(query, vocabulary);
  const compound =
    query.kind === 'and' || query.kind === 'or' || query.kind === 'not' || query.kind === 'near';
  return compound ? `(${text})` : text;
}

function printNear(query: NearQuery, vocabulary: string): string {
  const order = query.ordered ? '/ordered' : '';
  return query.parts
    .map((part) => print(part, vocabulary))
    .join(` prox/unit=word/distance<=${query.distance}${order} `);
}

function printYears(from: number | null, to: number | null): string {
  const four = (year: number) => String(year).padStart(4, '0');
  if (from !== null && to !== null) return `el.year within "${four(from)} ${four(to)}"`;
  if (from !== null) return `el.year >= ${four(from)}`;
  if (to !== null) return `el.year <= ${four(to)}`;
  return 'cql.allRecords = 1';
}

function parenthesise(parts: readonly string[], separator: string): string {
  return parts.length === 1 ? (parts[0] ?? '') : `(${parts.join(separator)})`;
}

function quote(text: string): string {
  return `"${text.replaceAll('\\', '\\\\').replaceAll('"', '\\"')}"`;
}
