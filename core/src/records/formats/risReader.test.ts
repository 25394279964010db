/** RIS as it really comes: everything is read, or told by its line. */
import { recordsFromRis } from './risReader.js';

const read = (...lines: string[]) => recordsFromRis(lines.join('\n'));
const one = (...lines: string[]) => {
  const { records, troubles } = read('TY  - JOUR', 'TI  - Light at night', ...lines, 'ER  - ');
  expect(records).toHaveLength(1);
  return { record: records[0], troubles: troubles.map(({ line, message }) => `${line}: ${message}`) };
};

test('an abstract that stands in several lines of its own is whole', () => {
  const { record } = one('AB  - First part.', 'N2  - Second part.', 'AB  - Third part.', 'N2  - First part.');
  expect(record?.abstract.map(({ text }) => text)).toEqual(['First part.', 'Second part.', 'Third part.']);
});

test.each([
  ['PY  - 98', '98'],
  ['Y1  - 05/12', '05/12'],
  ['DA  - spring', 'spring'],
])('a year that is none is told: %s', (line, written) => {
  const { record, troubles } = one(line);
  expect(record?.year).toBe(0);
  expect(troubles).toEqual([`1: “${written}” is no year of four digits; the year is left open.`]);
});

test('authors in one line are parted, names of bodies are not', () => {
  const { record } = one('AU  - Ortvik, L. and Brandes, K. & Quill, M.', 'AU  - Society for Sleep and Light');
  expect(record?.authors).toEqual([
    { family: 'Ortvik', given: 'L.' },
    { family: 'Brandes', given: 'K.' },
    { family: 'Quill', given: 'M.' },
    { family: 'Society for Sleep and Light', given: '', corporate: true },
  ]);
});

test('keywords in one line are parted', () => {
  expect(one('KW  - naps; shift work;', 'KW  - light').record?.keywords).toEqual([
    'naps', 'shift work', 'light',
  ]); // prettier-ignore
});

test('tags that records have no place for are told once, with how often they came', () => {
  const { troubles } = one(
    'ED  - Quill, M.',
    'SN  - 1234-5678',
    'SN  - 8765-4321',
    'PB  - Press',
    'CY  - Town',
  );
  expect(troubles).toEqual([
    '3: Records here have no place for these tags, so their lines are left out: ED (1), SN (2), PB (1), CY (1).',
  ]);
});

test('a title of a book or of something unnamed is a title', () => {
  const titled = (...lines: string[]) => read('TY  - BOOK', ...lines, 'ER  - ').records[0];
  expect(titled('BT  - Nights')).toMatchObject({ title: 'Nights', journal: '' });
  expect(titled('CT  - Dusk', 'BT  - Nights')).toMatchObject({ title: 'Dusk', journal: 'Nights' });
});

test.each([
  ['small letters', ['ty  - JOUR', 'ti  - Dawn', 'au  - Quill, M', 'er  - ']],
  ['indented', ['  TY  - JOUR', '  TI  - Dawn', '  AU  - Quill, M', '  ER  - ']],
  ['another dash', ['TY  – JOUR', 'TI  – Dawn', 'AU  — Quill, M', 'ER  – ']],
])('tags in %s are tags', (_how, lines) => {
  const { records, troubles } = read(...lines, ...lines);
  expect(records).toMatchObject([
    { title: 'Dawn', authors: [{ family: 'Quill', given: 'M' }] },
    { title: 'Dawn' },
  ]);
  expect(troubles).toEqual([]);
});

test('text that goes on is no tag', () => {
  const { record } = one('AB  - The lamps', 'of  - as it were - the ward', '  on - and off', 'DNA - too.');
  expect(record?.abstract).toEqual([
    { label: null, text: 'The lamps of  - as it were - the ward on - and off DNA - too.' },
  ]);
});

test('records of another tagged form stay two, and what is not understood is told', () => {
  const { records, troubles } = read(
    'NUMB- 1', 'TI  - Dusk', 'AU  - Quill M', 'JT  - Lamp Letters', '',
    'NUMB- 2', 'TI  - Dawn', 'AB  - Light.', '',
  ); // prettier-ignore
  expect(records.map(({ title }) => title)).toEqual(['Dusk', 'Dawn']);
  const told = troubles.map(({ message }) => message).join('\n');
  expect(told).toContain('2 records do not begin with TY');
  expect(told).toContain('The tag NUMB is not known; its line is left out, and 1 more like it.');
  expect(told).toContain('The tag JT is not known');
});
