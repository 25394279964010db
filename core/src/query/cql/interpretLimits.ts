/** The meaning of CQL clauses that limit: years, and the values of a field. */
import { reversedYears, type Query } from '../model.js';
import { refuseModifiers, stop } from './stop.js';
import { unescapeQuoted, type CqlClause } from './syntax.js';

export function interpretYear(clause: CqlClause): Query {
  refuseModifiers(clause, []);
  const relation = clause.relation ?? '=';
  const years = unescapeQuoted(clause.term.text).trim().split(/\s+/);
  const year = (text: string | undefined): number => {
    if (text !== undefined && /^\d{4}$/.test(text)) return Number(text);
    return stop(
      36,
      clause.term.at,
      text ?? '',
      'a year of four digits',
      'A year is written with four digits.',
    );
  };
  const range = (from: number | null, to: number | null): Query => ({
    kind: 'limit',
    field: 'year',
    from,
    to,
  });
  const inOrder = (from: number, to: number): Query => {
    if (from <= to) return range(from, to);
    return stop(36, clause.term.at, `${from} ${to}`, 'the earlier year first', reversedYears(from, to));
  };
  const single = () => {
    if (years.length !== 1) stop(36, clause.term.at, years.join(' '), 'one year', 'Give one year.');
    return year(years[0]);
  };
  switch (relation) {
    case 'within':
      if (years.length !== 2)
        stop(36, clause.term.at, years.join(' '), 'two years', 'within takes two years.');
      return inOrder(year(years[0]), year(years[1]));
    case '=':
    case '==':
      return range(single(), single());
    case '>=':
      return range(single(), null);
    case '<=':
      return range(null, single());
    case '>':
      return range(single() + 1, null);
    case '<':
      return range(null, single() - 1);
    default:
      return stop(19, clause.at, relation, 'within, =, <= or >=', `“${relation}” does not go with a year.`);
  }
}

export function interpretLimit(clause: CqlClause, field: string): Query {
  refuseModifiers(clause, []);
  const relation = clause.relation ?? '==';
  if (relation !== '==' && relation !== '=' && relation !== 'exact') {
    stop(19, clause.at, relation, '==', `“${relation}” does not go with ${field}: use ==.`);
  }
  const value = unescapeQuoted(clause.term.text).trim();
  if (value === '') stop(27, clause.term.at, '', 'a value', 'The value is empty.');
  return { kind: 'limit', field, values: [value] };
}
