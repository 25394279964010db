/** Strings of dialects in tests: reading, printing and what is wrong with them. */
import { DIALECTS, type DialectContext, type Query } from '../query/index.js';

export const context: DialectContext = { vocabulary: 'tree', limitFields: ['language'] };
export const ALL = [...DIALECTS.keys()];
export const dialect = (id: string) => {
  const found = DIALECTS.get(id);
  if (found === undefined) throw new Error(`no dialect ${id}`);
  return found;
};
export const read = (id: string, text: string, more: Partial<DialectContext> = {}): Query => {
  const result = dialect(id).parse(text, { ...context, ...more });
  if (!result.ok) throw new Error(`${result.error.message} at ${result.error.at}`);
  return result.query;
};
export const printed = (id: string, text: string) => dialect(id).print(read('corvane', text), context);
export const wrong = (id: string, text: string) => {
  const result = dialect(id).parse(text, context);
  return result.ok ? null : [result.error.at, result.error.message];
};
