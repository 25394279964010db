import { emptyRecord, parseXml, readRecords, textAt } from '@even-lantern/core';
import { plainServer } from './plainServer.js';

const server = plainServer(
  ['Light at night', 'Lights and lamps', 'Naps'].map((title, i) => ({
    ...emptyRecord(),
    accession: `osier:${i + 1}`,
    title,
    year: 2000 + i,
    headings:
      i < 2
        ? [{ vocabulary: 'tree', label: ['Lamps', 'Bed lamps'][i] ?? '', central: false, subheadings: [] }]
        : [],
  })),
);
const ask = (parameters: Record<string, string>) => {
  const text = server({ operation: 'searchRetrieve', version: '1.1', ...parameters }, 'localhost', 1);
  const xml = parseXml(text);
  if (!xml.ok) throw new Error(xml.message);
  return { root: xml.root, text, hits: Number(textAt(xml.root, 'numberOfRecords')) };
};
const diagnostic = (parameters: Record<string, string>) =>
  textAt(ask(parameters).root, 'diagnostics', 'diagnostic', 'uri').split('/').at(-1);

test('it answers in the version asked for, and with Dublin Core', () => {
  const { root, text, hits } = ask({ query: 'dc.title = "light*"', recordSchema: 'dc' });
  expect([textAt(root, 'version'), hits]).toEqual(['1.1', 2]);
  expect(
    readRecords(`<all>${text.match(/<srw_dc:dc.*?<\/srw_dc:dc>/gs)?.join('') ?? ''}</all>`).records,
  ).toMatchObject([
    { accession: 'osier:1', title: 'Light at night', year: 2000 },
    { accession: 'osier:2', title: 'Lights and lamps', year: 2001 },
  ]);
});

test('records come as text where that is asked for, and page by page', () => {
  const { root } = ask({
    query: 'cql.anywhere any "naps light"',
    recordPacking: 'string',
    startRecord: '2',
    maximumRecords: '1',
  });
  expect(textAt(root, 'records', 'record', 'recordData')).toContain('<dc:title>Naps');
  expect(textAt(root, 'records', 'record', 'recordPosition')).toBe('2');
});

test('asked without an operation it explains itself', () => {
  const xml = parseXml(server({}, 'localhost', 1));
  expect(xml.ok && textAt(xml.root, 'record', 'recordData', 'explain', 'databaseInfo', 'title')).toBe(
    'Osier Open Repository',
  );
});

test('its subjects are headings, asked for one by one, and words within them', () => {
  expect(ask({ query: 'dc.subject == "Lamps"' }).hits).toBe(1);
  expect(ask({ query: 'dc.subject exact "Bed lamps"' }).hits).toBe(1);
  expect(ask({ query: 'dc.subject = "lamps"' }).hits).toBe(2);
  expect(diagnostic({ query: 'dc.subject ==/narrower "Lamps"' })).toBe('10');
});

test('words of its index are listed', () => {
  const { root } = ask({ operation: 'scan', scanClause: 'cql.anywhere = "light"', maximumTerms: '2' });
  expect(textAt(root, 'terms', 'term', 'value')).toBe('light');
});

test.each([
  [{ version: '2.0', query: 'light' }, '5'],
  [{}, '7'],
  [{ query: 'dc.title =' }, '10'],
  [{ query: 'el.words = light' }, '10'],
  [{ query: 'cql.anywhere = light prox/unit=word/distance<=3 cql.anywhere = night' }, '39'],
  [{ query: 'light', recordSchema: 'mods' }, '66'],
  [{ query: 'light', startRecord: '9' }, '61'],
  [{ query: 'light', maximumRecords: 'many' }, '6'],
  [{ operation: 'scan', scanClause: 'dc.title = a' }, '16'],
  [{ operation: 'scan', scanClause: 'light' }, '10'],
  [{ operation: 'scan' }, '7'],
  [{ operation: 'destroy' }, '4'],
])('%j is answered with diagnostic %s', (parameters, number) => {
  expect(diagnostic(parameters)).toBe(number);
});

test('no records are a count alone, and the request is echoed as it was sent', () => {
  const query = 'dc.title =  "light*"';
  const { root, text, hits } = ask({ query, maximumRecords: '0' });
  expect(hits).toBe(2);
  expect(text).not.toContain('<records>');
  expect(textAt(root, 'echoedSearchRetrieveRequest', 'query')).toBe(query);
  expect(textAt(root, 'echoedSearchRetrieveRequest', 'maximumRecords')).toBe('0');
});

test('a scan that is refused is answered as a scan', () => {
  expect(ask({ operation: 'scan', scanClause: 'dc.title = a' }).root.name).toBe('scanResponse');
});
