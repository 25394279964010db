import { assayhouseDialect } from './assayhouse/index.js';
import { corvaneDialect } from './corvane/index.js';
import { mindryDialect } from './mindry/index.js';
import { skeinDialect } from './skein/index.js';
import { wardlineDialect } from './wardline/index.js';
import type { Dialect } from './dialect.js';

/** The dialects by the name that SRU calls the query type. */
export const DIALECTS: ReadonlyMap<string, Dialect> = new Map(
  [corvaneDialect, wardlineDialect, mindryDialect, assayhouseDialect, skeinDialect].map((dialect) => [
    dialect.id,
    dialect,
  ]),
);
