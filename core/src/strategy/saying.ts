/** Terms as a dialect can say them, so that counts are those of the string that the database gets. */
import type { Dialect, DialectContext, Loss, Query, SearchField } from '../query/index.js';
import type { ResolvedTerm, TermResolver } from './termResolver.js';

/**
 * Reads terms as `read` does, and what the dialect cannot say of them as what it says instead, with the losses among
 * the changes.
 */
export function resolverAsSent(dialect: Dialect, context: DialectContext, read: TermResolver): TermResolver {
  const say = (part: Parameters<TermResolver>[0]): ResolvedTerm => {
    const intended = read(part);
    if (!intended.ok) return intended;
    const sent = queryAsSent(dialect, context, intended.query);
    return sent.ok ? { ...sent, changes: [...intended.changes, ...sent.changes] } : sent;
  };
  return inFields(dialect.abilities.fields, say);
}

/** A query as the dialect says it, with the losses among the changes. */
export function queryAsSent(dialect: Dialect, context: DialectContext, query: Query): ResolvedTerm {
  const { text, losses } = dialect.print(query, context);
  if (losses.length === 0) return { ok: true, query, changes: [] };
  const sent = dialect.parse(text, context);
  if (!sent.ok) return { ok: false, message: `The database cannot be told this: ${sent.error.message}` };
  return { ok: true, query: sent.query, changes: losses.map(describeLoss) };
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
