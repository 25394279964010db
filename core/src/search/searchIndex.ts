/** The index over records: zones of positions for text, and document sets for headings and limits. */
import type { TextField } from '../query/index.js';
import { forEachSection, type BibRecord, type HeadingAssignment } from '../records/index.js';
import { textKey } from '../text/index.js';
import { setOfSorted, type DocSet } from './docSet.js';
import { SortingRoom } from './postingBlocks.js';
import { ZoneBuilder, type Zone } from './zone.js';

export type ZoneName = 'text' | 'headings' | 'author' | 'journal' | 'fulltext';

export const ZONE_OF: Readonly<Record<TextField, ZoneName>> = {
  title: 'text',
  abstract: 'text',
  keywords: 'text',
  headings: 'headings',
  author: 'author',
  journal: 'journal',
  fulltext: 'fulltext',
};

/** The bit of each field in the masks of its zone. */
export const FIELD_MASK: Readonly<Record<TextField, number>> = {
  title: 1,
  abstract: 2,
  keywords: 4,
  headings: 1,
  author: 1,
  journal: 1,
  fulltext: 1,
};

const ZONE_FIELDS: Readonly<Record<ZoneName, readonly TextField[]>> = {
  text: ['title', 'abstract', 'keywords'],
  headings: ['headings'],
  author: ['author'],
  journal: ['journal'],
  fulltext: ['fulltext'],
};

const ZONE_NAMES = Object.keys(ZONE_FIELDS) as ZoneName[];

/** Documents with a heading, all of them and those where it is central. */
export interface HeadingPostings {
  any: DocSet;
  central: DocSet;
}

/** An immutable index over the records it was built from; document n is the nth record. */
export interface SearchIndex {
  size: number;
  zones: Readonly<Record<ZoneName, Zone>>;
  /** where abstract and keywords begin among the positions of zone `text`, per document */
  abstractStarts: Uint32Array;
  keywordStarts: Uint32Array;
  /** words per field of zone `text`, per document (title, abstract, keywords in turn), for ranking */
  lengths: Uint16Array;
  meanLengths: readonly [number, number, number];
  /** by `headingKey` */
  headings: ReadonlyMap<string, HeadingPostings>;
  years: Int16Array;
  /** by field, then by value as `textKey` */
  limits: ReadonlyMap<string, ReadonlyMap<string, DocSet>>;
}

/** The key of a heading, or of a heading with one subheading. Labels match as words do. */
export function headingKey(vocabulary: string, label: string, subheading?: string): string {
  const key = `${vocabulary}\n${textKey(label)}`;
  return subheading === undefined ? key : `${key}\n${textKey(subheading)}`;
}

interface Lists {
  any: number[];
  central: number[];
}

/** A heading as it is spelled. */
interface Spelling {
  vocabulary: string;
  lists: Lists;
  withSubheading: Map<string, Lists>;
  /** spelled the same in another vocabulary */
  other: Spelling | undefined;
}

/** Documents by heading while the index is built; remembers the key of each spelling, since making one costs most. */
class HeadingLists {
  readonly byKey = new Map<string, Lists>();
  private readonly bySpelling = new Map<string, Spelling>();

  add({ vocabulary, label, subheadings, central }: HeadingAssignment, doc: number): void {
    let found = this.bySpelling.get(label);
    while (found !== undefined && found.vocabulary !== vocabulary) found = found.other;
    found ??= this.addSpelling(vocabulary, label);
    addTo(found.lists, central, doc);
    for (const subheading of subheadings) {
      let lists = found.withSubheading.get(subheading);
      if (lists === undefined) {
        lists = this.listsOf(headingKey(vocabulary, label, subheading));
        found.withSubheading.set(subheading, lists);
      }
      addTo(lists, central, doc);
    }
  }

  private addSpelling(vocabulary: string, label: string): Spelling {
    const lists = this.listsOf(headingKey(vocabulary, label));
    const spelling = { vocabulary, lists, withSubheading: new Map(), other: this.bySpelling.get(label) };
    this.bySpelling.set(label, spelling);
    return spelling;
  }

  private listsOf(key: string): Lists {
    return getOrAdd(this.byKey, key, () => ({ any: [], central: [] }));
  }
}

function addTo({ any, central: onlyCentral }: Lists, central: boolean, doc: number): void {
  pushOnce(any, doc);
  if (central) pushOnce(onlyCentral, doc);
}

const newField = () => ({ byKey: new Map<string, number[]>(), bySpelling: new Map<string, number[]>() });

/** Documents by limit while the index is built; remembers the key of each spelling too. */
class LimitLists {
  readonly fields = new Map<string, ReturnType<typeof newField>>();

  add(field: string, values: readonly string[], doc: number): void {
    const { byKey, bySpelling } = getOrAdd(this.fields, field, newField);
    for (const value of values) {
      let docs = bySpelling.get(value);
      if (docs === undefined) {
        docs = getOrAdd(byKey, textKey(value), () => []);
        bySpelling.set(value, docs);
      }
      pushOnce(docs, doc);
    }
  }
}

/** Builds the index. Time grows with the length of the texts; about 100,000 records in five seconds. */
export function buildIndex(records: Iterable<BibRecord>): SearchIndex {
  const room = new SortingRoom();
  const builders = Object.fromEntries(ZONE_NAMES.map((name) => [name, new ZoneBuilder(room)])) as Record<
    ZoneName,
    ZoneBuilder
  >;
  const abstractStarts: number[] = [];
  const keywordStarts: number[] = [];
  const lengths: number[] = [];
  const years: number[] = [];
  const headings = new HeadingLists();
  const limits = new LimitLists();
  let doc = 0;
  let builder = builders.text;
  let mask = 0;
  let length = 0;
  const addSection = (section: string) => {
    length += builder.add(section, mask);
  };

  for (const record of records) {
    for (const name of ZONE_NAMES) {
      builder = builders[name];
      for (const field of ZONE_FIELDS[name]) {
        if (field === 'abstract') abstractStarts.push(builder.position);
        if (field === 'keywords') keywordStarts.push(builder.position);
        length = 0;
        mask = FIELD_MASK[field];
        forEachSection(record, field, addSection);
        if (name === 'text') lengths.push(Math.min(length, 65535));
      }
      builder.endDocument();
    }
    for (const heading of record.headings) headings.add(heading, doc);
    years.push(record.year);
    limits.add('language', [record.language], doc);
    limits.add('publicationType', record.publicationTypes, doc);
    for (const field of Object.keys(record.limits)) limits.add(field, record.limits[field] ?? [], doc);
    doc += 1;
  }

  const size = doc;
  const setOf = (docs: number[]) => setOfSorted(Uint32Array.from(docs), size);
  return {
    size,
    zones: Object.fromEntries(ZONE_NAMES.map((name) => [name, builders[name].finish()])) as Record<
      ZoneName,
      Zone
    >,
    abstractStarts: Uint32Array.from(abstractStarts),
    keywordStarts: Uint32Array.from(keywordStarts),
    lengths: Uint16Array.from(lengths),
    meanLengths: meanLengths(lengths, size),
    headings: new Map(
      [...headings.byKey].map(([key, entry]) => [
        key,
        { any: setOf(entry.any), central: setOf(entry.central) },
      ]),
    ),
    years: Int16Array.from(years),
    limits: new Map(
      [...limits.fields].map(([field, { byKey }]) => [
        field,
        new Map([...byKey].map(([value, docs]) => [value, setOf(docs)])),
      ]),
    ),
  };
}

/** Bytes that the index takes beyond the records' texts: typed arrays, and the words at two bytes a letter. */
export function indexBytes(index: SearchIndex): number {
  const setBytes = (set: DocSet) => (set.sorted?.byteLength ?? 0) + (set.bits?.byteLength ?? 0);
  let bytes = index.abstractStarts.byteLength * 2 + index.lengths.byteLength + index.years.byteLength;
  for (const zone of Object.values(index.zones)) {
    bytes += zone.documents.byteLength + zone.positions.byteLength + zone.documentCounts.byteLength;
    bytes += zone.documentStarts.byteLength + zone.positionStarts.byteLength;
    bytes += zone.frequentSlots.byteLength + zone.frequentBits.byteLength;
    const { slots, keys, starts, documents } = zone.pairs;
    bytes += slots.byteLength + keys.byteLength + starts.byteLength + documents.byteLength;
    for (const word of zone.words) bytes += 16 + word.length * 2;
  }
  for (const [key, { any, central }] of index.headings)
    bytes += setBytes(any) + setBytes(central) + key.length * 2;
  for (const byValue of index.limits.values()) for (const set of byValue.values()) bytes += setBytes(set);
  return bytes;
}

function meanLengths(lengths: readonly number[], size: number): [number, number, number] {
  const sums: [number, number, number] = [0, 0, 0];
  lengths.forEach((length, i) => {
    const field = (i % 3) as 0 | 1 | 2;
    sums[field] += length;
  });
  const mean = (sum: number) => (size === 0 ? 1 : Math.max(sum / size, 1));
  return [mean(sums[0]), mean(sums[1]), mean(sums[2])];
}

function getOrAdd<Key, Value>(map: Map<Key, Value>, key: Key, make: () => Value): Value {
  let value = map.get(key);
  if (value === undefined) map.set(key, (value = make()));
  return value;
}

function pushOnce(docs: number[], doc: number): void {
  if (docs.length === 0 || docs[docs.length - 1] !== doc) docs.push(doc);
}
