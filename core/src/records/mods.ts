/** Records as MODS 3.8. Headings are `subject` with `authority`; a central one has `usage="primary"`. */
import type { AbstractSection, BibRecord, HeadingAssignment, PersonName, RelatedRecord } from './model.js';
import { plainDoi } from './formats/doi.js';
import type { RecordSource } from './formats/format.js';
import { languageCode, languageName } from './formats/languages.js';
import { nameOf } from './formats/names.js';
import { genreOf, isInBook, typeOfGenre } from './formats/types.js';
import type { TellLeftOut } from './leftOut.js';
import { pageRange, pagesOf } from './formats/pages.js';
import { childAt, childrenNamed, escapeXml, textAt, type XmlElement } from './xml.js';

export const MODS_NAMESPACE = 'http://www.loc.gov/mods/v3';

/** Fields of limits that MODS has no element for are carried as `note` with this type before the field's name. */
const LIMIT_NOTE = 'limit:';
/** An abstract of this type has a section in each line. */
const SECTIONED = 'sections';
/** Genre terms of a known list, apart from the database's own publication types. */
const CLASS = ' authority="marcgt"';
/** Roles of those who wrote it, by their terms and by the codes of MARC. */
const WROTE = /^(aut|author|cre|creator|dis|dissertant|ctb|contributor)$/i;
/** Sections of the full text are notes of this type. */
const FULL_TEXT_NOTE = 'fulltext';
const RELATED_TYPES = { references: 'references', version: 'otherVersion' } as const;

/** @param source the database that it came from, where that is to be told */
export function recordToMods(record: BibRecord, source?: RecordSource): string {
  return [
    `<mods xmlns="${MODS_NAMESPACE}" version="3.8">`,
    `<titleInfo>${element('title', record.title)}</titleInfo>`,
    ...record.authors.map(
      ({ family, given, corporate }) =>
        `<name type="${corporate === true ? 'corporate' : 'personal'}">${element('namePart', family, corporate === true ? '' : ' type="family"')}${element('namePart', given, ' type="given"')}<role><roleTerm type="text">author</roleTerm></role></name>`,
    ),
    // Other programs tell an article from a chapter by this, and by what is told of the host.
    element('typeOfResource', 'text'),
    element('genre', genreOf(record), CLASS),
    ...record.publicationTypes.map((type) => element('genre', type)),
    record.year === 0
      ? ''
      : `<originInfo><dateIssued encoding="w3cdtf" keyDate="yes">${record.year}</dateIssued></originInfo>`,
    record.language === ''
      ? ''
      : `<language>${element('languageTerm', record.language, ' type="text"')}${element('languageTerm', languageCode(record.language) ?? '', ' type="code" authority="rfc5646"')}</language>`,
    abstractToMods(record.abstract),
    ...record.keywords.map((keyword) => `<subject>${element('topic', keyword)}</subject>`),
    ...record.headings.map(
      ({ vocabulary, label, central, subheadings }) =>
        `<subject authority="${escapeXml(vocabulary)}"${central ? ' usage="primary"' : ''}>${[
          label,
          ...subheadings,
        ]
          .map((topic) => element('topic', topic))
          .join('')}</subject>`,
    ),
    ...Object.entries(record.limits).flatMap(([field, values]) =>
      values.map((value) => element('note', value, ` type="${LIMIT_NOTE}${escapeXml(field)}"`)),
    ),
    ...(record.fullText ?? []).map(({ label, text }) => {
      const labelled = label === null ? '' : ` displayLabel="${escapeXml(label)}"`;
      return element('note', text, ` type="${FULL_TEXT_NOTE}"${labelled}`);
    }),
    ...(record.related ?? []).map(
      ({ relation, accession, title }) =>
        `<relatedItem type="${RELATED_TYPES[relation]}"><titleInfo>${element('title', title)}</titleInfo><recordInfo>${element('recordIdentifier', accession)}</recordInfo></relatedItem>`,
    ),
    hostToMods(record),
    record.doi === null ? '' : element('identifier', record.doi, ' type="doi"'),
    '<recordInfo>',
    element('recordContentSource', source?.name ?? ''),
    element(
      'recordIdentifier',
      record.accession,
      source === undefined ? '' : ` source="${escapeXml(source.database)}"`,
    ),
    element('recordCreationDate', record.entered ?? '', ' encoding="w3cdtf"'),
    element('recordChangeDate', record.changed ?? '', ' encoding="w3cdtf"'),
    '</recordInfo></mods>',
  ].join('');
}

function element(name: string, text: string, attributes = ''): string {
  return text === '' ? '' : `<${name}${attributes}>${escapeXml(text)}</${name}>`;
}

/**
 * One element, since other programs keep one of several: each section in a line of its own, after its label. Sections
 * that could not be told apart again stand in elements of their own.
 */
function abstractToMods(sections: readonly AbstractSection[]): string {
  const lines = sections.map(({ label, text }) => (label === null ? text : `${label}: ${text}`)).join('\n');
  const again = sectionsOfLines(lines);
  const kept =
    again.length === sections.length &&
    again.every(({ label, text }, i) => label === sections[i]?.label && text === sections[i].text);
  if (kept && sections.length > 1) return element('abstract', lines, ` type="${SECTIONED}"`);
  return sections
    .map(({ label, text }) =>
      element('abstract', text, label === null ? '' : ` displayLabel="${escapeXml(label)}"`),
    )
    .join('');
}

function sectionsOfLines(text: string): AbstractSection[] {
  return text.split('\n').map((line) => {
    const colon = line.indexOf(': ');
    return colon < 0
      ? { label: null, text: line.trim() }
      : { label: line.slice(0, colon).trim(), text: line.slice(colon + 2).trim() };
  });
}

/** What the record appeared in: a book for a chapter, else something that goes on. */
function hostToMods(record: BibRecord): string {
  const { start, end } = pageRange(record.pages);
  const detail = (type: string, number: string) =>
    number === '' ? '' : `<detail type="${type}">${element('number', number)}</detail>`;
  const part = [
    detail('volume', record.volume),
    detail('issue', record.issue),
    start === '' ? '' : `<extent unit="page">${element('start', start)}${element('end', end)}</extent>`,
  ].join('');
  if (record.journal === '' && part === '') return '';
  const inBook = isInBook(record);
  return [
    '<relatedItem type="host">',
    record.journal === '' ? '' : `<titleInfo>${element('title', record.journal)}</titleInfo>`,
    element('genre', inBook ? 'book' : 'periodical', CLASS),
    `<originInfo>${element('issuance', inBook ? 'monographic' : 'continuing')}</originInfo>`,
    part === '' ? '' : `<part>${part}</part>`,
    '</relatedItem>',
  ].join('');
}

/**
 * Reads a MODS element. What is missing becomes empty, the record's identifier too.
 * @param tell is told what records here have no place for
 * @returns null where it has neither a title nor an identifier
 */
export function recordFromMods(mods: XmlElement, tell: TellLeftOut = () => undefined): BibRecord | null {
  const accession = textAt(mods, 'recordInfo', 'recordIdentifier');
  const title = titleOf(mods);
  if (accession === '' && title === '') return null;
  const names = childrenNamed(mods, 'name');
  tell('editors and others who did not write it', names.filter((name) => !isAuthor(name)).length);
  tell('further titles', Math.max(0, childrenNamed(mods, 'titleInfo').length - 1));
  const hosts = childrenNamed(mods, 'relatedItem').filter((item) => item.attributes.type === 'host');
  tell('further hosts', Math.max(0, hosts.length - 1));
  const [host] = hosts;
  const identifiers = childrenNamed(mods, 'identifier');
  const doi = identifiers.find(({ attributes }) => attributes.type?.toLowerCase() === 'doi')?.text ?? '';
  return {
    accession,
    title,
    abstract: childrenNamed(mods, 'abstract').flatMap(abstractSections),
    keywords: childrenNamed(mods, 'subject')
      .filter((subject) => subject.attributes.authority === undefined)
      .flatMap(topicsOf),
    authors: names.filter(isAuthor).map(personName),
    journal: host === undefined ? '' : titleOf(host),
    year: yearOf(mods) || (host === undefined ? 0 : yearOf(host)),
    ...partOf(mods, host),
    doi: plainDoi(doi),
    language: languageOf(mods),
    publicationTypes: publicationTypesOf(mods),
    headings: childrenNamed(mods, 'subject').flatMap(headingAssignment),
    limits: limitsOf(mods),
    ...furtherOf(mods),
    entered: textAt(mods, 'recordInfo', 'recordCreationDate') || null,
    changed: textAt(mods, 'recordInfo', 'recordChangeDate') || null,
  };
}

/** The title itself; one that is abbreviated, translated or alternative has a type. */
function titleOf(element: XmlElement): string {
  const titles = childrenNamed(element, 'titleInfo');
  const title = titles.find(({ attributes }) => attributes.type === undefined) ?? titles[0];
  if (title === undefined) return '';
  return ['nonSort', 'title', 'subTitle', 'partNumber', 'partName']
    .map((name) => textAt(title, name))
    .filter(Boolean)
    .join(' ');
}

/** Where one is told at all: of its issue, its making, or the part of what it appeared in. */
function yearOf(element: XmlElement): number {
  const origins = childrenNamed(element, 'originInfo');
  const dates = ['dateIssued', 'copyrightDate', 'dateCreated'].flatMap((name) =>
    origins.flatMap((origin) => childrenNamed(origin, name)),
  );
  const ofParts = childrenNamed(element, 'part').flatMap((part) => childrenNamed(part, 'date'));
  const years = [...dates, ...ofParts].map(({ text }) => /\d{4}/.exec(text)?.[0]);
  return Number(years.find((year) => year !== undefined) ?? 0);
}

/** Volume, issue and pages, from the host or, where it has none, from the record itself. */
function partOf(
  mods: XmlElement,
  host: XmlElement | undefined,
): Pick<BibRecord, 'volume' | 'issue' | 'pages'> {
  const part = (host === undefined ? null : childAt(host, 'part')) ?? childAt(mods, 'part');
  if (part === null) return { volume: '', issue: '', pages: '' };
  const detail = (...types: string[]) => {
    const found = childrenNamed(part, 'detail').find(({ attributes }) =>
      types.includes(attributes.type ?? ''),
    );
    return found === undefined ? '' : textAt(found, 'number');
  };
  const extent = childAt(part, 'extent');
  const range = extent === null ? '' : pagesOf(textAt(extent, 'start'), textAt(extent, 'end'));
  const pages = range === '' && extent !== null ? textAt(extent, 'list').replace(/^pp?\.\s*/i, '') : range;
  return { volume: detail('volume'), issue: detail('issue', 'number'), pages };
}

function languageOf(mods: XmlElement): string {
  const terms = childrenNamed(mods, 'language').flatMap((each) => childrenNamed(each, 'languageTerm'));
  const text = terms.find(({ attributes }) => attributes.type !== 'code')?.text.trim();
  return text ?? languageName(terms[0]?.text ?? '');
}

/** Terms of the known list tell what kind of thing it is; they count where the database has no words of its own. */
function publicationTypesOf(mods: XmlElement): string[] {
  const genres = childrenNamed(mods, 'genre');
  const own = genres.filter(({ attributes }) => attributes.authority !== 'marcgt');
  if (own.length > 0) return own.map(({ text }) => text.trim());
  return genres.flatMap(({ text }) => typeOfGenre(text.trim()) ?? []);
}

function abstractSections({ attributes, text }: XmlElement): AbstractSection[] {
  if (attributes.type === SECTIONED) return sectionsOfLines(text.trim());
  return [{ label: attributes.displayLabel ?? null, text: text.trim() }];
}

/** Whether a name is that of an author: told so, or told nothing. */
function isAuthor(name: XmlElement): boolean {
  const roles = childrenNamed(name, 'role').flatMap((role) => childrenNamed(role, 'roleTerm'));
  return roles.length === 0 || roles.some(({ text }) => WROTE.test(text.trim()));
}

function personName(element: XmlElement): PersonName {
  const parts = childrenNamed(element, 'namePart');
  const ofType = (type: string | undefined) =>
    parts
      .filter((part) => part.attributes.type === type)
      .map((part) => part.text.trim())
      .join(' ');
  const whole = ofType(undefined) || textAt(element, 'displayForm');
  if (element.attributes.type === 'corporate') return { family: whole, given: '', corporate: true };
  const family = ofType('family');
  return family === '' ? nameOf(whole) : { family, given: ofType('given') };
}

/** What a subject names: topics, places, times and people. */
function topicsOf(subject: XmlElement): string[] {
  return subject.children
    .map(({ name, text, children }) => (name === 'name' ? (children[0]?.text ?? '') : text).trim())
    .filter((topic) => topic !== '');
}

function headingAssignment(subject: XmlElement): HeadingAssignment[] {
  const vocabulary = subject.attributes.authority;
  const [label, ...subheadings] = topicsOf(subject);
  if (vocabulary === undefined || label === undefined) return [];
  return [{ vocabulary, label, central: subject.attributes.usage === 'primary', subheadings }];
}

/** The full text and related records; neither is there where a record has none. */
function furtherOf(mods: XmlElement): Pick<BibRecord, 'fullText' | 'related'> {
  const fullText = childrenNamed(mods, 'note')
    .filter((note) => note.attributes.type === FULL_TEXT_NOTE)
    .map(({ attributes, text }) => ({ label: attributes.displayLabel ?? null, text: text.trim() }));
  const related = childrenNamed(mods, 'relatedItem').flatMap((item): RelatedRecord[] => {
    const { type } = item.attributes;
    const relation = type === RELATED_TYPES.references ? 'references' : 'version';
    const accession = textAt(item, 'recordInfo', 'recordIdentifier');
    const known = type === RELATED_TYPES.references || type === RELATED_TYPES.version;
    return known && accession !== '' ? [{ relation, accession, title: titleOf(item) }] : [];
  });
  return {
    ...(fullText.length === 0 ? {} : { fullText }),
    ...(related.length === 0 ? {} : { related }),
  };
}

function limitsOf(mods: XmlElement): Record<string, string[]> {
  // A field may have any name, also one that every object knows.
  const limits = new Map<string, string[]>();
  for (const note of childrenNamed(mods, 'note')) {
    const type = note.attributes.type ?? '';
    if (!type.startsWith(LIMIT_NOTE)) continue;
    const field = type.slice(LIMIT_NOTE.length);
    limits.set(field, [...(limits.get(field) ?? []), note.text.trim()]);
  }
  return Object.fromEntries(limits);
}
