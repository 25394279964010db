/** What ends the reading of CQL: the first error, with its place. */
import type { CqlClause, CqlError, CqlModifier } from './syntax.js';

export class Stop extends Error {
  constructor(readonly error: CqlError) {
    super(error.message);
  }
}

export function stop(
  diagnostic: number,
  at: number,
  found: string,
  expected: string,
  message: string,
): never {
  throw new Stop({ diagnostic, at, found, expected, message });
}

export function modifierName(modifier: CqlModifier): string {
  return modifier.name.toLowerCase().replace(/^el\./, '');
}

export function refuseModifiers(clause: CqlClause, allowed: readonly string[]): void {
  for (const modifier of clause.modifiers) {
    if (!allowed.includes(modifierName(modifier))) {
      const expected = allowed.length > 0 ? allowed.join(', ') : 'no modifier';
      stop(20, modifier.at, modifier.name, expected, `The modifier “${modifier.name}” is not known here.`);
    }
  }
}
