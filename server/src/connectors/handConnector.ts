/**
 * Databases that no machine can reach. The program prints the string; a person enters what it found and gives the
 * exported file back. What was given is known by the meaning of the string, so that a space more is no other string.
 */
import { createHash } from 'node:crypto';
import {
  describedLimits,
  dialectFrom,
  printCql,
  type BibRecord,
  type DialectContext,
} from '@even-lantern/core';
import type { NewHandDatabase } from '@even-lantern/contract';
import { DatabaseError, type DatabaseConnector, type Page } from './databaseConnector.js';
import { describedVocabulary, type Described } from './described.js';

/** What people have given so far, by the meaning of strings. */
export interface HandAnswers {
  hits(key: string): Promise<number | null>;
  /** in the order of the files */
  records(key: string, page: Page): Promise<BibRecord[]>;
}

export type HandDatabase = Described<NewHandDatabase>;

const PAGE = 500;
const NOT_ENTERED = 'Nobody has entered what it finds yet.';

/** @param turtle the vocabulary that its headings are of, in SKOS */
export function handConnector(
  database: HandDatabase,
  answers: HandAnswers,
  turtle: () => Promise<string>,
): DatabaseConnector {
  const { name, description, release, dialect, vocabulary, limits = [] } = database;
  const cannot = (what: string) => () => Promise.reject(new DatabaseError(`${name} ${what}`, true));
  const connector: DatabaseConnector = {
    explain: () =>
      Promise.resolve({
        name,
        description,
        release,
        simulated: false,
        records: null,
        vocabulary: describedVocabulary(vocabulary),
        ...describedLimits(limits),
        dialect,
        reached: 'hand',
        releases: [],
        nextRelease: null,
        about: null,
        pageCap: PAGE,
      }),
    async count(text) {
      const hits = await answers.hits(handKey(database, text));
      if (hits === null) throw new DatabaseError(NOT_ENTERED, true);
      return { hits, release, understood: '' };
    },
    async search(text, page) {
      const counted = await connector.count(text);
      return { ...counted, records: await answers.records(handKey(database, text), page) };
    },
    facets: cannot('is asked by hand, so there is no overview of it.'),
    scan: cannot('is asked by hand, so its words cannot be listed.'),
    vocabulary: turtle,
    advance: cannot('is asked by hand, so it cannot be advanced.'),
  };
  return connector;
}

/**
 * What a string means, as the key of what was given for it: the SHA-256 of its CQL, which is short in an address.
 * @throws DatabaseError for one that cannot be read
 */
export function handKey({ dialect, vocabulary, limits = [] }: HandDatabase, text: string): string {
  const limitFields = limits.map(({ name }) => name);
  const context: DialectContext = { vocabulary: vocabulary?.id ?? null, limitFields };
  const read = dialectFrom(dialect).parse(text, context);
  if (!read.ok) throw new DatabaseError(read.error.message, true);
  const meaning = printCql(read.query, { vocabulary: context.vocabulary ?? '' });
  return createHash('sha256').update(meaning).digest('hex');
}
