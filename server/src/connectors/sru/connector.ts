/** Databases that speak SRU over HTTP: 2.0 (OASIS searchRetrieve 1.0), and 1.1 and 1.2 before it. */
import {
  childAt,
  childrenNamed,
  describedLimits,
  dialectFrom,
  textAt,
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
import { XML_AT_ONCE } from '../xml/xmlParser.js';
import { describe, explainIn } from './explain.js';
import { searchAnswerIn, type SearchAnswerText } from './searchAnswer.js';

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
  'name' | 'description' | 'dialect' | 'vocabulary' | 'limits'
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
  const { get, once, observe, keepTo } = sruCalls(host, options);
  const { xml: parser = XML_AT_ONCE } = options;
  const names = added === null ? null : dialectFrom(added.dialect).names;

  /** An address that the server names must be its own, so that it cannot send us elsewhere. */
  const ofServer = (named: string): URL => {
    const url = new URL(named, address);
    if (url.origin === new URL(address).origin) return url;
    throw new DatabaseError(`${host} names an address on another server, ${url.host}.`, true);
  };

  const ask = (parameters: Record<string, string>, signal?: AbortSignal): Promise<string> => {
    const url = new URL(address);
    const form = new URLSearchParams([...url.searchParams, ...Object.entries(parameters)]);
    const long = form.toString().length > LONGEST_ADDRESS[version];
    if (!long) url.search = form.toString();
    return get(url, long ? { method: 'POST', body: form } : {}, signal);
  };
  const unreadable = (message: string) =>
    new DatabaseError(`The answer from ${host} cannot be read: ${message}`, false);
  const request = async (parameters: Record<string, string>, signal?: AbortSignal): Promise<XmlElement> => {
    const xml = await parser.xml(await ask(parameters, signal));
    if (!xml.ok) throw unreadable(xml.message);
    return xml.root;
  };
  /** The parameters of a search. Servers that we do not know may not take 0 for no records. */
  const searchParameters = (query: string, page: Page, further: Record<string, string>) => ({
    ...operation(version, 'searchRetrieve'),
    query,
    startRecord: String(page.start),
    maximumRecords: String(added === null ? page.size : Math.max(page.size, 1)),
    recordSchema: server.recordSchema,
    ...further,
  });
  /** How many records an answer tells of. @throws DatabaseError where it refuses, or tells of no number */
  const hitsIn = ({ hits, diagnostic }: Pick<SearchAnswerText, 'hits' | 'diagnostic'>): number => {
    // Diagnostic 60 only says that the page is capped; the records that came are good.
    if (diagnostic !== null && !diagnostic.uri.endsWith('/60')) {
      throw new DatabaseError(diagnostic.message || diagnostic.uri, true);
    }
    if (!/^\d+$/.test(hits))
      throw new DatabaseError(`The answer from ${host} holds no number of records.`, false);
    if (!Number.isSafeInteger(Number(hits))) {
      throw new DatabaseError(
        `${host} tells of a number of records that cannot be, of ${hits.length} digits.`,
        false,
      );
    }
    return Number(hits);
  };

  const search = async (
    query: string,
    page: Page,
    signal?: AbortSignal,
    { queryType = 'cql', release }: Asking = {},
  ): Promise<SearchAnswer> => {
    const text = await ask(
      searchParameters(query, page, {
        ...(version === '2.0' ? { queryType } : {}),
        ...(release === undefined || added !== null ? {} : { release }),
      }),
      signal,
    );
    const read = await parser.answer(text, page.size > 0);
    if (!read.ok) throw unreadable(read.message);
    const { answer } = read;
    const hits = hitsIn(answer);
    if (answer.unreadable !== null) {
      const reason = answer.unreadable === '' ? '' : `: ${answer.unreadable}`;
      throw new DatabaseError(`A record from ${host} cannot be read${reason}.`, false);
    }
    return { hits, release: answer.release, understood: answer.understood, records: answer.records };
  };

  return {
    observe,
    keepTo,
    search,
    // What other servers call their numbers is not known.
    ...(added === null
      ? {
          fetch: (accessions: readonly string[], release?: string, signal?: AbortSignal) =>
            search(
              `rec.identifier any "${accessions.filter(isNumber).join(' ')}"`,
              { start: 1, size: accessions.length },
              signal,
              release === undefined ? {} : { release },
            ),
        }
      : {}),
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
      const { name, description, dialect, vocabulary, limits = [] } = added;
      return {
        ...described,
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
    async facets(query, indexes, signal): Promise<FacetAnswer> {
      if (added !== null) throw new DatabaseError(`${host} does not count by index.`, true);
      const facetLimit = Object.entries(indexes)
        .map(([index, limit]) => `${limit}:el.${index}`)
        .join(',');
      const root = await request(searchParameters(query, { start: 1, size: 0 }, { facetLimit }), signal);
      const hits = hitsIn(searchAnswerIn(root, false));
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

/** Whether it can be asked for within quotes, among others. */
function isNumber(accession: string): boolean {
  return !/["\\\s]/.test(accession);
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
