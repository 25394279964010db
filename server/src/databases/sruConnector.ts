/** Databases that speak SRU 2.0 over HTTP (OASIS searchRetrieve 1.0). */
import type { DatabaseAbout } from '@even-lantern/contract';
import pLimit from 'p-limit';
import pRetry, { AbortError } from 'p-retry';
import {
  childAt,
  childrenNamed,
  parseXml,
  recordFromMods,
  textAt,
  type BibRecord,
  type XmlElement,
} from '@even-lantern/core';
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
} from './databaseConnector.js';

export interface SruOptions {
  timeoutMs: number;
  /** tries after the first, for failures that may pass */
  retries: number;
  /** calls in flight */
  concurrency: number;
}

const DEFAULTS: SruOptions = { timeoutMs: 10_000, retries: 2, concurrency: 6 };
/** Longer queries are sent as POST, since addresses have bounds. */
const LONGEST_ADDRESS = 1500;
/** One call that failed; the message goes on from the name of the host. */
class FailedCall extends Error {}

const WORTH_RETRYING = new Set([408, 429, 500, 502, 503, 504]);

/** @param address of the SRU server, for example http://127.0.0.1:4311/sru/corvane */
export function sruConnector(address: string, options: Partial<SruOptions> = {}): DatabaseConnector {
  const { timeoutMs, retries, concurrency } = { ...DEFAULTS, ...options };
  const limit = pLimit(concurrency);
  const { host } = new URL(address);

  const attempt = async (url: URL, init: RequestInit, signal: AbortSignal | undefined): Promise<string> => {
    const timeout = AbortSignal.timeout(timeoutMs);
    const ends = signal === undefined ? timeout : AbortSignal.any([signal, timeout]);
    try {
      const response = await fetch(url, { ...init, redirect: 'error', signal: ends });
      if (response.ok) return await response.text();
      await response.body?.cancel();
      const error = new FailedCall(`answered with status ${response.status}`);
      throw WORTH_RETRYING.has(response.status) ? error : new AbortError(error);
    } catch (error) {
      if (error instanceof FailedCall || error instanceof AbortError) throw error;
      throw new FailedCall(
        timeout.aborted ? `did not answer within ${timeoutMs / 1000} seconds` : 'cannot be reached',
      );
    }
  };

  const get = (url: URL, init: RequestInit, signal?: AbortSignal): Promise<string> =>
    limit(async () => {
      try {
        return await pRetry(() => attempt(url, init, signal), {
          retries,
          minTimeout: 150,
          randomize: true,
          ...(signal === undefined ? {} : { signal }),
          shouldRetry: () => signal?.aborted !== true,
        });
      } catch (error) {
        if (signal?.aborted === true) throw new DatabaseError('It was stopped.', false);
        throw new DatabaseError(`${host} ${error instanceof Error ? error.message : String(error)}.`, false);
      }
    });

  /** An address that the server names must be its own, so that it cannot send us elsewhere. */
  const ofServer = (named: string): URL => {
    const url = new URL(named, address);
    if (url.origin === new URL(address).origin) return url;
    throw new DatabaseError(`${host} names an address on another server, ${url.host}.`, true);
  };

  const request = async (parameters: Record<string, string>, signal?: AbortSignal): Promise<XmlElement> => {
    const form = new URLSearchParams(parameters);
    const url = new URL(address);
    const long = form.toString().length > LONGEST_ADDRESS;
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
        query,
        queryType: 'cql',
        startRecord: String(page.start),
        maximumRecords: String(page.size),
        recordSchema: 'mods',
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
    const asked = { queryType, ...(release === undefined ? {} : { release }) };
    const { root, hits } = await searchRetrieve(query, page, asked, signal);
    return {
      hits,
      release: textAt(root, 'extraResponseData', 'profile', 'release'),
      understood: textAt(root, 'echoedSearchRetrieveRequest', 'query'),
      records: recordsOf(root, host),
    };
  };

  return {
    search,
    async count(query, signal, asking): Promise<CountAnswer> {
      const { hits, release, understood } = await search(query, { start: 1, size: 0 }, signal, asking);
      return { hits, release, understood };
    },
    async explain(signal): Promise<DatabaseDescription> {
      const root = await request({}, signal);
      const explain = childAt(root, 'record', 'recordData', 'explain');
      if (explain === null)
        throw new DatabaseError(`${host} does not explain itself as SRU servers do.`, false);
      return describe(root, explain, address);
    },
    async facets(query, indexes, signal): Promise<FacetAnswer> {
      const facetLimit = Object.entries(indexes)
        .map(([index, limit]) => `${limit}:el.${index}`)
        .join(',');
      const { root, hits } = await searchRetrieve(query, { start: 1, size: 0 }, { facetLimit }, signal);
      const facets = childAt(root, 'facetedResults', 'datasource', 'facets');
      return { hits, facets: facets === null ? {} : facetsIn(facets) };
    },
    async scan(field, from, most, signal): Promise<ScannedWord[]> {
      const parameters = {
        operation: 'scan',
        scanClause: `el.${field} = "${from}"`,
        maximumTerms: String(most),
      };
      const root = await request(parameters, signal);
      const diagnostic = childAt(root, 'diagnostics', 'diagnostic');
      if (diagnostic !== null) throw new DatabaseError(textAt(diagnostic, 'message'), true);
      const terms = childAt(root, 'terms');
      return (terms === null ? [] : childrenNamed(terms, 'term')).map((term) => ({
        word: textAt(term, 'value'),
        hits: Number(textAt(term, 'numberOfRecords')) || 0,
      }));
    },
    vocabulary: async (vocabularyAddress, signal) => get(ofServer(vocabularyAddress), {}, signal),
    async advance() {
      const root = await request({});
      const control = childAt(root, 'extraResponseData', 'profile', 'control')?.attributes.href;
      if (control === undefined)
        throw new DatabaseError(`${host} cannot be advanced: it is no stand-in.`, true);
      const headers = { 'Content-Type': 'application/json' };
      // Asked once: asked again after an answer got lost, it would advance twice.
      await attempt(ofServer(`${control}/advance`), { method: 'POST', headers, body: '{}' }, undefined).catch(
        (error: unknown) => {
          const reason = error instanceof Error ? error.message : String(error);
          throw new DatabaseError(`${host} ${reason}.`, false);
        },
      );
    },
  };
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
    const mods = childAt(record, 'recordData', 'mods');
    const read = mods === null ? null : recordFromMods(mods);
    if (read === null) throw new DatabaseError(`A record from ${host} cannot be read.`, false);
    return read;
  });
}

function describe(root: XmlElement, explain: XmlElement, address: string): DatabaseDescription {
  const profile = childAt(root, 'extraResponseData', 'profile');
  const config = childAt(explain, 'configInfo');
  const settings = config === null ? [] : childrenNamed(config, 'setting');
  const cap = settings.find((setting) => setting.attributes.type === 'maximumRecords')?.text ?? '';
  const vocabulary = profile === null ? null : childAt(profile, 'vocabulary');
  const limits = profile === null ? [] : childrenNamed(profile, 'limit');
  const records = profile === null ? '' : textAt(profile, 'records');
  return {
    name: textAt(explain, 'databaseInfo', 'title') || address,
    description: textAt(explain, 'databaseInfo', 'description'),
    release: profile === null ? '' : textAt(profile, 'release'),
    simulated: profile?.attributes.simulated === 'true',
    records: /^\d+$/.test(records) ? Number(records) : null,
    vocabulary:
      vocabulary === null
        ? null
        : {
            id: vocabulary.attributes.id ?? '',
            name: vocabulary.text.trim(),
            address: vocabulary.attributes.href ?? '',
          },
    limits: Object.fromEntries(
      limits.map((limit) => [
        limit.attributes.field ?? '',
        childrenNamed(limit, 'value').map(({ text }) => text.trim()),
      ]),
    ),
    queryTypes: [
      ...new Set([
        'cql',
        ...(config === null ? [] : childrenNamed(config, 'supports'))
          .filter(({ attributes }) => attributes.type === 'queryType')
          .map(({ text }) => text.trim()),
      ]),
    ],
    releases: profile === null ? [] : childrenNamed(profile, 'earlierRelease').map(({ text }) => text.trim()),
    nextRelease: profile === null ? null : textAt(profile, 'nextRelease') || null,
    about: aboutOf(profile === null ? null : childAt(profile, 'about')),
    pageCap: /^[1-9]\d*$/.test(cap) ? Number(cap) : 10,
  };
}

function aboutOf(about: XmlElement | null): DatabaseAbout | null {
  if (about === null) return null;
  const year = (name: string) => {
    const text = textAt(about, name);
    return /^\d{4}$/.test(text) ? Number(text) : null;
  };
  return {
    covers: textAt(about, 'covers'),
    goodFor: textAt(about, 'goodFor'),
    weakFor: textAt(about, 'weakFor'),
    firstYear: year('firstYear'),
    lastYear: year('lastYear'),
    suits: Object.fromEntries(
      childrenNamed(about, 'suits').map(({ attributes, text }) => [
        attributes.question ?? '',
        Number(text) || 0,
      ]),
    ),
  };
}
