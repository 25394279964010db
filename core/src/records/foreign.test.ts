/** Files that others write, and what readers that others wrote make of ours. */
import { plugins } from '@citation-js/core';
import '@citation-js/plugin-ris';
import { sampleRecord } from '../testing/sampleRecord.js';
import {
  CSL_JSON,
  MODS,
  parseXml,
  readRecords,
  recordFromMods,
  RIS,
  childAt,
  childrenNamed,
  textAt,
  type BibRecord,
  type XmlElement,
} from './index.js';

const source = { database: 'corvane', name: 'Corvane Medical Index' };
const titles = (text: string) => readRecords(text).records.map(({ title }) => title);
const one = (text: string) => readRecords(text).records[0];

function modsTree(record: BibRecord): XmlElement {
  const xml = parseXml(MODS.write(record, source));
  if (!xml.ok) throw new Error(xml.message);
  return xml.root;
}

test('a bare record beside wrapped ones is read, whatever wraps them', () => {
  expect(
    titles(
      '<modsCollection><mods><titleInfo><title>Bare</title></titleInfo></mods><record><recordData><mods><titleInfo><title>Wrapped</title></titleInfo></mods></recordData></record><dc><title>Third</title></dc></modsCollection>',
    ),
  ).toEqual(['Bare', 'Wrapped', 'Third']);
  expect(
    titles('<metadata xmlns:dc="a"><dc:title>Alone</dc:title><dc:creator>Ortvik, L</dc:creator></metadata>'),
  ).toEqual(['Alone']);
});

test('Dublin Core in RDF and by its terms is read', () => {
  const record = one(
    `<rdf:RDF xmlns:rdf="r" xmlns:dcterms="t"><rdf:Description rdf:about="https://doi.org/10.5555/n">
       <dcterms:title>Naps</dcterms:title><dcterms:alternative>Short sleep</dcterms:alternative>
       <dcterms:creator>Ortvik, L</dcterms:creator><dcterms:contributor>Quill, A</dcterms:contributor>
       <dcterms:abstract>They nap.</dcterms:abstract><dcterms:description>A paper</dcterms:description>
       <dcterms:issued>2014-05</dcterms:issued><dcterms:isPartOf>Annals of the Small Hours</dcterms:isPartOf>
       <dcterms:language>de</dcterms:language></rdf:Description></rdf:RDF>`,
  );
  expect(record).toMatchObject({
    title: 'Naps',
    doi: '10.5555/n',
    authors: [{ family: 'Ortvik', given: 'L' }],
    abstract: [{ label: null, text: 'They nap.' }],
    year: 2014,
    journal: 'Annals of the Small Hours',
    language: 'German',
  });
});

test('MODS of others: an alternative title first, editors, names in one part, pages as a list, codes of languages', () => {
  const { records, troubles } = readRecords(
    `<modsCollection>
<mods><titleInfo type="abbreviated"><title>Lmps</title></titleInfo><titleInfo><title>Lamps</title></titleInfo>
<name type="personal"><namePart>Ortvik, Lena</namePart><role><roleTerm type="code" authority="marcrelator">aut</roleTerm></role></name>
<name type="personal"><namePart>Quill, Ada</namePart><role><roleTerm type="text">editor</roleTerm></role></name>
<genre authority="marcgt">thesis</genre>
<language><languageTerm type="code" authority="iso639-2b">swe</languageTerm></language>
<subject><geographic>Wickmoor</geographic></subject>
<relatedItem type="host"><titleInfo><title>Night Work</title></titleInfo><part><detail type="volume"><number>4</number></detail><extent unit="pages"><list>pp. 3-9</list></extent><date>2011</date></part></relatedItem></mods>
</modsCollection>`,
  );
  expect(records[0]).toMatchObject({
    title: 'Lamps',
    authors: [{ family: 'Ortvik', given: 'Lena' }],
    publicationTypes: ['Dissertation'],
    language: 'Swedish',
    keywords: ['Wickmoor'],
    journal: 'Night Work',
    volume: '4',
    pages: '3-9',
    year: 2011,
  });
  expect(troubles).toEqual([
    {
      line: 2,
      message:
        'Records here have no place for these, so they are left out: editors and others who did not write it (1), further titles (1).',
    },
  ]);
});

test.each([
  [['Journal article'], 'article', 'periodical', 'continuing'],
  [['Trial record'], '', 'periodical', 'continuing'],
  [['Dissertation'], 'thesis', 'periodical', 'continuing'],
  [['Book chapter'], '', 'book', 'monographic'],
])(
  'MODS tells other programs that %j is no chapter, or is one',
  (publicationTypes, genre, host, issuance) => {
    const mods = modsTree(sampleRecord({ title: 'Lamps', journal: 'Night Work', publicationTypes }));
    expect(textAt(mods, 'typeOfResource')).toBe('text');
    const ofClass = childrenNamed(mods, 'genre').filter(
      ({ attributes }) => attributes.authority === 'marcgt',
    );
    expect(ofClass.map(({ text }) => text).join()).toBe(genre);
    expect(textAt(mods, 'relatedItem', 'genre')).toBe(host);
    expect(textAt(mods, 'relatedItem', 'originInfo', 'issuance')).toBe(issuance);
    expect(recordFromMods(mods)?.publicationTypes).toEqual(publicationTypes);
  },
);

test('what appeared nowhere has no host, and an abstract of sections is one element', () => {
  const sections = [
    { label: 'Methods', text: 'We asked: all answered.' },
    { label: null, text: 'They nap.' },
  ];
  const mods = modsTree(sampleRecord({ title: 'Lamps', abstract: sections }));
  expect(childAt(mods, 'relatedItem')).toBeNull();
  expect(childrenNamed(mods, 'abstract').map(({ text }) => text)).toEqual([
    'Methods: We asked: all answered.\nThey nap.',
  ]);
  // Where a line could be taken for a label, the sections stand apart, and come back as they were.
  const doubtful = [
    { label: null, text: 'We asked: all answered.' },
    sections[0] ?? { label: null, text: '' },
  ];
  expect(recordFromMods(modsTree(sampleRecord({ title: 'Lamps', abstract: doubtful })))?.abstract).toEqual(
    doubtful,
  );
});

test.each([
  ['English', 'en'],
  ['Norwegian Bokmål', 'nb'],
  ['fre', 'fr'],
  ['pt-BR', 'pt-BR'],
  ['Old Wickish', 'Old Wickish'],
])('the language %s is %s in CSL-JSON', (language, code) => {
  const item = JSON.parse(CSL_JSON.write(sampleRecord({ title: 'Lamps', language }), source)) as object;
  expect(item).toMatchObject({ language: code });
});

test('another reader of RIS gets names, dates, pages and kind as they are', () => {
  const record = sampleRecord({
    title: 'Lamps',
    authors: [
      { family: 'Ortvik', given: 'Lena' },
      { family: 'The Lamp Group', given: '', corporate: true },
    ],
    journal: 'Annals of the Small Hours',
    volume: '4',
    issue: '2',
    pages: '211-219',
    doi: '10.5555/lamps',
    abstract: [{ label: 'Methods', text: 'We asked.' }],
    publicationTypes: ['Journal article'],
  });
  const [item] = plugins.input.chain(RIS.write(record, source)) as Record<string, unknown>[];
  expect(item).toMatchObject({
    type: 'article-journal',
    title: 'Lamps',
    'container-title': 'Annals of the Small Hours',
    volume: '4',
    issue: '2',
    DOI: '10.5555/lamps',
    abstract: 'Methods: We asked.',
    issued: { 'date-parts': [[2020]] },
  });
  expect(JSON.stringify(item?.author)).toContain('The Lamp Group');
  expect(JSON.stringify(item?.author)).not.toContain('The Lamp Group,');
});

test('a reader of others takes CSL-JSON as it is written, and finds nothing in it to clean', () => {
  const record = sampleRecord({
    title: 'Lamps & naps < nights',
    authors: [
      { family: 'Ortvik', given: 'L' },
      { family: 'The Lamp Group', given: '' },
    ],
    journal: 'Annals of the Small Hours',
    year: 2020,
    language: 'German',
    doi: '10.5555/lamps',
  });
  const text = CSL_JSON.write(record, source);
  const read = plugins.input.chain(text) as Record<string, unknown>[];
  expect(read).toHaveLength(1);
  const { _graph: _how, ...item } = read[0] ?? {};
  const [own] = JSON.parse(`[${text.replace(/^\s*\[|\]\s*$/g, '')}]`) as Record<string, unknown>[];
  expect(item).toEqual(own);
  expect(item).toMatchObject({
    title: 'Lamps & naps < nights',
    issued: { 'date-parts': [[2020]] },
    language: 'de',
  });
});
