/** Reading vocabularies that others wrote. What is odd in them is told; the rest is kept. */
import { Parser, type DataFactory, type Quad } from 'n3';
import { textKey } from '../text/index.js';
import { FURTHER_PROPERTIES, type FurtherProperty, type Heading, type Vocabulary } from './model.js';
import {
  ALLOWED_SUBHEADING,
  DCT,
  isAbsolute,
  insteadOfScopeNote,
  isAddress,
  ownAddress,
  RDF_TYPE,
  SKOS,
} from './skos.js';
import { brokenConditions } from './skosConditions.js';

export type SkosResult =
  | {
      ok: true;
      vocabulary: Vocabulary;
      /** what was odd and what was done about it, for people */
      notes: string[];
    }
  | { ok: false; message: string; line: number | null };

/** Languages of labels, the first that a concept has is taken. */
const LANGUAGES = ['en', ''];

/** How many of the odd things are named in a note. */
const NAMED = 3;

/** What is read of one subject; nothing else is kept. */
type Properties = Partial<Record<Property, Value | Value[]>>;

interface Value {
  value: string;
  /** of a text, in small letters; null for what is not a text */
  language: string | null;
}

/** What every RDF parser calls a quad (RDF/JS: Data model specification). */
interface ReadQuad {
  subject: { value: string };
  predicate: { value: string };
  object: { termType: string; value: string; language?: string };
}

/** Takes the statements of a SKOS file one by one, so that none but those of use are held. */
export interface SkosCollector {
  add(quad: ReadQuad): void;
  /** @returns the vocabulary, or what is wrong */
  end(): SkosResult;
}

const PROPERTIES = {
  [RDF_TYPE]: 'type',
  [`${SKOS}prefLabel`]: 'prefLabel',
  [`${SKOS}altLabel`]: 'altLabel',
  [`${SKOS}scopeNote`]: 'scopeNote',
  [`${SKOS}historyNote`]: 'historyNote',
  [`${SKOS}broader`]: 'broader',
  [`${SKOS}narrower`]: 'narrower',
  [`${SKOS}related`]: 'related',
  [ALLOWED_SUBHEADING]: 'subheading',
  [`${DCT}identifier`]: 'identifier',
  [`${DCT}title`]: 'title',
  [`${DCT}issued`]: 'issued',
} as const;
type Property = (typeof PROPERTIES)[keyof typeof PROPERTIES] | FurtherProperty;
const PROPERTY_OF: ReadonlyMap<string, Property> = new Map<string, Property>([
  ...Object.entries(PROPERTIES),
  ...FURTHER_PROPERTIES.map((property) => [SKOS + property, property] as const),
]);

/**
 * Reads a SKOS vocabulary from Turtle. Relations to concepts that are not in the file are left out.
 * @returns the vocabulary, or what is wrong and in which line
 */
export function vocabularyFromTurtle(turtle: string): SkosResult {
  const collector = skosCollector();
  const failed: Error[] = [];
  new Parser<Quad>({ format: 'text/turtle', factory: TURTLE_TERMS }).parse(
    atOnce(turtle),
    // Its types say that there is a quad or an error each time; at the end there is neither.
    (error: Error | null, quad: Quad | null) => {
      if (error !== null) failed.push(error);
      else if (quad !== null) collector.add(quad);
    },
  );
  const [first] = failed;
  return first === undefined ? collector.end() : notTurtle(first);
}

/**
 * Terms with no more than is read of them. Those of the parser put each text together with its language and take it
 * apart again whenever it is asked for, which makes up a good part of the time for a great vocabulary.
 */
export const TURTLE_TERMS = {
  namedNode: (value: string) => ({ termType: 'NamedNode', value }),
  blankNode: (name?: string) => ({ termType: 'BlankNode', value: name ?? '' }),
  literal: (value: string, language?: unknown) => ({
    termType: 'Literal',
    value,
    language: typeof language === 'string' ? language : '',
  }),
  variable: (value: string) => ({ termType: 'Variable', value }),
  defaultGraph: () => ({ termType: 'DefaultGraph', value: '' }),
  quad: (subject: unknown, predicate: unknown, object: unknown) => ({ subject, predicate, object }),
} as unknown as typeof DataFactory;

/** What is wrong with a file that should be Turtle, from the parser's error. */
export function notTurtle(error: Error): SkosResult {
  const line = /on line (\d+)/.exec(error.message)?.[1];
  return {
    ok: false,
    message: `This is not Turtle: ${error.message}`,
    line: line === undefined ? null : Number(line),
  };
}

/** A text as the stream that the parser reads statement by statement; all of it comes while it is being opened. */
function atOnce(text: string) {
  let onData: ((chunk: string) => void) | null = null;
  return {
    on(event: string, listener: (chunk: string) => void) {
      if (event === 'data') onData = listener;
      if (event === 'end') {
        onData?.(text);
        listener('');
      }
    },
  } as unknown as Parameters<Parser['parse']>[0];
}

export function skosCollector(): SkosCollector {
  const subjects = new Map<string, Properties>();
  // Statements of one subject stand together in most files.
  let last = '';
  let properties: Properties = {};
  return {
    add({ subject, predicate, object }) {
      const property = PROPERTY_OF.get(predicate.value);
      if (property === undefined) return;
      if (subject.value !== last || subjects.size === 0) {
        last = subject.value;
        properties = getOrAdd(subjects, last, (): Properties => ({}));
      }
      const language = object.termType === 'Literal' ? (object.language ?? '').toLowerCase() : null;
      const value = { value: object.value, language };
      const values = properties[property];
      // Most have one value, and great files have very many subjects.
      if (values === undefined) properties[property] = value;
      else if (Array.isArray(values)) values.push(value);
      else properties[property] = [values, value];
    },
    end: () => vocabularyFrom(subjects),
  };
}

function vocabularyFrom(subjects: ReadonlyMap<string, Properties>): SkosResult {
  const notes: string[] = [];
  const ofType = (type: string) =>
    [...subjects].filter(([, properties]) =>
      all(properties.type).some(({ value }) => value === `${SKOS}${type}`),
    );
  const concepts = ofType('Concept');
  const labels = labelsOf(concepts, notes);
  if (labels.size === 0) {
    const message =
      concepts.length === 0
        ? 'There is no skos:Concept in this file.'
        : 'None of the concepts in this file has a skos:prefLabel.';
    return { ok: false, message, line: null };
  }
  const broader = broaderOf(concepts, labels, notes);
  const headings = concepts.flatMap(([address, properties]): Heading[] => {
    const label = labels.get(address);
    if (label === undefined) return [];
    const further = furtherIn(properties);
    const related = all(properties.related).flatMap(({ value }) => labels.get(value) ?? []);
    return [
      {
        label,
        entryTerms: namesIn(properties.altLabel),
        // Many vocabularies define where others note the scope.
        scopeNote: namesIn(properties.scopeNote)[0] ?? insteadOfScopeNote(further),
        broader: [...(broader.get(address) ?? [])].flatMap((above) => labels.get(above) ?? []),
        related: [...new Set(related)],
        historyNote: namesIn(properties.historyNote)[0] ?? null,
        subheadings: all(properties.subheading).map(({ value }) => value),
        ...ownAddress(address),
        ...(further === undefined ? {} : { further }),
      },
    ];
  });
  noteCircles(headings, notes);
  noteBreaches(headings, concepts, notes);
  const [scheme, ...otherSchemes] = ofType('ConceptScheme');
  if (otherSchemes.length > 0) {
    notes.push(
      `The file has ${otherSchemes.length + 1} concept schemes; all concepts are taken as one vocabulary, named after the first: ${some(otherSchemes.map(([address]) => address))}.`,
    );
  }
  const first = (name: 'identifier' | 'issued') => all(scheme?.[1][name])[0]?.value;
  const id = first('identifier') ?? scheme?.[0] ?? '';
  const vocabulary = {
    id,
    name: namesIn(scheme?.[1].title)[0] ?? id,
    release: first('issued') ?? '',
    headings,
    ...ownAddress(scheme?.[0] ?? ''),
  };
  return { ok: true, vocabulary, notes };
}

/** Nothing where there is nothing, since there are very many headings. */
function furtherIn(properties: Properties): Heading['further'] {
  let further: Heading['further'];
  for (const property of FURTHER_PROPERTIES) {
    const values = properties[property];
    if (values === undefined) continue;
    const read = isAddress(property)
      ? all(values)
          .map(({ value }) => value)
          .filter(isAbsolute)
      : property === 'notation'
        ? all(values).map(({ value }) => value)
        : namesIn(values);
    if (read.length > 0) (further ??= {})[property] = read;
  }
  return further;
}

/** A label for each concept that has one; labels are made unique, since queries name headings by them. */
function labelsOf(
  concepts: readonly (readonly [string, Properties])[],
  notes: string[],
): Map<string, string> {
  const labels = new Map<string, string>();
  const taken = new Set<string>();
  const unlabelled: string[] = [];
  const doubled: string[] = [];
  for (const [address, properties] of concepts) {
    const [label] = namesIn(properties.prefLabel);
    let key = label === undefined ? '' : textKey(label);
    if (label === undefined || key === '') {
      unlabelled.push(address);
      continue;
    }
    let unique = label;
    for (let i = 2; taken.has(key); i += 1) {
      unique = `${label} (${i})`;
      key = textKey(unique);
    }
    if (unique !== label) doubled.push(label);
    taken.add(key);
    labels.set(address, unique);
  }
  if (unlabelled.length > 0) {
    notes.push(
      `${count(unlabelled.length, 'concept has no label and is', 'concepts have no label and are')} left out: ${some(unlabelled)}.`,
    );
  }
  if (doubled.length > 0) {
    notes.push(
      `${count(doubled.length, 'label stands', 'labels stand')} for more than one concept; the later ones got a number: ${some(doubled)}.`,
    );
  }
  return labels;
}

/** The concepts above each, from `broader` and, the other way round, from `narrower`. */
function broaderOf(
  concepts: readonly (readonly [string, Properties])[],
  labels: ReadonlyMap<string, string>,
  notes: string[],
): Map<string, Set<string>> {
  const broader = new Map<string, Set<string>>();
  const unknown = new Set<string>();
  const add = (below: string, above: string) => {
    if (!labels.has(above)) unknown.add(above);
    else if (!labels.has(below)) unknown.add(below);
    else if (above !== below) getOrAdd(broader, below, () => new Set<string>()).add(above);
  };
  for (const [address, properties] of concepts) {
    for (const { value } of all(properties.broader)) add(address, value);
    for (const { value } of all(properties.narrower)) add(value, address);
  }
  if (unknown.size > 0) {
    notes.push(
      `Relations to ${count(unknown.size, 'concept', 'concepts')} without a label in this file are left out: ${some([...unknown])}.`,
    );
  }
  return broader;
}

/** The texts of the first language that there are any of. */
function namesIn(terms: Value | Value[] | undefined): string[] {
  if (terms === undefined) return [];
  if (!Array.isArray(terms)) return [terms.value.trim()];
  const preferred = LANGUAGES.find((language) => terms.some((term) => isIn(term, language)));
  const other = terms[0]?.language;
  return terms
    .filter((term) => (preferred === undefined ? term.language === other : isIn(term, preferred)))
    .map(({ value }) => value.trim());
}

/** Whether a text is in a language, in any of its regions. */
function isIn({ language }: Value, code: string): boolean {
  if (language === null || language === '' || code === '') return (language ?? '') === code;
  return language.startsWith(code) && (language.length === code.length || language[code.length] === '-');
}

/** Breaches of the integrity conditions of SKOS are kept as they are; whoever owns the file may want to mend them. */
function noteBreaches(
  headings: readonly Heading[],
  concepts: readonly (readonly [string, Properties])[],
  notes: string[],
): void {
  const several = concepts.flatMap(([, { prefLabel }]) => {
    const languages = all(prefLabel).map(({ language }) => language);
    return new Set(languages).size < languages.length ? (all(prefLabel)[0]?.value ?? []) : [];
  });
  if (several.length > 0) {
    notes.push(
      `${count(several.length, 'concept has', 'concepts have')} several preferred labels in one language (SKOS S14); the first is taken: ${some(several)}.`,
    );
  }
  const { namedTwice, relatedAndAbove, complete } = brokenConditions(headings);
  if (namedTwice.length > 0) {
    notes.push(
      `${count(namedTwice.length, 'heading has', 'headings have')} one name as preferred label and as another (SKOS S13): ${some(namedTwice)}.`,
    );
  }
  if (relatedAndAbove.length > 0) {
    const pairs = relatedAndAbove.map(([one, other]) => `${one} – ${other}`);
    const rest = complete ? '' : ' Not all pairs were looked at, since there are very many.';
    notes.push(
      `${count(pairs.length, 'pair of headings is', 'pairs of headings are')} related although one lies below the other (SKOS S27): ${some(pairs)}.${rest}`,
    );
  }
}

/** Headings that lie below themselves are kept, since every walk goes round once; but somebody should know. */
function noteCircles(headings: readonly Heading[], notes: string[]): void {
  const placeOf = new Map(headings.map(({ label }, place) => [label, place]));
  const state = new Uint8Array(headings.length);
  const [open, done] = [1, 2];
  const circles: string[] = [];
  const path: number[] = [];
  /** how many of the headings above were gone to from each on the path */
  const gone: number[] = [];
  const enter = (place: number) => {
    state[place] = open;
    path.push(place);
    gone.push(0);
  };
  for (let start = 0; start < headings.length; start += 1) {
    if (state[start] === 0) enter(start);
    for (let at = path.at(-1); at !== undefined; at = path.at(-1)) {
      const next = gone.pop() ?? 0;
      const above = headings[at]?.broader[next];
      if (above === undefined) {
        state[at] = done;
        path.pop();
        continue;
      }
      gone.push(next + 1);
      const place = placeOf.get(above);
      if (place === undefined) continue;
      if (state[place] === open) circles.push(above);
      else if (state[place] !== done) enter(place);
    }
  }
  if (circles.length > 0) {
    notes.push(
      `${count(circles.length, 'heading lies below itself', 'headings lie below themselves')}: ${some(circles)}.`,
    );
  }
}

function count(number: number, one: string, several: string): string {
  return `${number} ${number === 1 ? one : several}`;
}

function some(names: readonly string[]): string {
  const shown = names.slice(0, NAMED).map((name) => `“${name}”`);
  return shown.join(', ') + (names.length > NAMED ? ' …' : '');
}

function all(values: Value | Value[] | undefined): readonly Value[] {
  return values === undefined ? [] : Array.isArray(values) ? values : [values];
}

function getOrAdd<Key, Value>(map: Map<Key, Value>, key: Key, make: () => Value): Value {
  let value = map.get(key);
  if (value === undefined) map.set(key, (value = make()));
  return value;
}
