/** The databases that ship with the program: SRU 2.0 with MODS, our own context set, facets, scan and releases. */
import { childAt, childrenNamed, textAt, type XmlElement } from '@even-lantern/core';
import {
  DatabaseError,
  type SearchOptions,
  type DatabaseConnector,
  type FacetValue,
  type Page,
  type SearchAnswer,
} from '../databaseConnector.js';
import type { SruOptions } from './calls.js';
import { hitsIn, sruClient } from './client.js';
import { describe, explainIn } from './explain.js';
import { searchAnswerIn } from './searchAnswer.js';

const CONTEXT_SET = 'el.';

/** @param address for example http://127.0.0.1:4311/sru/corvane */
export function shippedConnector(address: string, options: Partial<SruOptions> = {}): DatabaseConnector {
  const client = sruClient({ address, version: '2.0', recordSchema: 'mods' }, options);
  const { host, observe, keepTo } = client;

  /** An address that the server names must be its own, so that it cannot send us elsewhere. */
  const ofServer = (named: string): URL => {
    const url = new URL(named, address);
    if (url.origin === new URL(address).origin) return url;
    throw new DatabaseError(`${host} names an address on another server, ${url.host}.`, true);
  };
  const search = (
    query: string,
    page: Page,
    signal?: AbortSignal,
    { queryType = 'cql', release }: SearchOptions = {},
  ): Promise<SearchAnswer> => client.search(query, page, { queryType, ...inRelease(release) }, signal);

  return {
    observe,
    keepTo,
    search,
    fetch: (accessions, release, signal) =>
      search(
        `rec.identifier any "${accessions.filter(isNumber).join(' ')}"`,
        { start: 1, size: accessions.length },
        signal,
        inRelease(release),
      ),
    async count(query, signal, options) {
      const { records: _none, ...counted } = await search(query, { start: 1, size: 0 }, signal, options);
      return counted;
    },
    async explain(signal) {
      const root = await client.explain(false, signal);
      const explain = explainIn(root);
      if (explain === null)
        throw new DatabaseError(`${host} does not explain itself as SRU servers do.`, false);
      return describe(root, explain, address);
    },
    async facets(query, indexes, signal) {
      const facetLimit = Object.entries(indexes)
        .map(([index, limit]) => `${limit}:${CONTEXT_SET}${index}`)
        .join(',');
      const parameters = client.searchParameters(query, { start: 1, size: 0 }, { facetLimit });
      const root = await client.xml(parameters, signal);
      const hits = hitsIn(searchAnswerIn(root, false), host);
      const facets = childAt(root, 'facetedResults', 'datasource', 'facets');
      return { hits, facets: facets === null ? {} : facetsIn(facets) };
    },
    scan: (field, from, most, release) => client.scan(CONTEXT_SET + field, from, most, inRelease(release)),
    vocabulary: async (named, signal) => client.get(ofServer(named), {}, signal),
    async advance() {
      const root = await client.xml({});
      const control = childAt(root, 'extraResponseData', 'profile', 'control')?.attributes.href;
      if (control === undefined)
        throw new DatabaseError(`${host} cannot be advanced: it is no stand-in.`, true);
      const headers = { 'Content-Type': 'application/json' };
      // Asked once: asked again after an answer got lost, it would advance twice.
      await client.once(ofServer(`${control}/advance`), { method: 'POST', headers, body: '{}' });
    },
  };
}

function inRelease(release: string | undefined): { release?: string } {
  return release === undefined ? {} : { release };
}

/** Whether it can be asked for within quotes, among others. */
function isNumber(accession: string): boolean {
  return !/["\\\s]/.test(accession);
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
