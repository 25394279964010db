/** Records as RIS: two-letter tags, one value a line. */
import type { BibRecord } from './model.js';

export function recordsToRis(records: readonly BibRecord[]): string {
  return records.map(recordToRis).join('');
}

function recordToRis(record: BibRecord): string {
  const [start = '', end = ''] = record.pages.split(/[-–]/);
  const lines: [tag: string, value: string][] = [
    ['TY', 'JOUR'],
    ['TI', record.title],
    ...record.authors.map(({ family, given }): [string, string] => [
      'AU',
      given === '' ? family : `${family}, ${given}`,
    ]),
    ['T2', record.journal],
    ['PY', String(record.year)],
    ['VL', record.volume],
    ['IS', record.issue],
    ['SP', start],
    ['EP', end],
    ['DO', record.doi ?? ''],
    ['LA', record.language],
    ['AB', record.abstract.map(({ label, text }) => (label === null ? text : `${label}: ${text}`)).join(' ')],
    ...record.keywords.map((keyword): [string, string] => ['KW', keyword]),
    ...record.headings.map(({ label, subheadings }): [string, string] => [
      'KW',
      [label, ...subheadings].join(' / '),
    ]),
    ['AN', record.accession],
  ];
  const body = lines
    .map(([tag, value]): [string, string] => [tag, value.replace(/\s+/g, ' ').trim()])
    .filter(([, value]) => value !== '')
    // A line break inside a value would let text pass as a tag, so all white space became spaces above.
    .map(([tag, value]) => `${tag}  - ${value}\r\n`)
    .join('');
  return `${body}ER  - \r\n\r\n`;
}
