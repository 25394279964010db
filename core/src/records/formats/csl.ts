/** Records as CSL-JSON, the input of citation styles (Citation Style Language 1.0.2). */
import type { BibRecord, PersonName } from '../model.js';
import { plainText, sourcedId, type RecordFormat, type RecordSource } from './format.js';
import { languageCode } from './languages.js';
import { pageRange } from './pages.js';
import { cslTypeOf } from './types.js';

export interface CslItem {
  id: string;
  type: string;
  title: string;
  author?: ({ family: string; given?: string } | { literal: string })[];
  issued?: { 'date-parts': [[number]] };
  'container-title'?: string;
  volume?: string;
  issue?: string;
  page?: string;
  DOI?: string;
  abstract?: string;
  keyword?: string;
  language?: string;
  source?: string;
}

export const CSL_JSON: RecordFormat = {
  id: 'csl-json',
  name: 'CSL-JSON',
  mediaType: 'application/vnd.citationstyles.csl+json; charset=utf-8',
  extension: 'csl.json',
  before: '[',
  between: ',\n',
  after: ']\n',
  write: (record, source) => JSON.stringify(recordToCsl(record, source)),
  read: null,
};

export function recordToCsl(record: BibRecord, source: RecordSource): CslItem {
  const { start, end } = pageRange(record.pages);
  return {
    id: sourcedId(record, source),
    type: cslTypeOf(record),
    title: plainText(record.title),
    ...(record.authors.length === 0 ? {} : { author: record.authors.map(cslName) }),
    ...(record.year === 0 ? {} : { issued: { 'date-parts': [[record.year]] } }),
    ...optional('container-title', record.journal),
    ...optional('volume', record.volume),
    ...optional('issue', record.issue),
    ...optional('page', end === '' ? start : `${start}-${end}`),
    ...optional('DOI', record.doi ?? ''),
    ...optional(
      'abstract',
      record.abstract.map(({ label, text }) => (label ? `${label}: ${text}` : text)).join(' '),
    ),
    ...optional('keyword', record.keywords.join(', ')),
    ...optional('language', languageCode(record.language) ?? record.language),
    ...optional('source', source.name),
  };
}

function cslName({ family, given, corporate }: PersonName) {
  if (corporate === true) return { literal: plainText(family) };
  return { family: plainText(family), ...optional('given', given) };
}

function optional<K extends string>(key: K, value: string): Partial<Record<K, string>> {
  const text = plainText(value);
  return text === '' ? {} : ({ [key]: text } as Record<K, string>);
}
