/** Vocabularies as SKOS in Turtle (W3C Recommendations SKOS Reference, 2009, and RDF 1.1 Turtle, 2014). */
import { DataFactory, Writer, type Quad_Object } from 'n3';
import { FURTHER_PROPERTIES, type FurtherProperty, type Heading, type Vocabulary } from './model.js';

export const RDF_TYPE = 'http://www.w3.org/1999/02/22-rdf-syntax-ns#type';
export const SKOS = 'http://www.w3.org/2004/02/skos/core#';
export const DCT = 'http://purl.org/dc/terms/';
/** A subheading that may qualify a heading; SKOS has no term for it. */
export const ALLOWED_SUBHEADING = 'urn:even-lantern:subheading';

const OWN = 'urn:even-lantern:vocabulary:';

/** The address of a concept that has none of its own, made of its label, so that it is stable. */
export function conceptAddress(vocabulary: string, label: string): string {
  return `${OWN}${vocabulary}:${encodeURIComponent(label)}`;
}

/** An absolute IRI (RFC 3987), without the signs that would end it in Turtle. */
const ABSOLUTE = /^[a-z][a-z0-9+.-]*:[^\s<>"{}|\\^`]+$/i;

export function isAbsolute(address: string): boolean {
  return ABSOLUTE.test(address);
}

/** An address that is to be kept: an absolute IRI that is not made here. Blank nodes have none. */
export function ownAddress(address: string): { address?: string } {
  return !address.startsWith(OWN) && isAbsolute(address) ? { address } : {};
}

/** The addresses of a vocabulary's concepts, by label: their own, or else those that are made of the label. */
export function addressesIn(vocabulary: Vocabulary): (label: string) => string {
  const own = new Map(vocabulary.headings.map(({ label, address }) => [label, address]));
  return (label) => own.get(label) ?? conceptAddress(vocabulary.id, label);
}

function schemeAddress({ id, address }: Vocabulary): string {
  return address ?? OWN + id;
}

/** What stands for the scope note where a heading has none. */
export function insteadOfScopeNote(further: Heading['further']): string {
  return further?.definition?.[0] ?? further?.note?.[0] ?? '';
}

/** Without what only stands for it, which is written as what it is. */
function ownScopeNote({ scopeNote, further }: Heading): string {
  return scopeNote === insteadOfScopeNote(further) ? '' : scopeNote;
}

function furtherOf({ further = {} }: Heading): (readonly [FurtherProperty, readonly string[]])[] {
  return FURTHER_PROPERTIES.map((property) => [property, further[property] ?? []] as const);
}

/** Relations to headings of other vocabularies, which are addresses. */
export function isAddress(property: FurtherProperty): boolean {
  return property === 'exactMatch' || property === 'closeMatch';
}

/** A notation is of no language. */
const isCode = (property: FurtherProperty) => property === 'notation';

/** Writes a vocabulary as Turtle. */
export function vocabularyToTurtle(vocabulary: Vocabulary): Promise<string> {
  const { namedNode, literal } = DataFactory;
  const scheme = namedNode(schemeAddress(vocabulary));
  const addressOf = addressesIn(vocabulary);
  const node = (label: string) => namedNode(addressOf(label));
  const english = (text: string) => literal(text, 'en');
  const writer = new Writer({ prefixes: { skos: SKOS, dct: DCT } });
  writer.addQuad(scheme, namedNode(RDF_TYPE), namedNode(`${SKOS}ConceptScheme`));
  writer.addQuad(scheme, namedNode(`${DCT}identifier`), literal(vocabulary.id));
  writer.addQuad(scheme, namedNode(`${DCT}title`), english(vocabulary.name));
  writer.addQuad(scheme, namedNode(`${DCT}issued`), literal(vocabulary.release));
  for (const heading of vocabulary.headings) {
    const subject = node(heading.label);
    const add = (predicate: string, object: Quad_Object) =>
      writer.addQuad(subject, namedNode(predicate), object);
    add(RDF_TYPE, namedNode(`${SKOS}Concept`));
    add(`${SKOS}inScheme`, scheme);
    add(`${SKOS}prefLabel`, english(heading.label));
    for (const term of heading.entryTerms) add(`${SKOS}altLabel`, english(term));
    const scope = ownScopeNote(heading);
    if (scope !== '') add(`${SKOS}scopeNote`, english(scope));
    if (heading.historyNote !== null) add(`${SKOS}historyNote`, english(heading.historyNote));
    for (const above of heading.broader) add(`${SKOS}broader`, node(above));
    if (heading.broader.length === 0) add(`${SKOS}topConceptOf`, scheme);
    for (const other of heading.related) add(`${SKOS}related`, node(other));
    for (const subheading of heading.subheadings) add(ALLOWED_SUBHEADING, literal(subheading));
    for (const [property, values] of furtherOf(heading)) {
      for (const value of values)
        add(
          SKOS + property,
          isAddress(property) ? namedNode(value) : isCode(property) ? literal(value) : english(value),
        );
    }
  }
  return new Promise((resolve, reject) => {
    writer.end((error: Error | null, text: string) => (error ? reject(error) : resolve(text)));
  });
}

function jsonLdTerm(property: FurtherProperty): object | string {
  const id = `skos:${property}`;
  if (isAddress(property)) return { '@id': id, '@type': '@id' };
  return isCode(property) ? { '@id': id, '@language': null } : id;
}

/** Writes a vocabulary as JSON-LD 1.1 (W3C Recommendation, 2020), with the same addresses as in Turtle. */
export function vocabularyToJsonLd(vocabulary: Vocabulary): string {
  const scheme = schemeAddress(vocabulary);
  const node = addressesIn(vocabulary);
  return JSON.stringify(
    {
      '@context': {
        '@language': 'en',
        skos: SKOS,
        dct: DCT,
        id: '@id',
        type: '@type',
        identifier: { '@id': 'dct:identifier', '@language': null },
        issued: { '@id': 'dct:issued', '@language': null },
        title: 'dct:title',
        inScheme: { '@id': 'skos:inScheme', '@type': '@id' },
        topConceptOf: { '@id': 'skos:topConceptOf', '@type': '@id' },
        prefLabel: 'skos:prefLabel',
        altLabel: 'skos:altLabel',
        scopeNote: 'skos:scopeNote',
        historyNote: 'skos:historyNote',
        broader: { '@id': 'skos:broader', '@type': '@id' },
        related: { '@id': 'skos:related', '@type': '@id' },
        subheading: { '@id': ALLOWED_SUBHEADING, '@language': null },
        ...Object.fromEntries(FURTHER_PROPERTIES.map((property) => [property, jsonLdTerm(property)])),
      },
      '@graph': [
        {
          id: scheme,
          type: 'skos:ConceptScheme',
          identifier: vocabulary.id,
          title: vocabulary.name,
          issued: vocabulary.release,
        },
        ...vocabulary.headings.map((heading) => ({
          id: node(heading.label),
          type: 'skos:Concept',
          inScheme: scheme,
          ...(heading.broader.length === 0 ? { topConceptOf: scheme } : {}),
          prefLabel: heading.label,
          altLabel: heading.entryTerms,
          ...(ownScopeNote(heading) === '' ? {} : { scopeNote: ownScopeNote(heading) }),
          ...(heading.historyNote === null ? {} : { historyNote: heading.historyNote }),
          broader: heading.broader.map(node),
          related: heading.related.map(node),
          subheading: heading.subheadings,
          ...Object.fromEntries(furtherOf(heading).filter(([, values]) => values.length > 0)),
        })),
      ],
    },
    null,
    1,
  );
}
