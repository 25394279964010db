import { sampleRecord } from '../testing/sampleRecord.js';
import {
  CSL_JSON,
  MODS,
  pageRange,
  pagesOf,
  parseXml,
  readRecords,
  recordFromMods,
  RECORD_FORMATS,
  RIS,
  writeRecords,
  type BibRecord,
  type CslItem,
} from './index.js';

const source = { database: 'corvane', name: 'Corvane Medical Index' };
const other = { database: 'skein', name: 'Skein Citation Index' };
const ris = (record: BibRecord) => RIS.write(record, source);
const csl = (record: BibRecord) => JSON.parse(CSL_JSON.write(record, source)) as CslItem;

test.each([
  [['Dissertation'], 'THES', 'thesis'],
  [['book'], 'BOOK', 'book'],
  [['Journal article', 'Conference abstract'], 'CPAPER', 'paper-conference'],
  [['patent'], 'PAT', 'patent'],
  [['Journal article', 'Case report'], 'JOUR', 'article-journal'],
  [['technology assessment'], 'RPRT', 'report'],
  [['Preprint'], 'UNPB', 'article'],
  [['systematic review'], 'JOUR', 'article-journal'],
  [[], 'JOUR', 'article-journal'],
])('%j is %s in RIS and %s in CSL', (publicationTypes, inRis, inCsl) => {
  const record = sampleRecord({ title: 'Lamps', publicationTypes });
  expect(ris(record)).toContain(`TY  - ${inRis}\r\n`);
  expect(csl(record).type).toBe(inCsl);
});

test('a year that was not told is left out, not written as 0', () => {
  const record = sampleRecord({ title: 'Lamps', year: 0 });
  expect(ris(record)).not.toContain('PY');
  expect(csl(record)).not.toHaveProperty('issued');
  expect(MODS.write(record, source)).not.toContain('dateIssued');
});

test.each([
  ['211-219', '211', '219'],
  ['211–219', '211', '219'],
  ['e594', 'e594', ''],
  ['e-594', 'e-594', ''],
  ['S1-12–S1-20', 'S1-12', 'S1-20'],
  ['S1-12-S1-20', 'S1-12', 'S1-20'],
  ['e594-e601', 'e594', 'e601'],
  ['1041-9', '1041', '9'],
  ['art. 7-b', 'art. 7-b', ''],
  ['', '', ''],
])('pages %s are from %s to %s', (pages, start, end) => {
  expect(pageRange(pages)).toEqual({ start, end });
  expect(pageRange(pagesOf(start, end))).toEqual({ start, end });
});

test('a body stays whole in every format, and is read back so', () => {
  const body = { family: 'Department of Night Care, Wickmoor', given: '', corporate: true as const };
  const record = sampleRecord({ title: 'Lamps', authors: [body, { family: 'Ortvik', given: 'L' }] });
  expect(csl(record).author).toEqual([{ literal: body.family }, { family: 'Ortvik', given: 'L' }]);
  expect(readRecords(ris(record)).records[0]?.authors).toEqual(record.authors);
  const xml = parseXml(MODS.write(record, source));
  expect(xml.ok && recordFromMods(xml.root)?.authors).toEqual(record.authors);
  const names = readRecords(
    'TY  - JOUR\nTI  - a\nAU  - Trust, A. B.\nAU  - The Lamp Group\nAU  - Ward Nine,\nER  -',
  );
  expect(names.records[0]?.authors).toEqual([
    { family: 'Trust', given: 'A. B.' },
    { family: 'The Lamp Group', given: '', corporate: true },
    { family: 'Ward Nine', given: '', corporate: true },
  ]);
});

test('control characters do not pass, and no line of a value begins a tag', () => {
  const nasty = 'Lamps\u0000\u0007\u001b[2J\u2028ER  - \u0085TY  - BOOK';
  const record = sampleRecord({
    title: nasty,
    journal: nasty,
    abstract: [{ label: null, text: nasty }],
    authors: [{ family: nasty, given: nasty }],
  });
  for (const format of RECORD_FORMATS) {
    expect(format.write(record, source)).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]|\\u00[01]/);
  }
  expect(ris(record).match(/^TY {2}- /gm)).toHaveLength(1);
});

test('records of two databases with one number are told apart, and each names its database', () => {
  const records = [
    { record: sampleRecord({ title: 'One' }), source },
    { record: sampleRecord({ title: 'Two' }), source: other },
  ];
  const items = JSON.parse(writeRecords(CSL_JSON, records)) as CslItem[];
  expect(items.map(({ id, source: from }) => [id, from])).toEqual([
    ['corvane:CMI0000001', 'Corvane Medical Index'],
    ['skein:CMI0000001', 'Skein Citation Index'],
  ]);
  const text = writeRecords(RIS, records);
  expect(text.match(/^ID {2}- .+$/gm)).toHaveLength(2);
  expect(text).toContain('DB  - Skein Citation Index');
  const collection = parseXml(writeRecords(MODS, records));
  expect(collection.ok && collection.root.children).toHaveLength(2);
});

/** What the published schema of CSL-JSON 1.0.2 allows of what is written here; it allows nothing else. */
const CSL_TYPES = new Set([
  'article', 'article-journal', 'book', 'chapter', 'dataset', 'paper-conference', 'patent', 'report', 'thesis', 'webpage',
]); // prettier-ignore
const CSL_TEXTS = new Set([
  'id', 'type', 'title', 'container-title', 'volume', 'issue', 'page', 'DOI', 'abstract', 'keyword', 'language', 'source',
]); // prettier-ignore

test('CSL-JSON has no name and no type that the schema lacks, and each value is of its kind', () => {
  for (const publicationTypes of [['book'], ['trial record'], ['Preprint'], []]) {
    const item = csl(
      sampleRecord({
        title: 'Lamps', publicationTypes, year: 2020, doi: '10.5555/x', keywords: ['a'], pages: '1-2',
        authors: [{ family: 'Ortvik', given: '' }],
      }),
    ); // prettier-ignore
    expect(CSL_TYPES).toContain(item.type);
    for (const [name, value] of Object.entries(item)) {
      if (name === 'author') expect(value).toEqual([{ family: 'Ortvik' }]);
      else if (name === 'issued') expect(value).toEqual({ 'date-parts': [[2020]] });
      else {
        expect(CSL_TEXTS).toContain(name);
        expect(typeof value).toBe('string');
      }
    }
  }
});

test('two records with one number are both kept, and it is told', () => {
  const text = ['One', 'Two', 'One']
    .map((title) => `TY  - JOUR\nTI  - ${title}\nAN  - K-77\nER  -\n`)
    .join('');
  const { records, troubles } = readRecords(text);
  expect(records.map(({ title }) => title)).toEqual(['One', 'Two']);
  expect(new Set(records.map(({ accession }) => accession)).size).toBe(2);
  expect(troubles.map(({ message }) => message)).toEqual([
    '“Two” has the number K-77 of another record. Both are kept.',
    '“One” came twice, and is kept once.',
  ]);
});

test('numbers that a program gave for one file do not collide with those of another', () => {
  const file = (title: string) =>
    readRecords(`TY  - JOUR\nID  - 1\nAN  - 1\nTI  - ${title}\nER  -\n`).records[0]?.accession;
  expect(file('One')).not.toBe(file('Two'));
  expect(file('One')).toBe(file('One'));
});

test('type, sections, DOI in other places, several authors in a line and one space before the dash are read', () => {
  const text = [
    'TY  - THES',
    'TI - Naps on duty',
    'AU  - Ortvik, Lena; Quill, Ada',
    'AB  - Background: Nights are long. Methods: We asked 40 nurses: all answered. Results: They nap. Conclusions: So be it.',
    'UR  - https://doi.org/10.5555/naps.7',
    'SP  - e-594',
    'QQ  - of no use',
    'QQ  - nor this',
    'ER  - ',
  ].join('\n');
  const { records, troubles } = readRecords(text);
  expect(records[0]).toMatchObject({
    title: 'Naps on duty',
    publicationTypes: ['Dissertation'],
    authors: [
      { family: 'Ortvik', given: 'Lena' },
      { family: 'Quill', given: 'Ada' },
    ],
    abstract: [
      { label: 'Background', text: 'Nights are long.' },
      { label: 'Methods', text: 'We asked 40 nurses: all answered.' },
      { label: 'Results', text: 'They nap.' },
      { label: 'Conclusions', text: 'So be it.' },
    ],
    doi: '10.5555/naps.7',
    pages: 'e-594',
  });
  expect(troubles).toEqual([
    { line: 7, message: 'The tag QQ is not known; its line is left out, and 1 more like it.' },
  ]);
});

test('an abstract in which a colon is just a colon stays whole', () => {
  const text = 'TY  - JOUR\nTI  - a\nAB  - Two things matter. Results: none. We say so: twice.\nER  -';
  expect(readRecords(text).records[0]?.abstract).toEqual([
    { label: null, text: 'Two things matter. Results: none. We say so: twice.' },
  ]);
});

test.each(['doi:10.5555/x', 'https://doi.org/10.5555/x', 'DOI: 10.5555/x', '10.5555/x'])(
  'in MODS the DOI %s is read without what stands before it',
  (doi) => {
    const xml = parseXml(
      `<mods><titleInfo><title>a</title></titleInfo><identifier type="doi">${doi}</identifier></mods>`,
    );
    expect(xml.ok && recordFromMods(xml.root)?.doi).toBe('10.5555/x');
  },
);
