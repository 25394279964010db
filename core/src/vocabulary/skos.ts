/** Vocabularies as SKOS in Turtle (W3C Recommendations SKOS Reference, 2009, and RDF 1.1 Turtle, 2014). */
import { DataFactory, Writer, type Quad_Object } from 'n3';
import type { Vocabulary } from './model.js';

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

/** An address that is to be kept: an absolute IRI that is not made here. Blank nodes have none. */
export function ownAddress(address: string): { address?: string } {
  return !address.startsWith(OWN) && ABSOLUTE.test(address) ? { address } : {};
}

/** The addresses of a vocabulary's concepts, by label: their own, or else those that are made of the label. */
export function addressesIn(vocabulary: Vocabulary): (label: string) => string {
  const own = new Map(vocabulary.headings.map(({ label, address }) => [label, address]));
  return (label) => own.get(label) ?? conceptAddress(vocabulary.id, label);
}

function schemeAddress({ id, address }: Vocabulary): string {
  return address ?? OWN + id;
}

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
    if (heading.scopeNote !== '') add(`${SKOS}scopeNote`, english(heading.scopeNote));
    if (heading.historyNote !== null) add(`${SKOS}historyNote`, english(heading.historyNote));
    for (const above of heading.broader) add(`${SKOS}broader`, node(above));
    if (heading.broader.length === 0) add(`${SKOS}topConceptOf`, scheme);
    for (const other of heading.related) add(`${SKOS}related`, node(other));
    for (const subheading of heading.subheadings) add(ALLOWED_SUBHEADING, literal(subheading));
  }
  return new Promise((resolve, reject) => {
    writer.end((error: Error | null, text: string) => (error ? reject(error) : resolve(text)));
  });
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
          ...(heading.scopeNote === '' ? {} : { scopeNote: heading.scopeNote }),
          ...(heading.historyNote === null ? {} : { historyNote: heading.historyNote }),
          broader: heading.broader.map(node),
          related: heading.related.map(node),
          subheading: heading.subheadings,
        })),
      ],
    },
    null,
    1,
  );
}
