import fc from 'fast-check';
import { record } from '../testing/arbitraries.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import { CSL_JSON, parseXml, recordFromMods, recordToMods, RIS, writeRecords } from './index.js';

const source = { database: 'corvane', name: 'Corvane Medical Index' };

test('a record written as MODS is read back the same', () => {
  fc.assert(
    fc.property(record, fc.string({ unit: 'grapheme' }), (each, title) => {
      // White space at the ends, and characters that XML cannot carry, are not part of a title.

      const clean = `“${title.replace(/[\u0000-\u001f\ufffe\uffff]/g, '')}” <&>`;
      const trimmed = {
        ...each,
        title: clean,
        journal: each.journal.trim(),
        keywords: each.keywords.map((keyword) => keyword.trim()).filter((keyword) => keyword !== ''),
        abstract: each.abstract
          .map((section) => ({ ...section, text: section.text.trim() }))
          .filter(({ text }) => text !== ''),
        fullText: (each.fullText ?? []).map((section) => ({ ...section, text: section.text.trim() })),
        related: [{ relation: 'version' as const, accession: 'A1', title: clean }],
      };
      const xml = parseXml(recordToMods(trimmed));
      expect(xml.ok && recordFromMods(xml.root)).toEqual(trimmed);
    }),
  );
});

test.each([
  ['<!DOCTYPE x [<!ENTITY a SYSTEM "file:///etc/passwd">]><x>&a;</x>', 'document type'],
  ['<x><y></x>', 'broken at line 1: unexpected close tag'],
  ['<x>\n<y>light & lamps</y></x>', 'broken at line 2'],
  ['<x>light', 'broken'],
  ['<x/><x/>', 'broken'],
  ['', 'broken'],
])('%s is refused', (text, reason) => {
  expect(parseXml(text)).toMatchObject({ ok: false, message: expect.stringContaining(reason) });
});

test('characters that XML forbids become spaces, so that one of them costs no page of records', () => {
  const result = parseXml('<x of="a\u0001b">light\u000blamps&#1;&#x1F;&#xFFFE;&#xd800;&#65;&#10;.</x>');
  expect(result.ok && result.root.text).toBe('light lamps    A\n.');
  expect(result.ok && result.root.attributes).toEqual({ of: 'a b' });
});

test('entities other than those of XML stay as written', () => {
  const result = parseXml('<x of="&nbsp;">&lol; &amp;lt; &#x41; &constructor; &__proto__;</x>');
  expect(result.ok && result.root.text).toBe('&lol; &lt; A &constructor; &__proto__;');
  expect(result.ok && result.root.attributes).toEqual({ of: '&nbsp;' });
});

test('RIS holds one value a line, so that a title cannot smuggle in a tag', () => {
  const ris = RIS.write(
    sampleRecord({
      title: 'Light\r\nER  - \r\nTY  - BOOK',
      authors: [{ family: 'Ortvik', given: 'L' }],
      pages: '211-219',
      doi: '10.5555/x',
    }),
    source,
  );
  expect(ris.split('\r\n')).toEqual([
    'TY  - JOUR',
    'ID  - corvane:CMI0000001',
    'TI  - Light ER - TY - BOOK',
    'AU  - Ortvik, L',
    'PY  - 2020',
    'SP  - 211',
    'EP  - 219',
    'DO  - 10.5555/x',
    'LA  - English',
    'DB  - Corvane Medical Index',
    'AN  - CMI0000001',
    'ER  - ',
    '',
    '',
  ]);
});

test('CSL-JSON leaves out what a record does not have', () => {
  const [item] = JSON.parse(
    writeRecords(CSL_JSON, [{ record: sampleRecord({ title: 'Light', year: 2019, volume: '4' }), source }]),
  ) as object[];
  expect(item).toEqual({
    id: 'corvane:CMI0000001',
    type: 'article-journal',
    title: 'Light',
    issued: { 'date-parts': [[2019]] },
    volume: '4',
    language: 'en',
    source: 'Corvane Medical Index',
  });
});
