/**
 * Records as simple Dublin Core (ISO 15836), in the wrapper that SRU servers use. It has no place for volume, pages or
 * sections, so what is read from it is poorer than MODS.
 */
import { nameOf } from './formats/names.js';
import type { BibRecord } from './model.js';
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
    accession: identifiers.find((each) => !DOI.test(each) && !ofSomethingElse(each)) ?? '',
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

/**
 * Whether an identifier is that of a journal or a book rather than of the record: ISSN (ISO 3297) and ISBN (ISO 2108)
 * are shared by all that appeared there.
 */
function ofSomethingElse(identifier: string): boolean {
  const named = /^(?:urn:)?(issn|isbn)\b[\s:]*/i.exec(identifier);
  if (named !== null) return true;
  return isIssn(identifier) || isIsbn(identifier);
}

function isIssn(text: string): boolean {
  const digits = /^(\d{4})-(\d{3}[\dXx])$/.exec(text);
  return digits !== null && weighted(`${digits[1]}${digits[2]}`, (i) => 8 - i) % 11 === 0;
}

function isIsbn(text: string): boolean {
  const digits = text.replace(/[\s-]/g, '');
  if (/^\d{9}[\dXx]$/.test(digits)) return weighted(digits, (i) => 10 - i) % 11 === 0;
  return /^97[89]\d{10}$/.test(digits) && weighted(digits, (i) => (i % 2 === 0 ? 1 : 3)) % 10 === 0;
}

/** The sum of digits, each by its weight; X stands for ten. */
function weighted(digits: string, weight: (i: number) => number): number {
  return [...digits].reduce((sum, digit, i) => sum + weight(i) * (/x/i.test(digit) ? 10 : Number(digit)), 0);
}
