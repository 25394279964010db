/** SRU servers that people add: they know none of our context set, and what they mean is what a person said of them. */
import { describedLimits, dialectFrom } from '@even-lantern/core';
import type { NewSruDatabase } from '@even-lantern/contract';
import {
  DatabaseError,
  type SearchOptions,
  type DatabaseConnector,
  type Page,
  type SearchAnswer,
} from '../databaseConnector.js';
import { describedVocabulary, type Described } from '../described.js';
import type { SruOptions } from './calls.js';
import { sruClient, type SruServer } from './client.js';
import { describe, explainIn } from './explain.js';

interface ServerSettings extends Pick<
  Described<NewSruDatabase>,
  'name' | 'description' | 'dialect' | 'vocabulary' | 'limits'
> {
  /** its vocabulary, in SKOS */
  turtle: () => Promise<string>;
}

/** @param said what a person has said of it */
export function addedConnector(
  server: SruServer,
  settings: ServerSettings,
  options: Partial<SruOptions> = {},
): DatabaseConnector {
  const client = sruClient(server, options);
  const { host, observe, keepTo } = client;
  const { name, description, dialect, vocabulary, limits = [], turtle } = settings;
  const { names } = dialectFrom(dialect);

  const search = (
    query: string,
    { start, size }: Page,
    signal?: AbortSignal,
    { queryType = 'cql' }: SearchOptions = {},
  ): Promise<SearchAnswer> => {
    // Servers that we do not know may not take 0 for no records.
    const page = { start, size: Math.max(size, 1) };
    return client.search(query, page, server.version === '2.0' ? { queryType } : {}, signal);
  };

  // What it calls the numbers of its records is not known, so there is no `fetch`.
  return {
    observe,
    keepTo,
    search,
    async count(query, signal, options) {
      const { records: _first, ...counted } = await search(query, { start: 1, size: 0 }, signal, options);
      return counted;
    },
    async explain(signal) {
      const root = await client.explain(true, signal);
      const explain = explainIn(root);
      if (explain === null)
        throw new DatabaseError(`${host} does not explain itself as SRU servers do.`, false);
      return {
        ...describe(root, explain, server.address),
        name,
        description,
        dialect,
        reached: 'address',
        vocabulary: describedVocabulary(vocabulary),
        ...describedLimits(limits),
        releases: [],
        nextRelease: null,
      };
    },
    facets: () => Promise.reject(new DatabaseError(`${host} does not count by index.`, true)),
    scan: (field, from, most) => client.scan(names[field] ?? field, from, most, {}),
    vocabulary: turtle,
    advance: () => Promise.reject(new DatabaseError(`${host} cannot be advanced: it is no stand-in.`, true)),
  };
}
