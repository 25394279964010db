/** Terms as a dialect can say them, so that counts are those of the string that the database gets. */
import type { Dialect, DialectContext, Loss, Query, SearchField } from '../query/index.js';
import type { ResolvedTerm, TermResolver } from './termResolver.js';

/**
 * Reads terms as `read` does, and what the dialect cannot say of them as what it says instead, with the losses among
 * the changes.
 */
export function resolverAsSent(dialect: Dialect, context: DialectContext, read: TermResolver): TermResolver {
  const say = (part: Parameters<TermResolver>[0]): ResolvedTerm => {
    const meant = read(part);
    if (!meant.ok) return meant;
    const said = queryAsSent(dialect, context, meant.query);
    return said.ok ? { ...said, changes: [...meant.changes, ...said.changes] } : said;
  };
  return inFields(dialect.abilities.fields, say);
}

/** A query as the dialect says it, with the losses among the changes. */
export function queryAsSent(dialect: Dialect, context: DialectContext, query: Query): ResolvedTerm {
  const { text, losses } = dialect.print(query, context);
  if (losses.length === 0) return { ok: true, query, changes: [] };
  const said = dialect.parse(text, context);
  if (!said.ok) return { ok: false, message: `The database cannot be told this: ${said.error.message}` };
  return { ok: true, query: said.query, changes: losses.map(describeLoss) };
}

/** Reads terms as `read` does, for a database that has these fields. */
export function inFields(fields: readonly SearchField[], read: TermResolver): TermResolver {
  return Object.assign((part: Parameters<TermResolver>[0]) => read(part), { fields });
}

const EFFECTS: Readonly<Record<Loss['effect'], string>> = {
  widens: 'finds more',
  narrows: 'finds less',
  either: 'finds more or less',
  same: 'finds the same',
};

/** A loss in a sentence without its end. */
export function describeLoss({ lost, instead, effect }: Pick<Loss, 'lost' | 'instead' | 'effect'>): string {
  if (effect === 'same') return `said as ${instead} (${EFFECTS.same})`;
  return `it cannot say ${lost}; said instead: ${instead} (${EFFECTS[effect]})`;
}
