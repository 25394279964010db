/** What every SRU server is asked in the same way: 2.0 (OASIS searchRetrieve 1.0), and 1.1 and 1.2 before it. */
import { childAt, childrenNamed, textAt, type XmlElement } from '@even-lantern/core';
import type { SruVersion } from '@even-lantern/contract';
import { DatabaseError, type Page, type ScannedWord, type SearchAnswer } from '../databaseConnector.js';
import { sruCalls, type SruCalls, type SruOptions } from './calls.js';
import type { SearchAnswerText } from './searchAnswer.js';
import { XML_AT_ONCE } from './xmlParser.js';

/** How a server is spoken to. */
export interface SruServer {
  /** for example http://127.0.0.1:4311/sru/corvane */
  address: string;
  version: SruVersion;
  /** what it calls the kind of records wanted */
  recordSchema: string;
}

type Parameters = Record<string, string>;

export interface SruClient extends SruCalls {
  host: string;
  /** @throws DatabaseError where the answer is no XML */
  xml(parameters: Parameters, signal?: AbortSignal): Promise<XmlElement>;
  /** @param further what this search has beside what all searches have */
  search(query: string, page: Page, further: Parameters, signal?: AbortSignal): Promise<SearchAnswer>;
  /** The parameters of a search, for whoever reads its answer in another way. */
  searchParameters(query: string, page: Page, further: Parameters): Parameters;
  scan(index: string, from: string, most: number, further: Parameters): Promise<ScannedWord[]>;
  explain(named: boolean, signal?: AbortSignal): Promise<XmlElement>;
}

/** Longer queries are sent as POST, since addresses have bounds. Before 2.0 not every server takes that. */
const LONGEST_ADDRESS: Readonly<Record<SruVersion, number>> = { '1.1': 6000, '1.2': 6000, '2.0': 1500 };

export function sruClient(
  { address, version, recordSchema }: SruServer,
  options: Partial<SruOptions> = {},
): SruClient {
  const { host } = new URL(address);
  const calls = sruCalls(host, options);
  const parser = (options.xml ?? XML_AT_ONCE).of(address);

  const ask = (parameters: Parameters, signal?: AbortSignal): Promise<string> => {
    const url = new URL(address);
    const form = new URLSearchParams([...url.searchParams, ...Object.entries(parameters)]);
    const long = form.toString().length > LONGEST_ADDRESS[version];
    if (!long) url.search = form.toString();
    return calls.get(url, long ? { method: 'POST', body: form } : {}, signal);
  };
  const unreadable = (message: string) =>
    new DatabaseError(`The answer from ${host} cannot be read: ${message}`, false);

  const client: SruClient = {
    ...calls,
    host,
    async xml(parameters, signal) {
      const xml = await parser.xml(await ask(parameters, signal));
      if (!xml.ok) throw unreadable(xml.message);
      return xml.root;
    },
    searchParameters: (query, page, further) => ({
      ...operation(version, 'searchRetrieve'),
      query,
      startRecord: String(page.start),
      maximumRecords: String(page.size),
      recordSchema,
      ...further,
    }),
    async search(query, page, further, signal) {
      const text = await ask(client.searchParameters(query, page, further), signal);
      const read = await parser.answer(text, page.size > 0);
      if (!read.ok) throw unreadable(read.message);
      const { answer } = read;
      const hits = hitsIn(answer, host);
      if (answer.unreadable !== null) {
        const reason = answer.unreadable === '' ? '' : `: ${answer.unreadable}`;
        throw new DatabaseError(`A record from ${host} cannot be read${reason}.`, false);
      }
      const { release, understood, records, estimated } = answer;
      return { hits, release, understood, records, ...(estimated ? { estimated } : {}) };
    },
    async scan(index, from, most, further) {
      const root = await client.xml({
        ...operation(version, 'scan'),
        scanClause: `${index} = "${from}"`,
        maximumTerms: String(most),
        ...further,
      });
      const diagnostic = childAt(root, 'diagnostics', 'diagnostic');
      if (diagnostic !== null) throw new DatabaseError(textAt(diagnostic, 'message'), true);
      const terms = childAt(root, 'terms');
      return (terms === null ? [] : childrenNamed(terms, 'term')).map((term) => ({
        word: textAt(term, 'value'),
        hits: Number(textAt(term, 'numberOfRecords')) || 0,
      }));
    },
    explain: (named, signal) => client.xml(named ? operation(version, 'explain') : {}, signal),
  };
  return client;
}

/** How many records an answer tells of. @throws DatabaseError where it refuses, or tells of no number */
export function hitsIn(
  { hits, diagnostic }: Pick<SearchAnswerText, 'hits' | 'diagnostic'>,
  host: string,
): number {
  // Diagnostic 60 only says that the page is capped; the records that came are good.
  if (diagnostic !== null && !diagnostic.uri.endsWith('/60')) {
    const number = Number(/\/(\d+)$/.exec(diagnostic.uri)?.[1] ?? NaN);
    throw new DatabaseError(
      diagnostic.message || diagnostic.uri,
      true,
      false,
      Number.isNaN(number) ? null : number,
    );
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
}

/** How an operation is named: in 2.0 a search is known by its query and explaining by nothing at all. */
function operation(version: SruVersion, name: 'explain' | 'searchRetrieve' | 'scan'): Parameters {
  if (version !== '2.0') return { operation: name, version };
  return name === 'scan' ? { operation: name } : {};
}
