/** A database over a handful of records, which reads CQL and one dialect as a real one would. */
import {
  buildIndex,
  DIALECTS,
  docsOf,
  evaluate,
  headingByLabel,
  indexVocabulary,
  listWords,
  parseCql,
  printCql,
  vocabularyToTurtle,
  type BibRecord,
  type Query,
  type Vocabulary,
} from '@even-lantern/core';
import { DatabaseError, type DatabaseConnector } from '../connectors/databaseConnector.js';

export interface IndexedDatabase {
  name: string;
  /** id of its dialect */
  dialect: string;
  vocabulary: Vocabulary | null;
  records: readonly BibRecord[];
  /** headings that it joins to bare words by itself */
  headingFor?: (words: string) => string | null;
  /** the releases that it answers for; the last is the present one */
  releases?: readonly string[];
  /** what it held before the present release, where that was something else */
  earlier?: readonly BibRecord[];
  /** its own limits; language alone where they are not given */
  limits?: Record<string, string[]>;
}

/** @param asked notes every query with its language and release */
export function indexedConnector(database: IndexedDatabase, calls: string[] = []): DatabaseConnector {
  const { name, dialect, vocabulary, records, headingFor, releases = ['2026-10-01'] } = database;
  const index = buildIndex(records);
  const indexBefore = database.earlier === undefined ? index : buildIndex(database.earlier);
  const tree = vocabulary === null ? null : indexVocabulary(vocabulary);
  const { limits = { language: ['English'] } } = database;
  const context = { vocabulary: vocabulary?.id ?? null, limitFields: Object.keys(limits) };
  const present = releases.at(-1) ?? '';

  const understand = (text: string, queryType: string): Query => {
    const read =
      queryType === 'cql'
        ? parseCql(text, { ...context, vocabulary: context.vocabulary ?? '' })
        : DIALECTS.get(queryType)?.parse(text, { ...context, ...(headingFor && { headingFor }) });
    if (read === undefined || (queryType !== 'cql' && queryType !== dialect)) {
      throw new DatabaseError('The query type is not known.', true);
    }
    if (!read.ok) throw new DatabaseError(read.error.message, true);
    return read.query;
  };

  const connector: DatabaseConnector = {
    // It makes no calls that would have to be counted: tests look at what it is asked.
    keepTo: () => undefined,
    async explain() {
      return {
        name,
        description: '',
        release: present,
        simulated: true,
        records: records.length,
        vocabulary: vocabulary && { id: vocabulary.id, name: vocabulary.name, address: `/${vocabulary.id}` },
        limits,
        dialect: { kind: dialect, names: {}, lacks: [] },
        reached: 'shipped',
        releases: [...releases],
        nextRelease: null,
        about: null,
        pageCap: 50,
      };
    },
    async count(query, signal, options) {
      const { records: _records, ...answer } = await connector.search(
        query,
        { start: 1, size: 0 },
        signal,
        options,
      );
      return answer;
    },
    async search(text, { start, size }, _signal, { queryType = 'cql', release = present } = {}) {
      calls.push(`${queryType} ${release}: ${text}`);
      const query = understand(text, queryType);
      const found = evaluate(query, release === present ? index : indexBefore, {
        narrowerOf: (_vocabulary, label) =>
          tree !== null && headingByLabel(tree, label) !== null ? [] : null,
      });
      if (!found.ok) throw new DatabaseError(found.error.message, true);
      const held = release === present ? records : (database.earlier ?? records);
      const docs = [...docsOf(found.documents)].slice(start - 1, start - 1 + size);
      return {
        hits: found.documents.size,
        release,
        understood: printCql(query, { vocabulary: context.vocabulary ?? '' }),
        records: docs.flatMap((doc) => held[doc] ?? []),
      };
    },
    async fetch(accessions, release = present) {
      calls.push(`numbers ${release}: ${accessions.join(' ')}`);
      const held = release === present ? records : (database.earlier ?? records);
      const found = held.filter(({ accession }) => accessions.includes(accession));
      return { hits: found.length, release, understood: '', records: found };
    },
    facets: async () => ({ hits: 0, facets: {} }),
    scan: async (field, from, most, release = present) =>
      listWords(release === present ? index : indexBefore, field, from, most).map(({ word, documents }) => ({
        word,
        hits: documents,
      })),
    vocabulary: () => (vocabulary === null ? Promise.resolve('') : vocabularyToTurtle(vocabulary)),
    advance: () => Promise.reject(new DatabaseError('It is the last.', true)),
  };
  return connector;
}
