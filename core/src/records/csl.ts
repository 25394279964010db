/** Records as CSL-JSON, the input of citation styles (Citation Style Language 1.0.2). */
import type { BibRecord } from './model.js';

export interface CslItem {
  id: string;
  type: 'article-journal';
  title: string;
  author: { family: string; given: string }[];
  issued: { 'date-parts': [[number]] };
  'container-title': string;
  volume?: string;
  issue?: string;
  page?: string;
  DOI?: string;
  abstract?: string;
  keyword?: string;
  language?: string;
}

export function recordsToCsl(records: readonly BibRecord[]): CslItem[] {
  return records.map((record) => ({
    id: record.accession,
    type: 'article-journal',
    title: record.title,
    author: record.authors.map(({ family, given }) => ({ family, given })),
    issued: { 'date-parts': [[record.year]] },
    'container-title': record.journal,
    ...optional('volume', record.volume),
    ...optional('issue', record.issue),
    ...optional('page', record.pages),
    ...optional('DOI', record.doi ?? ''),
    ...optional(
      'abstract',
      record.abstract.map(({ label, text }) => (label ? `${label}: ${text}` : text)).join('\n'),
    ),
    ...optional('keyword', record.keywords.join(', ')),
    ...optional('language', record.language),
  }));
}

function optional<K extends string>(key: K, value: string): Partial<Record<K, string>> {
  return value === '' ? {} : ({ [key]: value } as Record<K, string>);
}
