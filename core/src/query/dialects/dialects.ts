import { assayhouseKind } from './assayhouse/index.js';
import { corvaneKind } from './corvane/index.js';
import { cqlKind } from './cql/index.js';
import { mindryKind } from './mindry/index.js';
import { skeinKind } from './skein/index.js';
import { wardlineKind } from './wardline/index.js';
import type { Dialect } from './dialect.js';
import { dialectOfKind, type DialectDescription } from './naming.js';

const OWN_KINDS = [corvaneKind, wardlineKind, mindryKind, assayhouseKind, skeinKind];

/** The dialects of the databases that ship with the program, by the name that SRU calls the query type. */
export const DIALECTS: ReadonlyMap<string, Dialect> = new Map(
  OWN_KINDS.map((kind) => [kind.id, dialectOfKind(kind)]),
);

/** The kinds that a database can be described by, with the names and abilities of each where nothing is said. */
export const DIALECT_KINDS: readonly Dialect[] = [...OWN_KINDS, cqlKind].map((kind) => dialectOfKind(kind));

/** @throws RangeError where there is no such kind */
export function dialectFrom(description: DialectDescription): Dialect {
  const kind = [...OWN_KINDS, cqlKind].find(({ id }) => id === description.kind);
  if (kind === undefined) throw new RangeError(`there is no kind of dialect “${description.kind}”`);
  return dialectOfKind(kind, description);
}
