import { mkdtempSync, readdirSync, statSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  childAt,
  childrenNamed,
  parseXml,
  recordFromMods,
  textAt,
  vocabularyFromTurtle,
  type XmlElement,
} from '@even-lantern/core';
import type { Express } from 'express';
import request from 'supertest';
import { openDatabases, standInApplication } from './application.js';
import { asText, diagnostic, hits, recordsOf } from './testing/answers.js';

let application: Express;
const dataFolder = mkdtempSync(join(tmpdir(), 'stand-ins-'));
const contentFolder = join(__dirname, '..', 'content');

beforeAll(() => {
  application = standInApplication(openDatabases({ contentFolder, dataFolder, size: 600 }));
});

async function ask(parameters: Record<string, string>): Promise<XmlElement> {
  const response = await request(application).get('/sru/corvane').query(parameters).buffer().parse(asText);
  expect(response.status).toBe(200);
  const xml = parseXml(response.body as string);
  if (!xml.ok) throw new Error(xml.message);
  return xml.root;
}

test('a count alone is asked for with maximumRecords=0 and names its release', async () => {
  const root = await ask({ query: 'sleep*', maximumRecords: '0' });
  expect(hits(root)).toBeGreaterThan(50);
  expect(recordsOf(root)).toEqual([]);
  expect(textAt(root, 'extraResponseData', 'profile', 'release')).toBe('2026-10-01');
});

test('all pages together hold every record once', async () => {
  const total = hits(await ask({ query: 'nurses', maximumRecords: '0' }));
  const seen = new Set<string>();
  for (let start = 1; start <= total; start += 30) {
    const root = await ask({ query: 'nurses', startRecord: String(start), maximumRecords: '30' });
    for (const record of recordsOf(root)) seen.add(textAt(record, 'recordIdentifier'));
    expect(textAt(root, 'nextRecordPosition')).toBe(start + 30 <= total ? String(start + 30) : '');
  }
  expect(seen.size).toBe(total);
});

test('a record comes as MODS that can be read, with entry date and headings', async () => {
  const [first] = recordsOf(
    await ask({ query: 'el.heading ==/el.narrower "Shift work"', maximumRecords: '1' }),
  );
  const mods = first === undefined ? null : childAt(first, 'recordData', 'mods');
  const record = mods === null ? null : recordFromMods(mods);
  expect(record?.accession).toMatch(/^CMI\d{7}$/);
  expect(record?.entered).toMatch(/^\d{4}-\d\d-\d\d$/);
  expect(record?.headings.some(({ vocabulary }) => vocabulary === 'corvane-subject-tree')).toBe(true);
});

test('a record comes as Dublin Core, and as text when asked', async () => {
  const [asXml] = recordsOf(await ask({ query: 'sleep', maximumRecords: '1', recordSchema: 'dc' }));
  expect(asXml && textAt(asXml, 'recordData', 'dc', 'title')).not.toBe('');
  const [escaped] = recordsOf(
    await ask({ query: 'sleep', maximumRecords: '1', recordXMLEscaping: 'string' }),
  );
  expect(escaped && textAt(escaped, 'recordData')).toMatch(/^<mods /);
});

test('records sort by date both ways', async () => {
  const years = async (sortKeys: string) =>
    recordsOf(await ask({ query: 'nurses', maximumRecords: '40', sortKeys })).map((record) => {
      const mods = childAt(record, 'recordData', 'mods');
      return mods === null ? 0 : (recordFromMods(mods)?.year ?? 0);
    });
  const oldest = await years('date');
  expect(oldest).toEqual([...oldest].sort((a, b) => a - b));
  const newest = await years('date,,0');
  expect(newest).toEqual([...newest].sort((a, b) => b - a));
});

test.each([
  [{ query: 'a and' }, 10],
  [{ query: '"night' }, 14],
  [{ query: 'el.colour = red' }, 16],
  [{ query: 'a*' }, 29],
  [{ query: 'el.heading == "Moonbeams"' }, 36],
  [{ query: 'sleep', recordSchema: 'marc' }, 66],
  [{ query: 'sleep', startRecord: '0' }, 6],
  [{ query: 'sleep', startRecord: '99999' }, 61],
  [{ query: 'sleep', sortKeys: 'colour' }, 80],
  [{ query: 'sleep', version: '9.9' }, 5],
  [{ query: 'sleep', queryType: 'other' }, 6],
  [{ operation: 'searchRetrieve' }, 7],
  [{ operation: 'destroy' }, 4],
  [{ query: 'sleep', colour: 'red' }, 8],
])('%j is answered with diagnostic %i', async (parameters, number) => {
  expect(diagnostic(await ask(parameters as Record<string, string>))).toBe(`info:srw/diagnostic/1/${number}`);
});

test('a page larger than the cap is cut and says so', async () => {
  const root = await ask({ query: 'cql.allRecords = 1', maximumRecords: '500' });
  expect(recordsOf(root)).toHaveLength(100);
  expect(diagnostic(root)).toBe('info:srw/diagnostic/1/60');
});

test('the query comes back as it was sent, and as it was understood', async () => {
  const root = await ask({ query: 'light and night-shift', maximumRecords: '0' });
  expect(textAt(root, 'echoedSearchRetrieveRequest', 'query')).toBe('light and night-shift');
  expect(textAt(root, 'extraResponseData', 'profile', 'understood')).toBe(
    'el.words = "light" and el.words = "night shift"',
  );
});

async function askOf(database: string, parameters: Record<string, string>): Promise<XmlElement> {
  const response = await request(application)
    .get(`/sru/${database}`)
    .query(parameters)
    .buffer()
    .parse(asText);
  const xml = parseXml(response.body as string);
  if (!xml.ok) throw new Error(xml.message);
  return xml.root;
}

test.each([
  [
    'corvane',
    'near(3, "light", "therap*") OR heading("Shift work", narrower)',
    'el.words = "light" prox/unit=word/distance<=3 el.words = "therap*" or el.heading ==/el.narrower "Shift work"',
  ],
  [
    'corvane',
    'title("night*") AND year(2010..) NOT words("nurses")',
    'el.title = "night*" and (el.year >= 2010 not el.words = "nurses")',
  ],
  [
    'wardline',
    'wn.text = "sleep*" and wn.subject ==/narrower "Night duty" or wn.peerReviewed == "no"',
    '(el.words = "sleep*" and el.heading ==/el.narrower "Night duty") or el.peerReviewed == "no"',
  ],
  [
    'mindry',
    'sleep* OR descriptor.below:"Work behaviour" AND year:[2010 TO *]',
    'el.words = "sleep*" or (el.heading ==/el.narrower "Work behaviour" and el.year >= 2010)',
  ],
  [
    'assayhouse',
    "fulltext ~ 'randomised' & !(stage = 'protocol') | subject >= 'Light therapy'",
    '(el.fulltext = "randomised" not el.stage == "protocol") or el.heading ==/el.narrower "Light therapy"',
  ],
  [
    'skein',
    '"night shift*" OR nurses in:title sleep* -version:preprint',
    '((el.words = "night shift*" or el.words = "nurses") and el.title = "sleep*") not el.version == "preprint"',
  ],
])('%s finds the same for %s as for CQL', async (database, own, cql) => {
  const found = hits(await askOf(database, { query: own, queryType: database, maximumRecords: '0' }));
  expect(found).toBeGreaterThan(3);
  expect(hits(await askOf(database, { query: cql, maximumRecords: '0' }))).toBe(found);
});

test('what a dialect cannot read is refused, and a dialect of another database too', async () => {
  const refused = async (database: string, query: string, queryType: string) =>
    diagnostic(await askOf(database, { query, queryType }));
  expect(await refused('corvane', 'words("night', 'corvane')).toBe('info:srw/diagnostic/1/10');
  expect(await refused('mindry', 'sleep', 'corvane')).toBe('info:srw/diagnostic/1/6');
});

test('a database without a vocabulary says so, and refuses headings', async () => {
  const root = await askOf('skein', {});
  expect(childAt(root, 'extraResponseData', 'profile', 'vocabulary')).toBeNull();
  expect(diagnostic(await askOf('skein', { query: 'el.heading == "Sleep"' }))).toMatch(/\/36$/);
});

test('Skein knows what cites a record, and at what stages a work is there', async () => {
  const whole = (root: XmlElement) =>
    recordsOf(root).flatMap((record) => {
      const mods = childAt(record, 'recordData', 'mods');
      return mods === null ? [] : (recordFromMods(mods) ?? []);
    });
  const newest = whole(
    await askOf('skein', { query: 'cql.allRecords = 1', sortKeys: 'date,,0', maximumRecords: '60' }),
  );
  const citing = newest.find(({ related }) => related?.some(({ relation }) => relation === 'references'));
  const cited = citing?.related?.find(({ relation }) => relation === 'references')?.accession ?? '';
  const back = whole(await askOf('skein', { query: `el.cites == "${cited}"`, maximumRecords: '100' }));
  expect(back.map(({ accession }) => accession)).toContain(citing?.accession);
  const [preprint] = whole(await askOf('skein', { query: 'el.version == "preprint"', maximumRecords: '1' }));
  expect(preprint?.related?.map(({ relation }) => relation)).toContain('version');
});

test('Corvane joins words without a call with their heading by itself, and the echo shows it', async () => {
  const response = await request(application)
    .get('/sru/corvane')
    .query({ query: '"night duty"', queryType: 'corvane', maximumRecords: '0' })
    .buffer()
    .parse(asText);
  expect(response.body).toContain(
    'el.words = &quot;night duty&quot; or el.heading ==/el.narrower &quot;Night work&quot;',
  );
});

test('scan lists words in order with their counts, as a search counts them', async () => {
  const root = await ask({ scanClause: 'el.words = "slee"', maximumTerms: '3' });
  const terms = childrenNamed(childAt(root, 'terms') ?? root, 'term');
  const words = terms.map((term) => textAt(term, 'value'));
  expect(words[0]).toMatch(/^slee/);
  expect(words).toEqual([...words].sort());
  for (const term of terms) {
    const counted = hits(await ask({ query: textAt(term, 'value'), maximumRecords: '0' }));
    expect(Number(textAt(term, 'numberOfRecords'))).toBe(counted);
  }
});

test('explain tells the name, the indexes and the vocabulary, which is served as SKOS', async () => {
  const root = await ask({});
  const explain = childAt(root, 'record', 'recordData', 'explain');
  expect(explain && textAt(explain, 'databaseInfo', 'title')).toBe('Corvane Medical Index');
  const supports = childrenNamed((explain && childAt(explain, 'configInfo')) ?? root, 'supports');
  const types = supports.filter(({ attributes }) => attributes.type === 'queryType').map(({ text }) => text);
  expect(types).toEqual(['cql', 'corvane']);
  const address = childAt(root, 'extraResponseData', 'profile', 'vocabulary')?.attributes.href ?? '';
  const turtle = await request(application).get(address).buffer().parse(asText);
  const read = vocabularyFromTurtle(turtle.body as string);
  expect(read.ok && read.vocabulary.headings.length).toBeGreaterThan(250);
});

test.each([
  ['assayhouse', ['headings', 'fulltext']],
  ['corvane', ['headings']],
  ['skein', []],
])('explain of %s names just those of %j that its records have', async (database, has) => {
  const info = childAt(await askOf(database, {}), 'record', 'recordData', 'explain', 'indexInfo');
  const names = (info === null ? [] : childrenNamed(info, 'index')).map((index) =>
    textAt(index, 'map', 'name'),
  );
  expect(['headings', 'fulltext'].filter((name) => names.includes(name))).toEqual(has);
});

test('a long query is taken by POST', async () => {
  const query = Array.from({ length: 400 }, (_, i) => `word${i}`).join(' or ');
  const response = await request(application)
    .post('/sru/corvane')
    .type('form')
    .send({ query })
    .buffer()
    .parse(asText);
  expect(response.body).toContain('<numberOfRecords>0</numberOfRecords>');
});

test('records are made once and then read from disk', () => {
  const before = readdirSync(dataFolder).map((name) => [name, statSync(join(dataFolder, name)).mtimeMs]);
  expect(before.filter(([name]) => String(name).startsWith('truth'))).toHaveLength(1);
  expect(before.filter(([name]) => String(name).endsWith('.index')).length).toBeGreaterThanOrEqual(5);
  const databases = openDatabases({ contentFolder, dataFolder, size: 600 });
  for (const database of databases) {
    const { length } = database.present().records;
    expect(Math.abs(length - 600)).toBeLessThan(10);
  }
  const after = readdirSync(dataFolder).map((name) => [name, statSync(join(dataFolder, name)).mtimeMs]);
  expect(after).toEqual(before);
});

test('facets count the values of an index in what was found, and each narrows to just its count', async () => {
  const root = await ask({ query: 'sleep*', maximumRecords: '0', facetLimit: '3:el.heading,40:el.year' });
  const facets = childAt(root, 'facetedResults', 'datasource', 'facets');
  const [heading, year] = facets === null ? [] : childrenNamed(facets, 'facet');
  if (heading === undefined || year === undefined) throw new Error('no facets');
  const terms = (facet: XmlElement) =>
    childrenNamed(childAt(facet, 'terms') ?? facet, 'term').map((term) => ({
      query: textAt(term, 'query'),
      count: Number(textAt(term, 'count')),
    }));
  expect([textAt(heading, 'index'), terms(heading).length]).toEqual(['el.heading', 3]);
  expect(terms(year).reduce((sum, { count }) => sum + count, 0)).toBe(hits(root));
  for (const { query, count } of [...terms(heading), ...terms(year).slice(0, 3)]) {
    expect([
      query,
      hits(await ask({ query: `el.words = "sleep*" and ${query}`, maximumRecords: '0' })),
    ]).toEqual([query, count]);
  }
});

test('facets that do not exist, or cannot be read, are refused', async () => {
  expect(diagnostic(await ask({ query: 'sleep', facetLimit: '5:el.moonlight' }))).toMatch(/\/16$/);
  expect(diagnostic(await ask({ query: 'sleep', facetLimit: 'many!' }))).toMatch(/\/6$/);
});
