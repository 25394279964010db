import fc from 'fast-check';
import { record } from '../testing/arbitraries.js';
import {
  accessionFor,
  parseXml,
  readRecords,
  recordFromDublinCore,
  RIS,
  writeRecords,
  recordToDublinCore,
  recordToMods,
  type BibRecord,
} from './index.js';

const sourced = (records: readonly BibRecord[]) =>
  records.map((record) => ({ record, source: { database: 'db', name: 'A database' } }));
const spaced = (text: string) => text.replace(/\s+/g, ' ').trim();
/** What all of the formats can carry. */
const core = ({ accession, title, authors, journal, year, doi, language }: BibRecord) => ({
  accession,
  title: spaced(title),
  authors,
  journal: spaced(journal),
  year,
  doi,
  language,
});
const titled = record
  .filter(({ title }) => spaced(title) !== '')
  .map((each) => ({ ...each, doi: '10.5555/abc' }));

test.each([
  ['RIS', (records: readonly BibRecord[]) => writeRecords(RIS, sourced(records))],
  [
    'MODS',
    (records: readonly BibRecord[]) =>
      `<modsCollection>${records.map((each) => recordToMods(each)).join('')}</modsCollection>`,
  ],
  [
    'Dublin Core',
    (records: readonly BibRecord[]) => `<records>${records.map(recordToDublinCore).join('')}</records>`,
  ],
])('what is written as %s is read again', (_name, write) => {
  fc.assert(
    fc.property(
      fc.uniqueArray(titled, { minLength: 1, maxLength: 5, selector: (each) => each.accession }),
      (records) => {
        const { records: read, troubles } = readRecords(write(records));
        expect(troubles).toEqual([]);
        expect(read.map(core)).toEqual(records.map(core));
      },
    ),
    { numRuns: 150 },
  );
});

test('RIS as other programs write it is read: broken lines, other tags, a byte order mark', () => {
  const text = [
    '\uFEFFTY  - JOUR',
    'T1  - Lamps on the ward: a',
    '      small trial',
    'A1  - Ortvik, Lena',
    'A1  - The Lamp Group',
    'JF  - Annals of the Small Hours',
    'Y1  - 2019/03/01',
    'DO  - https://doi.org/10.5555/lamps',
    'XX  - of no use',
    'ER  - ',
    'TY  - JOUR',
    'TI  - Naps',
    'TY  - JOUR',
    'TI  - The one before has no end',
  ].join('\n');
  const { records, troubles } = readRecords(text);
  expect(troubles).toEqual([{ line: 9, message: 'The tag XX is not known; its line is left out.' }]);
  expect(records.map(({ title }) => title)).toEqual([
    'Lamps on the ward: a small trial',
    'Naps',
    'The one before has no end',
  ]);
  expect(records[0]).toMatchObject({
    authors: [
      { family: 'Ortvik', given: 'Lena' },
      { family: 'The Lamp Group', given: '' },
    ],
    year: 2019,
    doi: '10.5555/lamps',
    journal: 'Annals of the Small Hours',
  });
});

test('a record without a number is known by what it says, and is kept once', () => {
  const text = 'TY  - JOUR\nTI  - Naps\nAU  - Ortvik, L\nER  - \n';
  const { records } = readRecords(text + text.replace('Naps', 'NAPS'));
  expect(records).toHaveLength(1);
  expect(records[0]?.accession).toBe(records[0] && accessionFor(records[0]));
});

test('what cannot be read is told with its line', () => {
  expect(
    readRecords('Naps\nTY  - JOUR\nAU  - Ortvik, L\nER  - \nTY  - JOUR\nTI  - Kept\nER  -').troubles,
  ).toEqual([
    { line: 1, message: 'The line begins with no tag such as “TI  - ”.' },
    { line: 2, message: 'The record has no title.' },
  ]);
  expect(readRecords('').troubles[0]?.message).toMatch(/holds no records/);
  expect(readRecords('<a><b></a>').troubles[0]?.message).toMatch(/broken/);
  expect(readRecords('<!DOCTYPE a [<!ENTITY x SYSTEM "file:///x">]><a/>').troubles[0]?.message).toMatch(
    /refused/,
  );
});

test('no text makes the reader throw', () => {
  const piece = fc.constantFrom(
    'TY  - JOUR',
    'TI  - a',
    'ER  - ',
    '\n',
    '\r\n',
    'PY  - 20',
    '<mods>',
    '</mods>',
    '&',
  );
  fc.assert(
    fc.property(
      fc.oneof(
        fc.string(),
        fc.array(piece).map((pieces) => pieces.join('\n')),
      ),
      (text) => {
        const { records, troubles } = readRecords(text);
        expect(records.length + troubles.length).toBeGreaterThan(0);
      },
    ),
  );
});

test('Dublin Core of other servers: several identifiers, a date with a day, a name without a comma', () => {
  const xml = parseXml(
    '<oai_dc:dc xmlns:oai_dc="a" xmlns:dc="b"><dc:title>Naps &amp; lamps</dc:title><dc:identifier>doi:10.5555/n</dc:identifier><dc:identifier>osier:7</dc:identifier><dc:date>2014-05-06</dc:date><dc:creator>Ortvik</dc:creator></oai_dc:dc>',
  );
  expect(xml.ok && recordFromDublinCore(xml.root)).toMatchObject({
    title: 'Naps & lamps',
    accession: 'osier:7',
    doi: '10.5555/n',
    year: 2014,
    authors: [{ family: 'Ortvik', given: '' }],
  });
  const untitled = parseXml('<dc><identifier>1</identifier></dc>');
  expect(untitled.ok && recordFromDublinCore(untitled.root)).toBeNull();
});

test('an ISSN or an ISBN is that of a journal or a book, not of the record', () => {
  const identified = (...identifiers: string[]) => {
    const inside = identifiers.map((each) => `<identifier>${each}</identifier>`).join('');
    const xml = parseXml(`<dc><title>Lamps</title>${inside}</dc>`);
    return xml.ok ? recordFromDublinCore(xml.root)?.accession : null;
  };
  expect(identified('ISSN 1234-5679', 'urn:isbn:9783161484100', 'rec-7')).toBe('rec-7');
  expect(identified('1234-5679', '978-3-16-148410-0', '3-16-148410-X')).toBe('');
  // digits that only look like one
  expect(identified('1234-5670')).toBe('1234-5670');
  expect(identified('2019-0012')).toBe('2019-0012');
});
