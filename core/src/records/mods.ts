/** Records as MODS 3.8. Headings are `subject` with `authority`; a central one has `usage="primary"`. */
import type { AbstractSection, BibRecord, HeadingAssignment, PersonName, RelatedRecord } from './model.js';
import { plainDoi } from './formats/doi.js';
import type { RecordSource } from './formats/format.js';
import { pageRange, pagesOf } from './formats/pages.js';
import { childAt, childrenNamed, escapeXml, textAt, type XmlElement } from './xml.js';

export const MODS_NAMESPACE = 'http://www.loc.gov/mods/v3';

/** Fields of limits that MODS has no element for are carried as `note` with this type before the field's name. */
const LIMIT_NOTE = 'limit:';
/** Sections of the full text are notes of this type. */
const FULL_TEXT_NOTE = 'fulltext';
const RELATED_TYPES = { references: 'references', version: 'otherVersion' } as const;

/** @param source the database that it came from, where that is to be told */
export function recordToMods(record: BibRecord, source?: RecordSource): string {
  const element = (name: string, text: string, attributes = '') =>
    text === '' ? '' : `<${name}${attributes}>${escapeXml(text)}</${name}>`;
  const { start: startPage, end: endPage } = pageRange(record.pages);
  return [
    `<mods xmlns="${MODS_NAMESPACE}" version="3.8">`,
    `<titleInfo>${element('title', record.title)}</titleInfo>`,
    ...record.authors.map(
      ({ family, given, corporate }) =>
        `<name type="${corporate === true ? 'corporate' : 'personal'}">${element('namePart', family, corporate === true ? '' : ' type="family"')}${element('namePart', given, ' type="given"')}<role><roleTerm type="text">author</roleTerm></role></name>`,
    ),
    ...record.publicationTypes.map((type) => element('genre', type)),
    record.year === 0
      ? ''
      : `<originInfo><dateIssued encoding="w3cdtf" keyDate="yes">${record.year}</dateIssued></originInfo>`,
    record.language === ''
      ? ''
      : `<language>${element('languageTerm', record.language, ' type="text"')}</language>`,
    ...record.abstract.map(({ label, text }) =>
      element('abstract', text, label === null ? '' : ` displayLabel="${escapeXml(label)}"`),
    ),
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
    `<relatedItem type="host"><titleInfo>${element('title', record.journal)}</titleInfo><part>`,
    record.volume === '' ? '' : `<detail type="volume">${element('number', record.volume)}</detail>`,
    record.issue === '' ? '' : `<detail type="issue">${element('number', record.issue)}</detail>`,
    startPage === ''
      ? ''
      : `<extent unit="page">${element('start', startPage)}${element('end', endPage)}</extent>`,
    `</part></relatedItem>`,
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

/**
 * Reads a MODS element. What is missing becomes empty, the record's identifier too.
 * @returns null where it has neither a title nor an identifier
 */
export function recordFromMods(mods: XmlElement): BibRecord | null {
  const accession = textAt(mods, 'recordInfo', 'recordIdentifier');
  const title = titleOf(mods);
  if (accession === '' && title === '') return null;
  const hosts = childrenNamed(mods, 'relatedItem').filter((item) => item.attributes.type === 'host');
  const [host] = hosts;
  const part = host === undefined ? null : childAt(host, 'part');
  const detail = (type: string) => {
    const found =
      part === null ? [] : childrenNamed(part, 'detail').filter((each) => each.attributes.type === type);
    return found[0] === undefined ? '' : textAt(found[0], 'number');
  };
  const extent = part === null ? null : childAt(part, 'extent');
  const pages = extent === null ? '' : pagesOf(textAt(extent, 'start'), textAt(extent, 'end'));
  const identifiers = childrenNamed(mods, 'identifier');
  const doi = identifiers.find((identifier) => identifier.attributes.type === 'doi')?.text.trim() ?? '';
  return {
    accession,
    title,
    abstract: childrenNamed(mods, 'abstract').map(abstractSection),
    keywords: childrenNamed(mods, 'subject')
      .filter((subject) => subject.attributes.authority === undefined)
      .flatMap((subject) => childrenNamed(subject, 'topic').map((topic) => topic.text.trim())),
    authors: childrenNamed(mods, 'name').map(personName),
    journal: host === undefined ? '' : titleOf(host),
    year: Number(/\d{4}/.exec(textAt(mods, 'originInfo', 'dateIssued'))?.[0] ?? 0),
    volume: detail('volume'),
    issue: detail('issue'),
    pages,
    doi: plainDoi(doi),
    language: textAt(mods, 'language', 'languageTerm'),
    publicationTypes: childrenNamed(mods, 'genre').map((genre) => genre.text.trim()),
    headings: childrenNamed(mods, 'subject').flatMap(headingAssignment),
    limits: limitsOf(mods),
    ...furtherOf(mods),
    entered: textAt(mods, 'recordInfo', 'recordCreationDate') || null,
    changed: textAt(mods, 'recordInfo', 'recordChangeDate') || null,
  };
}

function titleOf(element: XmlElement): string {
  return ['nonSort', 'title', 'subTitle']
    .map((name) => textAt(element, 'titleInfo', name))
    .filter(Boolean)
    .join(' ');
}

function abstractSection(element: XmlElement): AbstractSection {
  return { label: element.attributes.displayLabel ?? null, text: element.text.trim() };
}

function personName(element: XmlElement): PersonName {
  const parts = childrenNamed(element, 'namePart');
  const ofType = (type: string | undefined) =>
    parts
      .filter((part) => part.attributes.type === type)
      .map((part) => part.text.trim())
      .join(' ');
  const name = { family: ofType('family') || ofType(undefined), given: ofType('given') };
  return element.attributes.type === 'corporate' ? { ...name, corporate: true } : name;
}

function headingAssignment(subject: XmlElement): HeadingAssignment[] {
  const vocabulary = subject.attributes.authority;
  const [label, ...subheadings] = childrenNamed(subject, 'topic').map((topic) => topic.text.trim());
  if (vocabulary === undefined || label === undefined) return [];
  return [{ vocabulary, label, central: subject.attributes.usage === 'primary', subheadings }];
}

/** The full text and related records; neither is there where a record has none. */
function furtherOf(mods: XmlElement): Pick<BibRecord, 'fullText' | 'related'> {
  const fullText = childrenNamed(mods, 'note')
    .filter((note) => note.attributes.type === FULL_TEXT_NOTE)
    .map(abstractSection);
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
