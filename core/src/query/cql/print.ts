/** Queries as canonical text: CQL with every parenthesis that makes the left-to-right reading certain. */
import { isYearRange, type Query } from '../model.js';
import { normaliseQuery } from '../normalise.js';
import type { Form } from '../form.js';
import { cqlForm } from './form.js';

/**
 * Prints a query as CQL. Reading it back with the same vocabulary gives the normalised query.
 *
 * @param options.vocabulary the vocabulary that headings need not name
 */
export function printCql(query: Query, { vocabulary }: { vocabulary: string }): string {
  const form = cqlForm({ indexOf: (name) => `el.${name}`, modifierSet: 'el.', vocabulary });
  const whole = normaliseQuery(query);
  const text = print(whole, form);
  return whole.kind === 'near' ? text.slice(1, -1) : text;
}

function print(query: Query, form: Form): string {
  switch (query.kind) {
    case 'words':
      return form.words(query);
    case 'near':
      return form.near(query);
    case 'heading':
      return form.heading(query);
    case 'limit':
      if (isYearRange(query)) {
        const open = query.from === null && query.to === null;
        return open ? form.everything : form.years(query.from, query.to);
      }
      if (query.values.length === 0) throw new RangeError(`the limit on ${query.field} has no values`);
      return form.limit(query.field, query.values);
    case 'line':
      return form.line(query.line);
    case 'everything':
      return form.everything;
    case 'and':
    case 'or':
      return query.operands.map((each) => printOperand(each, form)).join(form.operators[query.kind]);
    case 'not':
      return printOperand(query.include, form) + form.operators.not + printOperand(query.exclude, form);
  }
}

function printOperand(query: Query, form: Form): string {
  const compound = query.kind === 'and' || query.kind === 'or' || query.kind === 'not';
  return compound ? `(${print(query, form)})` : print(query, form);
}
