import { createReadStream, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import iconv from 'iconv-lite';
import { asUtf8, findEncoding } from './fileEncoding.js';

const folder = mkdtempSync(join(tmpdir(), 'encoding-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const ris = (...records: [title: string, author: string, abstract: string][]) =>
  records
    .map(
      ([ti, au, ab]) => `TY  - JOUR\r\nTI  - ${ti}\r\nAU  - ${au}\r\nPY  - 2019\r\nAB  - ${ab}\r\nER  - \r\n`,
    )
    .join('\r\n');
const GERMAN = ris(
  ['Schläfrigkeit während der Nachtschicht', 'Größer, Jörg', 'Für müde Pflegekräfte über Ängste.'],
  ['Licht und Wachheit', 'Müller, Änne', 'Die Übermüdung nahm ab; es blieb die Frage – “warum?”'],
);
const FRENCH = ris(
  ['Éclairage nocturne et vigilance des infirmières', 'Lefèvre, Hélène', 'Après la relève, l’équipe était reposée.'],
  ['Siestes brèves à l’hôpital', 'Garçon, Noël', 'Une pièce à côté; où dormir était possible.'],
); // prettier-ignore
const SWEDISH = ris(['Sömn på natten', 'Åkesson, Örjan', 'Åtta sjuksköterskor sov några timmar för mycket.']);
const POLISH = ris(
  ['Światło i sen pielęgniarek', 'Źródłowska, Żaneta', 'Po dyżurze nocnym pielęgniarki były mniej zmęczone.'],
  ['Drzemka na oddziale', 'Łęcki, Paweł', 'Również część pracowników śpi krócej, niż się wydaje.'],
); // prettier-ignore
const RUSSIAN = ris(['Свет и сон медсестёр', 'Огнева, Жанна', 'После ночного дежурства они меньше устают.']);
const JAPANESE = ris([
  '夜勤看護師の仮眠について',
  '光野, 花',
  'これは夜勤のあとの眠気についての研究である。',
]);

const fileOf = (text: string, encoding: string, addBOM = false) => {
  const path = join(folder, `${Math.random()}.ris`);
  writeFileSync(path, iconv.encode(text, encoding, { addBOM }));
  return path;
};
const read = async (path: string) => {
  const { name } = await findEncoding(path);
  return (await buffer(asUtf8(createReadStream(path, { highWaterMark: 7 }), name))).toString('utf8');
};

// What a person would check: that every letter is the right one, whatever the encoding is called.
test.each([
  ['German', 'utf-8', GERMAN],
  ['German', 'windows-1252', GERMAN],
  ['German', 'macintosh', GERMAN],
  ['German', 'utf-16le', GERMAN],
  ['German', 'utf-16be', GERMAN],
  ['French', 'windows-1252', FRENCH],
  ['French', 'macintosh', FRENCH],
  ['Swedish', 'iso-8859-1', SWEDISH],
  ['Swedish', 'macintosh', SWEDISH],
  ['Polish', 'utf-8', POLISH],
  ['Russian', 'windows-1251', RUSSIAN],
  ['Russian', 'koi8-r', RUSSIAN],
  ['Japanese', 'shift_jis', JAPANESE],
])('%s is read letter by letter where it is in %s', async (_language, encoding, text) => {
  expect(await read(fileOf(text, encoding))).toBe(text);
});

test.each(['utf-8', 'utf-16le', 'utf-16be'])('a mark tells %s', async (encoding) => {
  const path = fileOf(FRENCH, encoding, true);
  expect(await findEncoding(path)).toEqual({ name: encoding, how: 'mark' });
  expect((await read(path)).replace('\uFEFF', '')).toBe(FRENCH);
});

test('XML is what it says, where that can be', async () => {
  const xml = (declared: string) =>
    `<?xml version="1.0" encoding="${declared}"?><mods><title>Naïve Größe</title></mods>`;
  const latin = fileOf(xml('ISO-8859-1'), 'latin1');
  expect(await findEncoding(latin)).toEqual({ name: 'windows-1252', how: 'declaration' });
  expect(await read(latin)).toContain('Naïve Größe');
  const lying = fileOf(xml('UTF-8'), 'latin1');
  expect((await findEncoding(lying)).how).toBe('letters');
  expect(await read(lying)).toContain('Naïve Größe');
  expect(await findEncoding(fileOf(xml('nonsense-8'), 'utf-8'))).toEqual({ name: 'utf-8', how: 'utf8' });
});

test('plain ASCII and an empty file are UTF-8', async () => {
  expect(await findEncoding(fileOf('TY  - JOUR', 'ascii'))).toEqual({ name: 'utf-8', how: 'utf8' });
  expect(await findEncoding(fileOf('', 'ascii'))).toEqual({ name: 'utf-8', how: 'utf8' });
});
