/** Records as RIS: two-letter tags, one value a line. */
import type { BibRecord, PersonName } from '../model.js';
import { pageRange } from './pages.js';
import { isBody } from './names.js';
import { plainText, sourcedId, type RecordFormat, type RecordSource } from './format.js';
import { recordsFromRis } from './risReader.js';
import { risTypeOf } from './types.js';

export const RIS: RecordFormat = {
  id: 'ris',
  name: 'RIS',
  mediaType: 'application/x-research-info-systems; charset=utf-8',
  extension: 'ris',
  before: '',
  between: '',
  after: '',
  write: recordToRis,
  read: { recognises: (text) => !text.trimStart().startsWith('<'), records: recordsFromRis },
};

export function recordToRis(record: BibRecord, source: RecordSource): string {
  const { start, end } = pageRange(record.pages);
  const lines: [tag: string, value: string][] = [
    ['TY', risTypeOf(record)],
    ['ID', sourcedId(record, source)],
    ['TI', record.title],
    ...record.authors.map((name): [string, string] => ['AU', risName(name)]),
    ['T2', record.journal],
    ['PY', record.year === 0 ? '' : String(record.year)],
    ['VL', record.volume],
    ['IS', record.issue],
    ['SP', start],
    ['EP', end],
    ['DO', record.doi ?? ''],
    ['LA', record.language],
    ['AB', record.abstract.map(({ label, text }) => (label === null ? text : `${label}: ${text}`)).join(' ')],
    ...record.publicationTypes.map((type): [string, string] => ['M3', type]),
    ...record.keywords.map((keyword): [string, string] => ['KW', keyword]),
    ...record.headings.map(({ label, subheadings }): [string, string] => [
      'KW',
      [label, ...subheadings].join(' / '),
    ]),
    ['DB', source.name],
    ['AN', record.accession],
  ];
  const body = lines
    // A line break inside a value would let text pass as a tag, so all white space becomes spaces.
    .map(([tag, value]): [string, string] => [tag, plainText(value)])
    .filter(([, value]) => value !== '')
    .map(([tag, value]) => `${tag}  - ${value}\r\n`)
    .join('');
  return `${body}ER  - \r\n\r\n`;
}

/**
 * A comma at the end says that nothing is to be parted, since the name is that of a body. Other programs show it, so
 * it stands only where nothing else tells a body from a person.
 */
function risName({ family, given, corporate }: PersonName): string {
  if (given !== '') return `${family}, ${given}`;
  return corporate === true && (family.includes(',') || !isBody(family)) ? `${family},` : family;
}
