/**
 * Records as simple Dublin Core (ISO 15836), in the wrapper that SRU servers use. It has no place for volume, pages or
 * sections, so what is read from it is poorer than MODS.
 */
import { languageName } from './formats/languages.js';
import { nameOf } from './formats/names.js';
import type { TellLeftOut } from './leftOut.js';
import type { BibRecord } from './model.js';
import { emptyRecord } from './model.js';
import { childrenNamed, escapeXml, type XmlElement } from './xml.js';

const WRAPPER = 'info:srw/schema/1/dc-schema';
const ELEMENTS = 'http://purl.org/dc/elements/1.1/';
/** One of these beside a title makes a record of an element that is not named after Dublin Core. */
const FURTHER_ELEMENTS = ['creator', 'identifier', 'date', 'issued', 'description', 'abstract', 'subject'];
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
 * Whether an element is a record of Dublin Core: in a wrapper of the servers that give it, in RDF, or bare with a title
 * among its elements.
 */
export function isDublinCore(element: XmlElement): boolean {
  if (element.name === 'dc' || element.name === 'qualifieddc') return true;
  const among = new Set(element.children.map(({ name }) => name));
  return among.has('title') && FURTHER_ELEMENTS.some((name) => among.has(name));
}

/**
 * Reads a Dublin Core element, of the fifteen or of the terms.
 * @param tell is told what records here have no place for
 * @returns the record, without an accession where no identifier but a DOI is given; null where it has no title
 */
export function recordFromDublinCore(
  element: XmlElement,
  tell: TellLeftOut = () => undefined,
): BibRecord | null {
  const all = (...names: string[]) =>
    names
      .flatMap((name) => childrenNamed(element, name))
      .map(valueOf)
      .filter((text) => text !== '');
  const [title, ...further] = all('title');
  if (title === undefined) return null;
  tell('further titles', all('alternative').length);
  tell('editors and others who did not write it', all('contributor').length);
  tell('publishers', all('publisher').length);
  tell('citations in one text', all('bibliographicCitation').length);
  const { about } = element.attributes;
  const identifiers = [...all('identifier'), ...(about === undefined ? [] : [about])];
  const sections = all('abstract');
  const doi = identifiers.map((each) => DOI.exec(each)?.[1]).find((each) => each !== undefined) ?? null;
  return {
    ...emptyRecord(),
    accession: identifiers.find((each) => !DOI.test(each) && !ofSomethingElse(each)) ?? '',
    title: [title, ...further].join('. '),
    abstract: (sections.length > 0 ? sections : all('description')).map((text) => ({ label: null, text })),
    keywords: all('subject'),
    authors: all('creator').map(nameOf),
    journal: all('isPartOf', 'source')[0] ?? '',
    year: Number(/\b(\d{4})\b/.exec(all('issued', 'date', 'created')[0] ?? '')?.[1] ?? 0),
    doi,
    language: languageName(all('language')[0] ?? ''),
    publicationTypes: all('type'),
  };
}

/** In RDF a value may stand within elements of its own, or be the address of something. */
function valueOf(element: XmlElement): string {
  const text = element.text.trim();
  if (text !== '') return text;
  if (element.attributes.resource !== undefined) return element.attributes.resource;
  return element.children.map(valueOf).filter(Boolean).join('; ');
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
