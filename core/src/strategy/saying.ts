/** Terms as a dialect can say them, so that counts are those of the string that the database gets. */
import type { Dialect, DialectContext, Loss, SearchField } from '../query/index.js';
import type { ReadTerm, TermReading } from './termReading.js';

/**
 * Reads terms as `read` does, and what the dialect cannot say of them as what it says instead, with the losses among
 * the changes.
 */
export function sayingIn(dialect: Dialect, context: DialectContext, read: TermReading): TermReading {
  const say = (part: Parameters<TermReading>[0]): ReadTerm => {
    const meant = read(part);
    if (!meant.ok) return meant;
    const { text, losses } = dialect.print(meant.query, context);
    if (losses.length === 0) return meant;
    const said = dialect.parse(text, context);
    if (!said.ok) return { ok: false, message: `The database cannot be told this: ${said.error.message}` };
    return { ok: true, query: said.query, changes: [...meant.changes, ...losses.map(describeLoss)] };
  };
  return inFields(dialect.abilities.fields, say);
}

/** Reads terms as `read` does, for a database that has these fields. */
export function inFields(fields: readonly SearchField[], read: TermReading): TermReading {
  return Object.assign((part: Parameters<TermReading>[0]) => read(part), { fields });
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
