/** The operations of SRU 2.0 over one database: searchRetrieve, scan and explain. */
import {
  docsOf,
  evaluate,
  allNarrower,
  headingByLabel,
  DIALECTS,
  headingCalled,
  listWords,
  partMemory,
  parseCql,
  printCql,
  rank,
  SEARCH_FIELDS,
  textKey,
  type BibRecord,
  type CqlSortKey,
  type EvaluationContext,
  type Query,
} from '@even-lantern/core';
import {
  explainAnswer,
  refusal,
  scanAnswer,
  scanRefusal,
  searchAnswer,
  SCHEMAS,
  MODS_SCHEMA,
} from './answers.js';
import { queryTypesOf, type StandInDatabase } from './database.js';
import { facetsOf, readFacetLimit } from './facets.js';
import { refuse, SruStop, type Diagnostic } from './diagnostics.js';

export type SruParameters = Readonly<Record<string, string | undefined>>;

const KNOWN_PARAMETERS = new Set([
  'operation', 'version', 'query', 'queryType', 'startRecord', 'maximumRecords', 'recordSchema',
  'recordXMLEscaping', 'recordPacking', 'resultSetTTL', 'stylesheet', 'sortKeys', 'renderedBy', 'httpAccept',
  'facetLimit', 'facetSort', 'responseType', 'scanClause', 'maximumTerms', 'responsePosition', 'release',
]); // prettier-ignore

/** What a request is echoed with, as it was sent, in the order of the schema. */
const ECHOED = [
  'query', 'queryType', 'startRecord', 'maximumRecords', 'recordXMLEscaping', 'recordPacking', 'recordSchema',
  'resultSetTTL', 'sortKeys', 'stylesheet', 'renderedBy', 'httpAccept', 'facetLimit', 'facetSort', 'responseType',
] as const; // prettier-ignore

const DEFAULT_PAGE = 10;
const MOST_TERMS = 200;
const REMEMBERED_RESULTS = 40;
/** What a database may hold of what words found: some 400 frequent words of a million records. */
const REMEMBERED_PARTS_BYTES = 64 * 2 ** 20;

export interface SruService {
  /** Answers a request with XML. Never throws: what goes wrong is told as a diagnostic. */
  answer(parameters: SruParameters, host: string, port: number): string;
}

/** An SRU service over a database. It remembers its last results, so that paging is quick. */
export function sruService(database: StandInDatabase): SruService {
  const context: EvaluationContext = {
    narrowerOf: (vocabulary, label) =>
      database.tree !== null && vocabulary === database.tree.vocabulary.id
        ? (allNarrower(database.tree, label)?.map((heading) => heading.label) ?? null)
        : null,
    subheadingsOf: (vocabulary, label) =>
      database.tree !== null && vocabulary === database.tree.vocabulary.id
        ? (headingByLabel(database.tree, label)?.subheadings ?? null)
        : null,
    remembered: partMemory(REMEMBERED_PARTS_BYTES),
  };
  const remembered = new Map<string, Uint32Array>();

  const search = (parameters: SruParameters): string => {
    const { query: text, queryType = 'cql' } = parameters;
    if (text === undefined) refuse(7, 'query', 'The query is missing.');
    if (!queryTypesOf(database).includes(queryType)) {
      const known = queryTypesOf(database).join(' or ');
      refuse(6, 'queryType', `“${queryType}” is no query type of this database: use ${known}.`);
    }
    if (parameters.release !== undefined && parameters.release !== database.release) {
      refuse(
        6,
        'release',
        `There is no release ${parameters.release}; the present one is ${database.release}.`,
      );
    }
    const named = queryType === 'cql' ? identifiersIn(text) : null;
    const read: Understood =
      named === null ? understand(text, queryType, database) : { query: { kind: 'everything' }, sortBy: [] };
    const schema = SCHEMAS[parameters.recordSchema ?? 'mods'];
    if (schema === undefined) refuse(66, parameters.recordSchema ?? '', 'Records come as mods or dc.');
    const escaping =
      parameters.recordXMLEscaping ?? (parameters.recordPacking === 'string' ? 'string' : 'xml');
    if (escaping !== 'xml' && escaping !== 'string') {
      refuse(71, escaping, 'Records come as xml, or as a string that is escaped.');
    }
    const startRecord = wholeNumber(parameters, 'startRecord', 1, 1);
    const requested = wholeNumber(parameters, 'maximumRecords', DEFAULT_PAGE, 0);
    const sort = sortOf(parameters.sortKeys, read.sortBy);
    const { query } = read;

    const found = evaluate(query, database.index, context);
    if (!found.ok) {
      const numbers = {
        'unknown-heading': 36,
        'unknown-subheading': 36,
        'too-many-words': 30,
        'unknown-line': 51,
        'line-cycle': 51,
      };
      refuse(numbers[found.error.problem], '', found.error.message);
    }
    const numbered = named === null ? null : numberedDocs(named);
    const total = numbered?.length ?? found.documents.size;
    const diagnostics: Diagnostic[] = [];
    if (requested > database.pageCap) {
      const message = `At most ${database.pageCap} records come in one answer.`;
      diagnostics.push({ number: 60, details: String(database.pageCap), message });
    }
    if (requested > 0 && startRecord > total && total > 0) {
      refuse(61, String(startRecord), `There are ${total} records; ${startRecord} is beyond the last.`);
    }
    const records: BibRecord[] = [];
    if (requested > 0 && total > 0) {
      const order = numbered ?? ordered(query, sort, () => docsOf(found.documents));
      const page = order.subarray(startRecord - 1, startRecord - 1 + Math.min(requested, database.pageCap));
      for (const doc of page) {
        const record = database.records[doc];
        if (record !== undefined) records.push(record);
      }
    }
    const facets =
      parameters.facetLimit === undefined
        ? []
        : facetsOf(
            database,
            numbered ?? docsOf(found.documents),
            readFacetLimit(parameters.facetLimit, database),
            parameters.facetSort?.startsWith('alphanumeric') === true ? 'value' : 'count',
          );
    const understood =
      named === null
        ? printCql(query, { vocabulary: database.tree?.vocabulary.id ?? '' })
        : `rec.identifier any "${named.join(' ')}"`;
    return searchAnswer(database, {
      total,
      startRecord,
      records,
      schema,
      escaping,
      echoed: Object.fromEntries(
        ECHOED.flatMap((name) => (parameters[name] === undefined ? [] : [[name, parameters[name]]])),
      ),
      understood,
      facets,
      diagnostics,
    });
  };

  let docOf: Map<string, number> | null = null;
  /** The records with some accession numbers, in the order of the database. */
  const numberedDocs = (accessions: readonly string[]): Uint32Array => {
    docOf ??= new Map(database.records.map(({ accession }, doc) => [accession, doc]));
    const known = docOf;
    return Uint32Array.from(new Set(accessions.flatMap((each) => known.get(each) ?? []))).sort();
  };

  const ordered = (query: Query, sort: Sort, docs: () => Uint32Array): Uint32Array => {
    const key = `${sort}\n${printCql(query, { vocabulary: '' })}`;
    const known = remembered.get(key);
    if (known !== undefined) return known;
    const order = sort === 'relevance' ? byRelevance(query) : byDate(docs(), sort);
    remembered.set(key, order);
    const [oldest] = remembered.keys();
    if (remembered.size > REMEMBERED_RESULTS && oldest !== undefined) remembered.delete(oldest);
    return order;
  };

  const byRelevance = (query: Query): Uint32Array => {
    const found = evaluate(query, database.index, context);
    if (!found.ok) return new Uint32Array(0);
    return Uint32Array.from(rank(query, found.documents, database.index, context), ({ doc }) => doc);
  };

  const byDate = (docs: Uint32Array, sort: Sort): Uint32Array => {
    const direction = sort === 'oldest' ? 1 : -1;
    const year = (doc: number) => database.index.years[doc] ?? 0;
    return docs.slice().sort((a, b) => direction * (year(a) - year(b) || a - b));
  };

  const scan = (parameters: SruParameters): string => {
    const clause = parameters.scanClause;
    if (clause === undefined || clause.trim() === '') refuse(7, 'scanClause', 'The scan clause is missing.');
    const match = /^\s*(?:el\.)?([a-z]+)\s*(?:==?|scr|all|any)\s*"?([^"]*)"?\s*$/i.exec(clause);
    const name = match?.[1]?.toLowerCase() ?? '';
    const from = match?.[2] ?? clause.replaceAll('"', '');
    const count = wholeNumber(parameters, 'maximumTerms', 20, 1);
    if (count > MOST_TERMS) refuse(121, String(count), `At most ${MOST_TERMS} terms come in one answer.`);
    const position = wholeNumber(parameters, 'responsePosition', 1, 0);
    if (position > count + 1)
      refuse(120, String(position), `The term asked from stands at 0 to ${count + 1}.`);
    const before = position - 1;
    if (name === 'heading') return scanAnswer(scanHeadings(from, count));
    const field = match === null ? 'words' : SEARCH_FIELDS.find((each) => each === name);
    if (field === undefined) refuse(16, name, `The index “${name}” cannot be scanned.`);
    const words = listWords(database.index, field, textKey(from), count, Math.max(before, 0));
    return scanAnswer(words.map(({ word, documents }) => ({ value: word, numberOfRecords: documents })));
  };

  const scanHeadings = (from: string, count: number) => {
    const start = textKey(from);
    const vocabulary = database.tree?.vocabulary;
    if (vocabulary === undefined) refuse(16, 'heading', 'This database has no headings.');
    return vocabulary.headings
      .filter(({ label }) => textKey(label) >= start)
      .sort((a, b) => (textKey(a.label) < textKey(b.label) ? -1 : 1))
      .slice(0, count)
      .map(({ label }) => {
        const query: Query = {
          kind: 'heading',
          vocabulary: vocabulary.id,
          label,
          narrower: false,
          central: false,
          subheadings: [],
        };
        const found = evaluate(query, database.index, context);
        return { value: label, numberOfRecords: found.ok ? found.documents.size : 0 };
      });
  };

  return {
    answer(parameters, host, port) {
      try {
        const unknown = Object.keys(parameters).find(
          (name) => !KNOWN_PARAMETERS.has(name) && !name.startsWith('x-'),
        );
        if (unknown !== undefined) refuse(8, unknown, `The parameter “${unknown}” is not known.`);
        const { version, operation } = parameters;
        if (version !== undefined && !['1.1', '1.2', '2.0'].includes(version)) {
          refuse(5, '2.0', `Version ${version} is not spoken here.`);
        }
        if (operation !== undefined && !['searchRetrieve', 'scan', 'explain'].includes(operation)) {
          refuse(4, operation, `“${operation}” is no operation of SRU.`);
        }
        if (operation === 'scan' || parameters.scanClause !== undefined) return scan(parameters);
        if (operation === 'searchRetrieve' || parameters.query !== undefined) return search(parameters);
        return explainAnswer(database, host, port);
      } catch (stop) {
        const isScan = parameters.operation === 'scan' || parameters.scanClause !== undefined;
        if (stop instanceof SruStop)
          return isScan ? scanRefusal(stop.diagnostic) : refusal(database, stop.diagnostic);
        const message = stop instanceof Error ? stop.message : String(stop);
        return refusal(database, { number: 1, details: '', message: `The database failed: ${message}` });
      }
    },
  };
}

interface Understood {
  query: Query;
  sortBy: readonly CqlSortKey[];
}

/**
 * The accession numbers of a query for records by their numbers, which stands alone: `rec.identifier any "A1 A2"`, from
 * the context set for metadata of records (info:srw/cql-context-set/2/rec-1.1). Null for any other query.
 */
function identifiersIn(text: string): string[] | null {
  const [, quoted, bare] =
    /^\s*rec\.identifier\s*(?:any|==?|exact)\s*(?:"([^"]*)"|(\S+))\s*$/i.exec(text) ?? [];
  const numbers = quoted ?? bare;
  return numbers === undefined ? null : numbers.split(/\s+/).filter((each) => each !== '');
}

/** Reads a query in one of the database's query types; what cannot be read is refused with its place. */
function understand(text: string, queryType: string, database: StandInDatabase): Understood {
  const { tree } = database;
  const vocabulary = tree?.vocabulary.id ?? null;
  const context = { vocabulary, limitFields: Object.keys(database.limits) };
  const dialect = queryType === 'cql' ? undefined : DIALECTS.get(queryType);
  if (dialect === undefined) {
    const read = parseCql(text, { ...context, vocabulary: vocabulary ?? '' });
    if (read.ok) return read;
    return refuse(read.error.diagnostic, `position ${read.error.at + 1}`, read.error.message);
  }
  const headingFor = (words: string) => (tree === null ? null : (headingCalled(tree, words)?.label ?? null));
  const read = dialect.parse(text, { ...context, headingFor });
  if (read.ok) return { query: read.query, sortBy: [] };
  return refuse(10, `position ${read.error.at + 1}`, read.error.message);
}

export { MODS_SCHEMA };

type Sort = 'relevance' | 'newest' | 'oldest';

/** Sort keys of SRU (`date,,0`) or of CQL (`sortBy el.year/sort.descending`); relevance when none is given. */
function sortOf(sortKeys: string | undefined, sortBy: readonly CqlSortKey[]): Sort {
  const [first] = sortBy;
  if (sortKeys === undefined || sortKeys.trim() === '') {
    if (first === undefined) return 'relevance';
    const descending = first.modifiers.some((modifier) => modifier.name.toLowerCase() === 'sort.descending');
    return namedSort(first.index.replace(/^[a-z]+\./i, ''), !descending);
  }
  const [path = '', , ascending = '1'] = (sortKeys.trim().split(/\s+/)[0] ?? '').split(',');
  return namedSort(path, ascending !== '0');
}

function namedSort(name: string, ascending: boolean): Sort {
  if (name === 'relevance') return 'relevance';
  if (name === 'date' || name === 'year') return ascending ? 'oldest' : 'newest';
  return refuse(80, name, `Results sort by relevance or date, not by “${name}”.`);
}

function wholeNumber(parameters: SruParameters, name: string, standard: number, lowest: number): number {
  const text = parameters[name];
  if (text === undefined || text === '') return standard;
  const value = Number(text);
  if (!/^\d+$/.test(text) || value < lowest) refuse(6, name, `${name} is a whole number from ${lowest} up.`);
  return value;
}
