/**
 * The SRU side, held to the text of the standard: OASIS searchRetrieve 1.0, part 3 (SRU 2.0), part 5 (CQL), part 6 (scan)
 * and part 7 (explain). Each test names what the standard asks for.
 */
import {
  buildIndex,
  childAt,
  childrenNamed,
  emptyRecord,
  parseXml,
  textAt,
  type XmlElement,
} from '@even-lantern/core';
import type { StandInDatabase } from './database.js';
import { sruService } from './operations.js';

const records = Array.from({ length: 25 }, (_, i) => ({
  ...emptyRecord(),
  accession: `R${String(i + 1).padStart(2, '0')}`,
  title: i % 2 === 0 ? `Light & sleep ${i}` : `Naps ${i}`,
  year: 2000 + (i % 5),
  language: i % 3 === 0 ? 'German' : 'English',
  publicationTypes: ['article'],
}));
const database: StandInDatabase = {
  id: 'open',
  name: 'Open',
  description: 'A few records',
  about: { covers: '', goodFor: '', weakFor: '', suits: {} },
  release: '2026-10-01',
  records,
  index: buildIndex(records),
  tree: null,
  limits: { language: ['English', 'German'] },
  pageCap: 10,
};
const service = sruService(database);
const ask = (parameters: Record<string, string>): XmlElement => {
  const xml = parseXml(service.answer(parameters, 'localhost', 80));
  if (!xml.ok) throw new Error(xml.message);
  return xml.root;
};
const names = (element: XmlElement | null) => (element?.children ?? []).map(({ name }) => name);
const recordsIn = (root: XmlElement) => childrenNamed(childAt(root, 'records') ?? root, 'record');
const number = (root: XmlElement, name: string) => Number(textAt(root, name));
const diagnostic = (root: XmlElement) => textAt(root, 'diagnostics', 'diagnostic', 'uri').split('/').at(-1);

/** The elements of a response in the order of the schema of part 3. */
const RESPONSE_ORDER = [
  'version', 'numberOfRecords', 'resultSetId', 'resultSetTTL', 'resultCountPrecision', 'records',
  'nextRecordPosition', 'echoedSearchRetrieveRequest', 'diagnostics', 'extraResponseData', 'facetedResults',
  'searchResultAnalysis',
]; // prettier-ignore
const RECORD_ORDER = [
  'recordSchema', 'recordXMLEscaping', 'recordPacking', 'recordData', 'recordIdentifier', 'recordPosition',
  'extraRecordData',
]; // prettier-ignore
const inOrder = (found: readonly string[], order: readonly string[]) =>
  expect(found).toEqual([...found].sort((a, b) => order.indexOf(a) - order.indexOf(b)));

describe('operations', () => {
  test('a request with a query is a search, one with a scan clause a scan, and one with neither explains', () => {
    expect(ask({ query: 'light' }).name).toBe('searchRetrieveResponse');
    expect(ask({ scanClause: 'el.title = light' }).name).toBe('scanResponse');
    expect(ask({}).name).toBe('explainResponse');
  });

  test('the parameter operation of the versions before is understood too, and one that is none refused', () => {
    expect(ask({ operation: 'explain', version: '1.2' }).name).toBe('explainResponse');
    expect(diagnostic(ask({ operation: 'update' }))).toBe('4');
  });
});

describe('the response to a search', () => {
  const root = ask({
    query: 'light or naps', startRecord: '3', maximumRecords: '2', facetLimit: '3:el.language', 'x-local': 'kept out',
  }); // prettier-ignore

  test('has its elements in the order of the schema, with the number of records', () => {
    inOrder(names(root), RESPONSE_ORDER);
    expect(number(root, 'numberOfRecords')).toBe(25);
    for (const name of names(root)) expect(RESPONSE_ORDER).toContain(name);
  });

  test('gives the records asked for, each with its schema, its data, its identifier and its position', () => {
    const found = recordsIn(root);
    expect(found.map((record) => textAt(record, 'recordPosition'))).toEqual(['3', '4']);
    for (const record of found) {
      inOrder(names(record), RECORD_ORDER);
      expect(textAt(record, 'recordSchema')).toBe('http://www.loc.gov/mods/v3');
      expect(textAt(record, 'recordData', 'mods', 'recordInfo', 'recordIdentifier')).toBe(
        textAt(record, 'recordIdentifier'),
      );
    }
  });

  test('echoes the request', () => {
    const echoed = childAt(root, 'echoedSearchRetrieveRequest');
    expect([echoed && textAt(echoed, 'startRecord'), echoed && textAt(echoed, 'maximumRecords')]).toEqual([
      '3',
      '2',
    ]);
    expect(echoed && textAt(echoed, 'query')).toBe('light or naps');
    expect(echoed && names(echoed)).toEqual(['query', 'startRecord', 'maximumRecords', 'facetLimit']);
  });

  test('an extension parameter that is not known is ignored', () => {
    expect(diagnostic(root)).toBe('');
  });
});

describe('paging', () => {
  test('nextRecordPosition is the position after the last that came, and is left out at the end', () => {
    expect(textAt(ask({ query: 'light or naps', maximumRecords: '10' }), 'nextRecordPosition')).toBe('11');
    expect(names(ask({ query: 'light or naps', startRecord: '21', maximumRecords: '10' }))).not.toContain(
      'nextRecordPosition',
    );
  });

  test('pages of every size hold the same records in the same order, each once', () => {
    const all = (size: number) => {
      const found: string[] = [];
      for (let start = 1; start <= 25; start += size) {
        const page = ask({
          query: 'light or naps',
          startRecord: String(start),
          maximumRecords: String(size),
        });
        found.push(...recordsIn(page).map((record) => textAt(record, 'recordIdentifier')));
      }
      return found;
    };
    expect(new Set(all(10)).size).toBe(25);
    for (const size of [1, 3, 7]) expect(all(size)).toEqual(all(10));
  });

  test('no records may be asked for; without a number the server chooses', () => {
    expect(names(ask({ query: 'light', maximumRecords: '0' }))).not.toContain('records');
    expect(recordsIn(ask({ query: 'light' })).length).toBeGreaterThan(0);
  });

  test('more than the server gives is cut with diagnostic 60; beyond the last record is 61', () => {
    const cut = ask({ query: 'light or naps', maximumRecords: '500' });
    expect([recordsIn(cut).length, diagnostic(cut)]).toEqual([10, '60']);
    expect(diagnostic(ask({ query: 'light', startRecord: '26' }))).toBe('61');
  });

  test('nothing found is no error', () => {
    const root = ask({ query: 'elephants' });
    expect([number(root, 'numberOfRecords'), diagnostic(root)]).toEqual([0, '']);
  });
});

describe('parameters', () => {
  test.each([
    ['4 unsupported operation', { operation: 'x', query: 'light' }, '4'],
    ['5 unsupported version', { version: '3.0', query: 'light' }, '5'],
    ['6 unsupported parameter value', { query: 'light', startRecord: 'first' }, '6'],
    ['6 for a negative number', { query: 'light', maximumRecords: '-1' }, '6'],
    ['6 for a query type that is none', { query: 'light', queryType: 'x' }, '6'],
    ['7 mandatory parameter not supplied', { operation: 'searchRetrieve' }, '7'],
    ['8 unsupported parameter', { query: 'light', colour: 'red' }, '8'],
    ['66 unknown schema for retrieval', { query: 'light', recordSchema: 'x' }, '66'],
    ['71 unsupported record escaping', { query: 'light', recordXMLEscaping: 'x' }, '71'],
    ['80 sort not supported', { query: 'light', sortKeys: 'colour' }, '80'],
  ])('diagnostic %s', (_name, parameters, expected) => {
    const root = ask(parameters);
    expect(diagnostic(root)).toBe(expected);
    const told = childAt(root, 'diagnostics', 'diagnostic');
    inOrder(names(told), ['uri', 'details', 'message']);
    expect(told && textAt(told, 'uri')).toMatch(/^info:srw\/diagnostic\/1\/\d+$/);
  });

  test('records come in the schema asked for, by its short name or its identifier, and escaped where that is asked', () => {
    for (const recordSchema of ['dc', 'info:srw/schema/1/dc-v1.1']) {
      expect(
        names(childAt(recordsIn(ask({ query: 'light', recordSchema }))[0] as XmlElement, 'recordData')),
      ).toEqual(['dc']);
    }
    const [escaped] = recordsIn(ask({ query: 'light', recordXMLEscaping: 'string' }));
    expect(escaped && [textAt(escaped, 'recordXMLEscaping'), textAt(escaped, 'recordData')]).toEqual([
      'string',
      expect.stringContaining('<title>Light &amp; sleep'),
    ]);
  });

  test('sort keys order the records, ascending unless told otherwise', () => {
    const years = (sortKeys: string) =>
      recordsIn(ask({ query: 'light or naps', sortKeys })).map((record) =>
        Number(textAt(record, 'recordData', 'mods', 'originInfo', 'dateIssued')),
      );
    expect(years('date')).toEqual(
      Array(5)
        .fill([2000, 2001])
        .flatMap(([a, b]) => [a, b])
        .sort(),
    );
    expect(years('date,,0')[0]).toBe(2004);
  });
});

describe('CQL', () => {
  test.each([
    ['10 query syntax error', 'light and', '10'],
    ['14 quote not closed', '"light', '14'],
    ['15 unsupported context set', 'xx.title = light', '15'],
    ['16 unsupported index', 'el.colour = light', '16'],
    ['19 unsupported relation', 'el.title < light', '19'],
    ['20 unsupported relation modifier', 'el.title =/fuzzy light', '20'],
    ['27 empty term', 'el.title = ""', '27'],
    ['28 masking character not supported there', 'el.title = l*ght', '28'],
    ['37 to 46: unsupported boolean modifier', 'light and/x naps', '46'],
    ['51 result set does not exist', 'cql.resultSetId = "L9"', '51'],
  ])('diagnostic %s', (_name, query, expected) => {
    expect(diagnostic(ask({ query }))).toBe(expected);
  });

  test('booleans are read from left to right, all of one strength', () => {
    const hits = (query: string) => number(ask({ query }), 'numberOfRecords');
    expect(hits('naps or light and sleep')).toBe(hits('(naps or light) and sleep'));
    expect(hits('naps or light and sleep')).not.toBe(hits('naps or (light and sleep)'));
  });
});

test('scan: terms in order with their numbers, and where in the list the term asked from stands', () => {
  const terms = (more: Record<string, string>) =>
    childrenNamed(
      childAt(ask({ scanClause: 'el.title = "naps"', maximumTerms: '2', ...more }), 'terms') as XmlElement,
      'term',
    ).map((term) => [textAt(term, 'value'), Number(textAt(term, 'numberOfRecords'))]);
  expect(terms({})).toEqual([
    ['naps', 12],
    ['sleep', 13],
  ]);
  expect(terms({ responsePosition: '2' })[1]).toEqual(['naps', 12]);
});

test('facets: of the whole result, with label, index, relation and counts, and each term narrows to its count', () => {
  const root = ask({ query: 'light or naps', maximumRecords: '0', facetLimit: '5:el.language' });
  const facet = childAt(root, 'facetedResults', 'datasource', 'facets', 'facet');
  inOrder(names(facet), ['facetDisplayLabel', 'index', 'relation', 'terms']);
  const terms = childrenNamed(childAt(facet as XmlElement, 'terms') as XmlElement, 'term');
  expect(terms.map((term) => [textAt(term, 'actualTerm').toLowerCase(), textAt(term, 'count')])).toEqual([
    ['english', '16'],
    ['german', '9'],
  ]);
  for (const term of terms) {
    const narrowed = ask({ query: `(light or naps) and (${textAt(term, 'query')})` });
    expect(textAt(narrowed, 'numberOfRecords')).toBe(textAt(term, 'count'));
  }
});

test('explain: server, database, indexes with their context sets, schemas and the most records at once', () => {
  const explain = childAt(ask({}), 'record', 'recordData', 'explain') as XmlElement;
  inOrder(names(explain), [
    'serverInfo',
    'databaseInfo',
    'metaInfo',
    'indexInfo',
    'recordInfo',
    'schemaInfo',
    'configInfo',
  ]);
  expect(childAt(explain, 'serverInfo')?.attributes).toMatchObject({ protocol: 'SRU', version: '2.0' });
  const info = childAt(explain, 'indexInfo') as XmlElement;
  const sets = childrenNamed(info, 'set').map(({ attributes }) => attributes.name);
  for (const index of childrenNamed(info, 'index')) {
    expect(sets).toContain(childAt(index, 'map', 'name')?.attributes.set);
  }
  const schemas = childrenNamed(childAt(explain, 'schemaInfo') as XmlElement, 'schema');
  expect(schemas.map(({ attributes }) => attributes.name)).toEqual(['mods', 'dc']);
  const [setting] = childrenNamed(childAt(explain, 'configInfo') as XmlElement, 'setting');
  expect([setting?.attributes.type, setting?.text]).toEqual(['maximumRecords', '10']);
});

test.each([
  [{ operation: 'scan' }, '7'],
  [{ scanClause: 'el.nothing = a' }, '16'],
  [{ scanClause: 'el.title = a', maximumTerms: '201' }, '121'],
  [{ scanClause: 'el.title = a', maximumTerms: '2', responsePosition: '4' }, '120'],
])('a scan of %j is refused as a scan, with diagnostic %s', (parameters, number) => {
  const root = ask(parameters);
  expect([root.name, diagnostic(root)]).toEqual(['scanResponse', number]);
});
