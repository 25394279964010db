/**
 * Records as simple Dublin Core (ISO 15836), in the wrapper that SRU servers use. It has no place for volume, pages or
 * sections, so what is read from it is poorer than MODS.
 */
import type { BibRecord, PersonName } from './model.js';
import { emptyRecord } from './model.js';
import { childrenNamed, escapeXml, type XmlElement } from './xml.js';

const WRAPPER = 'info:srw/schema/1/dc-schema';
const ELEMENTS = 'http://purl.org/dc/elements/1.1/';
const DOI = /^(?:doi:|https?:\/\/(?:dx\.)?doi\.org\/)?(10\.\d{4,9}\/\S+)$/i;

export function recordToDublinCore(record: BibRecord): string {
  const element = (name: string, text: string) =>
    text === '' ? '' : `<dc:${name}>${escapeXml(text)}</dc:${name}>`;
  return [
    `<srw_dc:dc xmlns:srw_dc="${WRAPPER}" xmlns:dc="${ELEMENTS}">`,
    element('title', record.title),
    ...record.authors.map(({ family, given }) =>
      element('creator', given === '' ? family : `${family}, ${given}`),
    ),
    ...[...record.keywords, ...record.headings.map(({ label }) => label)].map((each) =>
      element('subject', each),
    ),
    ...record.abstract.map(({ label, text }) =>
      element('description', label === null ? text : `${label}: ${text}`),
    ),
    element('source', record.journal),
    element('date', record.year === 0 ? '' : String(record.year)),
    ...record.publicationTypes.map((type) => element('type', type)),
    element('identifier', record.accession),
    element('identifier', record.doi === null ? '' : `doi:${record.doi}`),
    element('language', record.language),
    '</srw_dc:dc>',
  ].join('');
}

/**
 * Reads a Dublin Core element.
 * @returns the record, without an accession where no identifier but a DOI is given; null where it has no title
 */
export function recordFromDublinCore(element: XmlElement): BibRecord | null {
  const all = (name: string) =>
    childrenNamed(element, name)
      .map(({ text }) => text.trim())
      .filter((text) => text !== '');
  const [title, ...alternative] = all('title');
  if (title === undefined) return null;
  const identifiers = all('identifier');
  const doi = identifiers.map((each) => DOI.exec(each)?.[1]).find((each) => each !== undefined) ?? null;
  return {
    ...emptyRecord(),
    accession: identifiers.find((each) => !DOI.test(each)) ?? '',
    title: [title, ...alternative].join('. '),
    abstract: all('description').map((text) => ({ label: null, text })),
    keywords: all('subject'),
    authors: all('creator').map(nameOf),
    journal: all('source')[0] ?? '',
    year: Number(/\b(\d{4})\b/.exec(all('date')[0] ?? '')?.[1] ?? 0),
    doi,
    language: all('language')[0] ?? '',
    publicationTypes: all('type'),
  };
}

/** A name as catalogues write it: the family name, a comma, the given names. */
export function nameOf(text: string): PersonName {
  const comma = text.indexOf(',');
  if (comma < 0) return { family: text.trim(), given: '' };
  return { family: text.slice(0, comma).trim(), given: text.slice(comma + 1).trim() };
}
