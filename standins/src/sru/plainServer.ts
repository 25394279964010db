/**
 * A server as people add them by address: SRU 1.1 and 1.2, Dublin Core only, indexes of common context sets, headings
 * one at a time, no nearness, small pages, and nothing of our own profile. Versions differ in their namespaces and parameters.
 */
import {
  buildIndex,
  dialectFrom,
  docsOf,
  escapeXml,
  evaluate,
  listWords,
  mapQuery,
  recordToDublinCore,
  type BibRecord,
  type Dialect,
} from '@even-lantern/core';
import { refuse, SruStop, type Diagnostic } from './diagnostics.js';
import type { SruParameters } from './operations.js';

const NAMESPACE = 'http://www.loc.gov/zing/srw/';
const DIAGNOSTIC = 'http://www.loc.gov/zing/srw/diagnostic/';
const EXPLAIN = 'http://explain.z3950.org/dtd/2.0/';
const DC = 'info:srw/schema/1/dc-v1.1';
const VERSIONS = ['1.1', '1.2'];
const CAP = 20;
const NAME = 'Osier Open Repository';

/** What each of its indexes is for us. */
const DIALECT: Dialect = dialectFrom({
  kind: 'cql',
  names: {
    words: 'cql.anywhere',
    title: 'dc.title',
    abstract: 'dc.description',
    author: 'dc.creator',
    year: 'dc.date',
    headings: 'dc.subject',
    heading: 'dc.subject',
  },
  lacks: ['near', 'one letter', 'narrower', 'central', 'subheadings'],
});
const INDEXES = [
  ['cql', 'anywhere', 'Anywhere'],
  ['dc', 'title', 'Title'],
  ['dc', 'creator', 'Creator'],
  ['dc', 'description', 'Description'],
  ['dc', 'subject', 'Subject'],
  ['dc', 'date', 'Date'],
  ['dc', 'language', 'Language'],
  ['dc', 'type', 'Type'],
] as const;
/** Its limits, by what they are called here. */
const LIMITS: Readonly<Record<string, string>> = { 'dc.language': 'language', 'dc.type': 'publicationType' };

const element = (name: string, text: string | number) => `<${name}>${escapeXml(String(text))}</${name}>`;

/** What a request may say, in the order of the standard; it is told again as it was sent. */
const ECHOED = [
  'version', 'query', 'startRecord', 'maximumRecords', 'recordPacking', 'recordSchema', 'sortKeys',
] as const; // prettier-ignore

/** Answers a request with XML, whatever it holds. */
export type PlainServer = (parameters: SruParameters, host: string, port: number) => string;

export function plainServer(records: readonly BibRecord[]): PlainServer {
  const index = buildIndex(records);
  const vocabulary = records.flatMap(({ headings }) => headings).at(0)?.vocabulary ?? null;
  const context = { vocabulary, limitFields: Object.keys(LIMITS) };

  const search = (parameters: SruParameters, version: string): string => {
    const { query: text } = parameters;
    if (text === undefined) refuse(7, 'query', 'The query is missing.');
    const schema = parameters.recordSchema;
    if (schema !== undefined && schema !== 'dc' && schema !== DC)
      refuse(66, schema, 'There is Dublin Core only.');
    const start = wholeNumber(parameters, 'startRecord', 1, 1);
    const most = Math.min(wholeNumber(parameters, 'maximumRecords', CAP, 0), CAP);
    const read = DIALECT.parse(text, context);
    if (!read.ok) {
      const near = /\bprox\b/i.test(text);
      refuse(
        near ? 39 : 10,
        `position ${read.error.at + 1}`,
        near ? 'There is no proximity.' : read.error.message,
      );
    }
    const query = mapQuery(read.query, (part) =>
      part.kind === 'limit' && 'values' in part ? { ...part, field: LIMITS[part.field] ?? part.field } : part,
    );
    const found = evaluate(query, index, { narrowerOf: () => [] });
    if (!found.ok) refuse(48, '', found.error.message);
    const docs = [...docsOf(found.documents)];
    if (most > 0 && start > Math.max(docs.length, 1))
      refuse(61, String(start), 'The first record is beyond the last.');
    const page = docs.slice(start - 1, start - 1 + most).flatMap((doc) => records[doc] ?? []);
    return answer('searchRetrieveResponse', version, [
      element('numberOfRecords', docs.length),
      // The standard has no empty list of records.
      ...(page.length === 0 ? [] : ['<records>']),
      ...page.map((record, i) => recordElement(record, start + i, parameters.recordPacking === 'string')),
      ...(page.length === 0 ? [] : ['</records>']),
      `<echoedSearchRetrieveRequest>${ECHOED.flatMap((name) => {
        const sent = name === 'version' ? version : parameters[name];
        return sent === undefined ? [] : element(name, sent);
      }).join('')}</echoedSearchRetrieveRequest>`,
    ]);
  };

  const scan = (parameters: SruParameters, version: string): string => {
    const clause = /^\s*(\S+)\s*(?:=|exact)\s*"?([^"]*)"?\s*$/.exec(parameters.scanClause ?? '');
    if (parameters.scanClause === undefined) refuse(7, 'scanClause', 'The scan clause is missing.');
    if (clause === null) refuse(10, parameters.scanClause, 'A scan clause is an index, “=” and a word.');
    if (clause[1]?.toLowerCase() !== 'cql.anywhere') {
      refuse(16, clause[1] ?? '', 'Words are listed of cql.anywhere.');
    }
    const most = Math.min(wholeNumber(parameters, 'maximumTerms', CAP, 1), 200);
    const terms = listWords(index, 'words', clause[2] ?? '', most);
    return answer('scanResponse', version, [
      '<terms>',
      ...terms.map(
        ({ word, documents }) =>
          `<term>${element('value', word)}${element('numberOfRecords', documents)}</term>`,
      ),
      '</terms>',
    ]);
  };

  return (parameters, host, port) => {
    const { operation = 'explain', version = '1.2' } = parameters;
    const spoken = VERSIONS.includes(version) ? version : '1.2';
    try {
      if (!VERSIONS.includes(version)) refuse(5, '1.2', `Version ${version} is not spoken here.`);
      switch (operation) {
        case 'explain':
          return explain(spoken, host, port);
        case 'searchRetrieve':
          return search(parameters, spoken);
        case 'scan':
          return scan(parameters, spoken);
        default:
          return refuse(4, operation, `There is no operation “${operation}”.`);
      }
    } catch (stop) {
      if (!(stop instanceof SruStop)) throw stop;
      return operation === 'scan'
        ? answer('scanResponse', spoken, [diagnostics(stop.diagnostic)])
        : answer('searchRetrieveResponse', spoken, [
            element('numberOfRecords', 0),
            diagnostics(stop.diagnostic),
          ]);
    }
  };
}

function answer(name: string, version: string, content: readonly string[]): string {
  const inside = [element('version', version), ...content].join('');
  return `<?xml version="1.0" encoding="UTF-8"?>\n<${name} xmlns="${NAMESPACE}">${inside}</${name}>`;
}

function recordElement(record: BibRecord, position: number, asText: boolean): string {
  const data = recordToDublinCore(record);
  return [
    '<record>',
    element('recordSchema', DC),
    element('recordPacking', asText ? 'string' : 'xml'),
    `<recordData>${asText ? escapeXml(data) : data}</recordData>`,
    element('recordPosition', position),
    '</record>',
  ].join('');
}

function explain(version: string, host: string, port: number): string {
  const indexes = INDEXES.map(
    ([set, name, title]) =>
      `<index search="true">${element('title', title)}<map><name set="${set}">${name}</name></map></index>`,
  );
  const description =
    'Articles and reports that their authors deposited. Simulated: all records are invented.';
  return answer('explainResponse', version, [
    `<record>${element('recordSchema', EXPLAIN)}${element('recordPacking', 'xml')}<recordData><explain xmlns="${EXPLAIN}">`,
    `<serverInfo protocol="SRU" version="${version}">${element('host', host)}${element('port', port)}${element('database', 'plain')}</serverInfo>`,
    `<databaseInfo>${element('title', NAME)}${element('description', description)}</databaseInfo>`,
    `<indexInfo>${indexes.join('')}</indexInfo>`,
    `<schemaInfo><schema identifier="${DC}" name="dc" retrieve="true">${element('title', 'Dublin Core')}</schema></schemaInfo>`,
    `<configInfo><setting type="maximumRecords">${CAP}</setting></configInfo>`,
    '</explain></recordData></record>',
  ]);
}

function diagnostics({ number, details, message }: Diagnostic): string {
  return `<diagnostics><diagnostic xmlns="${DIAGNOSTIC}">${element('uri', `info:srw/diagnostic/1/${number}`)}${element('details', details)}${element('message', message)}</diagnostic></diagnostics>`;
}

function wholeNumber(parameters: SruParameters, name: string, standard: number, lowest: number): number {
  const text = parameters[name];
  if (text === undefined || text === '') return standard;
  const value = Number(text);
  if (!/^\d+$/.test(text) || value < lowest) refuse(6, name, `${name} is a whole number from ${lowest} up.`);
  return value;
}
