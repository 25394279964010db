/** The XML of SRU 2.0 answers. */
import {
  escapeXml,
  recordToDublinCore,
  recordToMods,
  type BibRecord,
  type SearchField,
} from '@even-lantern/core';
import { fieldsOf, queryTypesOf, type StandInDatabase } from './database.js';
import type { Diagnostic } from './diagnostics.js';
import type { Facet } from './facets.js';

const RESPONSE = 'http://docs.oasis-open.org/ns/search-ws/sruResponse';
const FACETED = 'http://docs.oasis-open.org/ns/search-ws/facetedResults';
const SCAN = 'http://docs.oasis-open.org/ns/search-ws/scan';
const DIAGNOSTIC = 'http://docs.oasis-open.org/ns/search-ws/diagnostic';
const EXPLAIN = 'http://explain.z3950.org/dtd/2.0/';
/** Our own additions, where the standard leaves room: release and profile. */
const PROFILE = 'urn:even-lantern:sru-profile';
const DC = 'info:srw/schema/1/dc-v1.1';
export const MODS_SCHEMA = 'http://www.loc.gov/mods/v3';

export const SCHEMAS: Readonly<Record<string, string>> = {
  mods: MODS_SCHEMA,
  [MODS_SCHEMA]: MODS_SCHEMA,
  dc: DC,
  [DC]: DC,
};

export interface SearchAnswer {
  total: number;
  startRecord: number;
  records: readonly BibRecord[];
  schema: string;
  /** records as XML, or as escaped text */
  escaping: 'xml' | 'string';
  echoed: Readonly<Record<string, string>>;
  /** the query as the database took it, as CQL: one of our own additions */
  understood: string;
  facets: readonly Facet[];
  diagnostics: readonly Diagnostic[];
}

const HEAD = '<?xml version="1.0" encoding="UTF-8"?>\n';
const element = (name: string, text: string | number) => `<${name}>${escapeXml(String(text))}</${name}>`;

export function searchAnswer(database: StandInDatabase, answer: SearchAnswer): string {
  const next = answer.startRecord + answer.records.length;
  return [
    HEAD,
    `<searchRetrieveResponse xmlns="${RESPONSE}">`,
    element('version', '2.0'),
    element('numberOfRecords', answer.total),
    element('resultCountPrecision', 'info:srw/vocabulary/resultCountPrecision/1/exact'),
    answer.records.length === 0
      ? ''
      : `<records>${answer.records.map((record, i) => recordElement(record, answer, i)).join('')}</records>`,
    answer.records.length > 0 && next <= answer.total ? element('nextRecordPosition', next) : '',
    `<echoedSearchRetrieveRequest>${Object.entries(answer.echoed)
      .map(([name, value]) => element(name, value))
      .join('')}</echoedSearchRetrieveRequest>`,
    diagnosticsElement(answer.diagnostics),
    releaseElement(database, answer.understood),
    facetsElement(answer.facets, database),
    '</searchRetrieveResponse>',
  ].join('');
}

/** The answer to a request that could not be carried out. */
export function refusal(database: StandInDatabase, diagnostic: Diagnostic): string {
  return [
    HEAD,
    `<searchRetrieveResponse xmlns="${RESPONSE}">`,
    element('version', '2.0'),
    element('numberOfRecords', 0),
    diagnosticsElement([diagnostic]),
    releaseElement(database),
    '</searchRetrieveResponse>',
  ].join('');
}

/** The same for a scan. */
export function scanRefusal(diagnostic: Diagnostic): string {
  return `${HEAD}<scanResponse xmlns="${SCAN}">${element('version', '2.0')}${diagnosticsElement([diagnostic])}</scanResponse>`;
}

export function scanAnswer(terms: readonly { value: string; numberOfRecords: number }[]): string {
  return [
    HEAD,
    `<scanResponse xmlns="${SCAN}">`,
    element('version', '2.0'),
    '<terms>',
    ...terms.map(
      (term) =>
        `<term>${element('value', term.value)}${element('numberOfRecords', term.numberOfRecords)}</term>`,
    ),
    '</terms></scanResponse>',
  ].join('');
}

const FIELD_TITLES: Readonly<Record<SearchField, string>> = {
  words: 'Title, abstract and author keywords',
  title: 'Title',
  abstract: 'Abstract',
  keywords: 'Author keywords',
  headings: 'Words within headings',
  author: 'Author',
  journal: 'Journal',
  fulltext: 'Full text',
};

export function explainAnswer(database: StandInDatabase, host: string, port: number): string {
  const vocabulary = database.tree?.vocabulary ?? null;
  const indexes: [title: string, set: string, name: string][] = [
    ...fieldsOf(database).map((field): [string, string, string] => [FIELD_TITLES[field], 'el', field]),
    ...(vocabulary === null ? [] : [['Heading', 'el', 'heading'] as [string, string, string]]),
    ['Year', 'el', 'year'],
    ...Object.keys(database.limits).map((field): [string, string, string] => [field, 'el', field]),
    ['Title', 'dc', 'title'],
    ['Creator', 'dc', 'creator'],
    ['Subject', 'dc', 'subject'],
    ['Date', 'dc', 'date'],
    ['Record identifier', 'rec', 'identifier'],
  ];
  return [
    HEAD,
    `<explainResponse xmlns="${RESPONSE}">`,
    element('version', '2.0'),
    `<record>${element('recordSchema', EXPLAIN)}${element('recordXMLEscaping', 'xml')}<recordData>`,
    `<explain xmlns="${EXPLAIN}">`,
    `<serverInfo protocol="SRU" version="2.0" transport="http">${element('host', host)}${element('port', port)}${element('database', `sru/${database.id}`)}</serverInfo>`,
    `<databaseInfo>${element('title', database.name)}${element('description', database.description)}</databaseInfo>`,
    '<indexInfo><set name="el" identifier="urn:even-lantern:context-set"/><set name="dc" identifier="info:srw/cql-context-set/1/dc-v1.1"/><set name="rec" identifier="info:srw/cql-context-set/2/rec-1.1"/>',
    ...indexes.map(
      ([title, set, name]) =>
        `<index search="true" scan="${set === 'el' && name !== 'year'}">${element('title', title)}<map><name set="${set}">${escapeXml(name)}</name></map></index>`,
    ),
    '</indexInfo><schemaInfo>',
    `<schema identifier="${MODS_SCHEMA}" name="mods" sort="false" retrieve="true">${element('title', 'MODS 3.8')}</schema>`,
    `<schema identifier="${DC}" name="dc" sort="false" retrieve="true">${element('title', 'Dublin Core')}</schema>`,
    '</schemaInfo><configInfo>',
    '<default type="numberOfRecords">10</default>',
    `<setting type="maximumRecords">${database.pageCap}</setting>`,
    '<supports type="proximity"/><supports type="relationModifier">el.narrower</supports>',
    '<supports type="relationModifier">el.central</supports><supports type="relationModifier">el.subheading</supports>',
    ...queryTypesOf(database).map((type) => `<supports type="queryType">${escapeXml(type)}</supports>`),
    '</configInfo></explain></recordData></record>',
    '<extraResponseData>',
    `<profile xmlns="${PROFILE}" simulated="true">`,
    element('release', database.release),
    ...(database.releases ?? []).map((each) => element('earlierRelease', each)),
    element('nextRelease', database.next ?? ''),
    `<control href="/control/${escapeXml(database.id)}"/>`,
    vocabulary === null
      ? ''
      : `<vocabulary id="${escapeXml(vocabulary.id)}" release="${vocabulary.release}" href="/vocabularies/${escapeXml(vocabulary.id)}.ttl?release=${vocabulary.release}">${escapeXml(vocabulary.name)}</vocabulary>`,
    aboutElement(database),
    element('records', database.records.length),
    ...Object.entries(database.limits).map(
      ([field, values]) =>
        `<limit field="${escapeXml(field)}">${values.map((value) => element('value', value)).join('')}</limit>`,
    ),
    '</profile></extraResponseData></explainResponse>',
  ].join('');
}

function aboutElement({ about, index }: StandInDatabase): string {
  const suits = Object.entries(about.suits).map(
    ([question, { degree, because }]) =>
      `<suits question="${escapeXml(question)}" degree="${degree}">${escapeXml(because)}</suits>`,
  );
  let first = Infinity;
  let last = -Infinity;
  for (const year of index.years) {
    first = Math.min(first, year);
    last = Math.max(last, year);
  }
  return [
    '<about>',
    element('covers', about.covers),
    element('goodFor', about.goodFor),
    element('weakFor', about.weakFor),
    Number.isFinite(first) ? element('firstYear', first) + element('lastYear', last) : '',
    ...suits,
    '</about>',
  ].join('');
}

function recordElement(record: BibRecord, answer: SearchAnswer, i: number): string {
  const data = answer.schema === DC ? recordToDublinCore(record) : recordToMods(record);
  return [
    '<record>',
    element('recordSchema', answer.schema),
    element('recordXMLEscaping', answer.escaping),
    `<recordData>${answer.escaping === 'string' ? escapeXml(data) : data}</recordData>`,
    element('recordIdentifier', record.accession),
    element('recordPosition', answer.startRecord + i),
    '</record>',
  ].join('');
}

function facetsElement(facets: readonly Facet[], database: StandInDatabase): string {
  if (facets.length === 0) return '';
  const each = facets.map(({ label, index, terms }) => {
    const counted = terms.map(
      ({ value, query, count }) =>
        `<term>${element('actualTerm', value)}${element('query', query)}${element('count', count)}</term>`,
    );
    return `<facet>${element('facetDisplayLabel', label)}${element('index', index)}${element('relation', '=')}<terms>${counted.join('')}</terms></facet>`;
  });
  return `<facetedResults xmlns="${FACETED}"><datasource>${element('datasourceDisplayLabel', database.name)}<facets>${each.join('')}</facets></datasource></facetedResults>`;
}

function diagnosticsElement(diagnostics: readonly Diagnostic[]): string {
  if (diagnostics.length === 0) return '';
  const each = diagnostics.map(
    ({ number, details, message }) =>
      `<diagnostic xmlns="${DIAGNOSTIC}">${element('uri', `info:srw/diagnostic/1/${number}`)}${element('details', details)}${element('message', message)}</diagnostic>`,
  );
  return `<diagnostics>${each.join('')}</diagnostics>`;
}

function releaseElement(database: StandInDatabase, understood = ''): string {
  const how = understood === '' ? '' : element('understood', understood);
  return `<extraResponseData><profile xmlns="${PROFILE}" simulated="true">${element('release', database.release)}${how}</profile></extraResponseData>`;
}
