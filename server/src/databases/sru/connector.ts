/** Databases that speak SRU over HTTP: 2.0 (OASIS searchRetrieve 1.0), and 1.1 and 1.2 before it. */
import {
  accessionFor,
  childAt,
  childrenNamed,
  dialectFrom,
  parseXml,
  recordFromXml,
  textAt,
  type BibRecord,
  type XmlElement,
} from '@even-lantern/core';
import type { NewSruDatabase, SruVersion } from '@even-lantern/contract';
import {
  DatabaseError,
  type Asking,
  type CountAnswer,
  type DatabaseConnector,
  type DatabaseDescription,
  type FacetAnswer,
  type FacetValue,
  type Page,
  type ScannedWord,
  type SearchAnswer,
} from '../databaseConnector.js';
import { describedVocabulary, type Described } from '../described.js';
import { sruCalls, type SruOptions } from './calls.js';
import { dataOf, describe, explainIn } from './explain.js';

/** How a server is spoken to. */
export interface SruServer {
  /** for example http://127.0.0.1:4311/sru/corvane */
  address: string;
  version: SruVersion;
  /** what it calls the kind of records wanted */
  recordSchema: string;
  /** what a person has said of it; our stand-ins tell it themselves */
  added: SaidOfServer | null;
}

interface SaidOfServer extends Pick<
  Described<NewSruDatabase>,
  'name' | 'description' | 'dialect' | 'vocabulary'
> {
  /** its vocabulary, in SKOS */
  turtle: () => Promise<string>;
}

/** Longer queries are sent as POST, since addresses have bounds. Before 2.0 not every server takes that. */
const LONGEST_ADDRESS: Readonly<Record<SruVersion, number>> = { '1.1': 6000, '1.2': 6000, '2.0': 1500 };
const CONTEXT_SET = 'el.';

/** A server that speaks SRU 2.0 and gives MODS, as the stand-ins do. */
export function shippedServer(address: string): SruServer {
  return { address, version: '2.0', recordSchema: 'mods', added: null };
}

export function sruConnector(server: SruServer, options: Partial<SruOptions> = {}): DatabaseConnector {
  const { address, version, added } = server;
  const { host } = new URL(address);
  const { get, once, observe } = sruCalls(host, options);
  const names = added === null ? null : dialectFrom(added.dialect).names;

  /** An address that the server names must be its own, so that it cannot send us elsewhere. */
  const ofServer = (named: string): URL => {
    const url = new URL(named, address);
    if (url.origin === new URL(address).origin) return url;
    throw new DatabaseError(`${host} names an address on another server, ${url.host}.`, true);
  };

  const request = async (parameters: Record<string, string>, signal?: AbortSignal): Promise<XmlElement> => {
    const url = new URL(address);
    const form = new URLSearchParams([...url.searchParams, ...Object.entries(parameters)]);
    const long = form.toString().length > LONGEST_ADDRESS[version];
    if (!long) url.search = form.toString();
    const xml = parseXml(await get(url, long ? { method: 'POST', body: form } : {}, signal));
    if (!xml.ok) throw new DatabaseError(`The answer from ${host} cannot be read: ${xml.message}`, false);
    return xml.root;
  };

  /** @returns the answer and how many records it tells of */
  const searchRetrieve = async (
    query: string,
    page: Page,
    further: Record<string, string>,
    signal?: AbortSignal,
  ): Promise<{ root: XmlElement; hits: number }> => {
    const root = await request(
      {
        ...operation(version, 'searchRetrieve'),
        query,
        startRecord: String(page.start),
        // Servers that we do not know may not take 0 for none.
        maximumRecords: String(added === null ? page.size : Math.max(page.size, 1)),
        recordSchema: server.recordSchema,
        ...further,
      },
      signal,
    );
    const total = textAt(root, 'numberOfRecords');
    const diagnostic = childAt(root, 'diagnostics', 'diagnostic');
    // Diagnostic 60 only says that the page is capped; the records that came are good.
    if (diagnostic !== null && !textAt(diagnostic, 'uri').endsWith('/60')) {
      throw new DatabaseError(textAt(diagnostic, 'message') || textAt(diagnostic, 'uri'), true);
    }
    if (!/^\d+$/.test(total))
      throw new DatabaseError(`The answer from ${host} holds no number of records.`, false);
    return { root, hits: Number(total) };
  };

  const search = async (
    query: string,
    page: Page,
    signal?: AbortSignal,
    { queryType = 'cql', release }: Asking = {},
  ): Promise<SearchAnswer> => {
    const asked = {
      ...(version === '2.0' ? { queryType } : {}),
      ...(release === undefined || added !== null ? {} : { release }),
    };
    const { root, hits } = await searchRetrieve(query, page, asked, signal);
    return {
      hits,
      release: textAt(root, 'extraResponseData', 'profile', 'release'),
      understood: textAt(root, 'echoedSearchRetrieveRequest', 'query'),
      records: page.size === 0 ? [] : recordsOf(root, host),
    };
  };

  return {
    observe,
    search,
    async count(query, signal, asking): Promise<CountAnswer> {
      const { hits, release, understood } = await search(query, { start: 1, size: 0 }, signal, asking);
      return { hits, release, understood };
    },
    async explain(signal): Promise<DatabaseDescription> {
      const root = await request(added === null ? {} : operation(version, 'explain'), signal);
      const explain = explainIn(root);
      if (explain === null)
        throw new DatabaseError(`${host} does not explain itself as SRU servers do.`, false);
      const described = describe(root, explain, address);
      if (added === null) return described;
      const { name, description, dialect, vocabulary } = added;
      return {
        ...described,
        name,
        description,
        dialect,
        reached: 'address',
        vocabulary: describedVocabulary(vocabulary),
        limits: {},
        releases: [],
        nextRelease: null,
      };
    },
    async facets(query, indexes, signal): Promise<FacetAnswer> {
      if (added !== null) throw new DatabaseError(`${host} does not count by index.`, true);
      const facetLimit = Object.entries(indexes)
        .map(([index, limit]) => `${limit}:el.${index}`)
        .join(',');
      const { root, hits } = await searchRetrieve(query, { start: 1, size: 0 }, { facetLimit }, signal);
      const facets = childAt(root, 'facetedResults', 'datasource', 'facets');
      return { hits, facets: facets === null ? {} : facetsIn(facets) };
    },
    async scan(field, from, most, release): Promise<ScannedWord[]> {
      const parameters = {
        ...operation(version, 'scan'),
        scanClause: `${names === null ? CONTEXT_SET + field : names[field]} = "${from}"`,
        maximumTerms: String(most),
        ...(release === undefined || added !== null ? {} : { release }),
      };
      const root = await request(parameters);
      const diagnostic = childAt(root, 'diagnostics', 'diagnostic');
      if (diagnostic !== null) throw new DatabaseError(textAt(diagnostic, 'message'), true);
      const terms = childAt(root, 'terms');
      return (terms === null ? [] : childrenNamed(terms, 'term')).map((term) => ({
        word: textAt(term, 'value'),
        hits: Number(textAt(term, 'numberOfRecords')) || 0,
      }));
    },
    vocabulary: async (named, signal) => (added === null ? get(ofServer(named), {}, signal) : added.turtle()),
    async advance() {
      const root = await request({});
      const control = childAt(root, 'extraResponseData', 'profile', 'control')?.attributes.href;
      if (control === undefined)
        throw new DatabaseError(`${host} cannot be advanced: it is no stand-in.`, true);
      const headers = { 'Content-Type': 'application/json' };
      // Asked once: asked again after an answer got lost, it would advance twice.
      await once(ofServer(`${control}/advance`), { method: 'POST', headers, body: '{}' });
    },
  };
}

/** How an operation is named: in 2.0 a search is known by its query and explaining by nothing at all. */
function operation(version: SruVersion, name: 'explain' | 'searchRetrieve' | 'scan'): Record<string, string> {
  if (version !== '2.0') return { operation: name, version };
  return name === 'scan' ? { operation: name } : {};
}

function facetsIn(facets: XmlElement): Record<string, FacetValue[]> {
  return Object.fromEntries(
    childrenNamed(facets, 'facet').map((facet): [string, FacetValue[]] => {
      const terms = childAt(facet, 'terms');
      const values = (terms === null ? [] : childrenNamed(terms, 'term')).map((term) => ({
        value: textAt(term, 'actualTerm'),
        count: Number(textAt(term, 'count')) || 0,
      }));
      return [textAt(facet, 'index').replace(/^el\./, ''), values];
    }),
  );
}

function recordsOf(root: XmlElement, host: string): BibRecord[] {
  const records = childAt(root, 'records');
  if (records === null) return [];
  return childrenNamed(records, 'record').map((record) => {
    const data = dataOf(record);
    const read = data === null ? null : recordFromXml(data);
    if (read === null || data === null) {
      // In place of a record, a server may send what hinders it from giving that one.
      const reason = data?.name === 'diagnostic' ? `: ${textAt(data, 'message')}` : '';
      throw new DatabaseError(`A record from ${host} cannot be read${reason}.`, false);
    }
    const accession = read.accession || textAt(record, 'recordIdentifier') || accessionFor(read);
    return { ...read, accession };
  });
}
