/** Makes invented works, and the records of them in one database, from a seed. */
import {
  allNarrower,
  indexVocabulary,
  type BibRecord,
  type HeadingAssignment,
  type Vocabulary,
} from '@even-lantern/core';
import { chance as seededChance, chanceOf, type Chance } from './chance.js';
import type { PeopleAndPlaces, Topic } from './content.js';
import type { Design, OtherDesign, StudyDesign } from './designs.js';
import { asIndexedOn, isoDay } from './releases.js';
import type { StudyTemplate } from './studies.js';
import { tell, type Told } from './writing.js';
import type { Content } from './writtenContent.js';

export type { Content };

export interface GenerateOptions {
  seed: number;
  /** how many records have come in by `until` */
  size: number;
  /** what the database's own numbers of records begin with */
  accession?: string;
  indexing?: Indexing | null;
  /** the last day that counts for `size`, in milliseconds */
  until?: number;
  /** the last day of all: records of later releases come in until then */
  last?: number;
  firstYear?: number;
  designs?: Partial<Record<Design, number>>;
  types?: Readonly<Record<string, readonly string[]>>;
}

/** How a database gives headings to records. */
export interface Indexing {
  vocabulary: Vocabulary;
  /** its headings for one of the vocabulary that topics are written in */
  headingsFor(label: string): readonly string[];
  /** the share of records, the newest, that indexers have not reached at any time */
  awaiting: number;
  /** whether a record tells that it is not indexed yet */
  tellsAwaiting: boolean;
}

/** A record with what its makers know of it. */
export interface WrittenRecord {
  record: BibRecord;
  topic: Topic;
  design: Design;
  /** the headings of the outcomes it tells, in the vocabulary of the topics */
  outcomeHeadings: string[];
}

/** The last day that a record of the release was entered. */
const RELEASE_DAY = Date.UTC(2026, 8, 28);
const FIRST_YEAR = 1994;
/** From then on journals count their volumes as today. */
const MODERN = 1976;
const DAY = 86_400_000;
/** Of a database's size, what comes in with each later release, about. */
const ARRIVING_A_YEAR = 0.07;
/** How many times as often the first topics are written about, so that the demo question has enough to read. */
const EMPHASIS: Readonly<Record<string, number>> = { 'night-light': 3, 'duty-naps': 2, 'oncall-rural': 1.5 };

const DESIGNS: Partial<Record<Design, number>> = {
  'randomised trial': 21,
  'parallel-group randomised trial': 3,
  'cluster-randomised trial': 3,
  'cross-over trial': 6,
  'quasi-experimental study': 7,
  'controlled before-after study': 2,
  'interrupted time series': 2,
  'cohort study': 10,
  'case-control study': 3,
  'cross-sectional study': 11,
  'diagnostic accuracy study': 2,
  'case series': 1,
  'case report': 1,
  'qualitative study': 2,
  'interview study': 3,
  'focus group study': 2,
  ethnography: 1,
  'grounded theory study': 1,
  'phenomenological study': 1,
  'mixed methods study': 2,
  'systematic review': 3,
  'meta-analysis': 2,
  'narrative review': 1,
  'scoping review': 1,
  protocol: 4,
  'economic evaluation': 1,
  opinion: 3,
  guideline: 1,
};

/** The indexing of the database in whose vocabulary the topics are written. */
export function ownIndexing(vocabulary: Vocabulary): Indexing {
  return { vocabulary, headingsFor: (label) => [label], awaiting: 1 / 8, tellsAwaiting: true };
}

/**
 * Makes the records of one database, oldest first, as they are on the last day. The same options and content give the
 * same records.
 */
export function generateRecords(content: Content, options: GenerateOptions): BibRecord[] {
  return asIndexedOn(
    writeRecords(content, options).map(({ record }) => record),
    isoDay(options.until ?? RELEASE_DAY),
  );
}

/** Makes records as `generateRecords` does, all of them indexed, and keeps what is known of them. */
export function writeRecords(
  content: Content,
  {
    seed,
    size,
    accession = 'CMI',
    indexing = ownIndexing(content.vocabulary),
    until = RELEASE_DAY,
    last = until,
    firstYear = FIRST_YEAR,
    designs = DESIGNS,
    types,
  }: GenerateOptions,
): WrittenRecord[] {
  const days = seededChance(seed);
  const weighted = content.topics.map((topic) => [topic, EMPHASIS[topic.id] ?? 1] as const);
  const indexer = indexerOf(content.vocabulary, indexing, Date.UTC(firstYear, 0, 1), until);
  const entered = [...entryDays(size, firstYear, until, days), ...laterDays(size, until, last, days)];
  const titles = new Set<string>();
  return entered.map((day, i): WrittenRecord => {
    // Each has a chance of its own, so that what is mended in one leaves the others as they are.
    const chance = chanceOf(seed, i);
    const topic = chance.weighted(weighted);
    const design = designFor(designs, topic, chance);
    let written = tell(design, topic, content, chance);
    for (let tries = 0; titles.has(written.title) && tries < 20; tries += 1) {
      written = tell(design, topic, content, chance);
    }
    titles.add(written.title);
    const year = new Date(day).getUTCFullYear();
    const outcomeHeadings = written.outcomes.flatMap((outcome) => outcome.headings);
    const journal = chance.pick(journalsFor(subjectOf(written, topic), content.people));
    const volume = year - (year < MODERN ? 1880 : 1975) + (journal.length % 20);
    const firstPage = chance.int(1, 880);
    const number = i + 1;
    const described = {
      accession: accessionNumber(accession, number),
      title: written.title,
      abstract: written.abstract,
      keywords: chance.happens(0.78) ? chance.some(topic.keywords, chance.int(2, topic.keywords.length)) : [],
      authors: authorsOf(content.people, chance),
      journal,
      year,
      volume: String(volume),
      issue: String(chance.int(1, 12)),
      pages: `${firstPage}-${firstPage + chance.int(3, 14)}`,
      doi: chance.happens(0.9)
        ? `10.5555/${initials(journal)}.${year}.${doiEnding(accession, number)}`
        : null,
      language: chance.weighted(content.people.languages),
      publicationTypes: typesOf(design, types, content.studies, chance),
      entered: isoDay(day),
    };
    const indexed = indexer(topic, outcomeHeadings, day, chance);
    const record: BibRecord = {
      ...described,
      ...indexed,
      limits: { ...indexed.limits, ...written.limits },
      ...(written.fullText === undefined ? {} : { fullText: written.fullText }),
    };
    return { record, topic, design, outcomeHeadings };
  });
}

type Indexed = Pick<BibRecord, 'headings' | 'limits' | 'changed'>;

/**
 * What indexers add to a record. They are behind by as much as leaves the given share of records without headings.
 * @param indexing null where a database has no indexers
 */
export function indexerOf(
  topicVocabulary: Vocabulary,
  indexing: Indexing | null,
  first: number,
  until: number,
): (topic: Topic, outcomeHeadings: readonly string[], entered: number, chance: Chance) => Indexed {
  if (indexing === null) return () => ({ headings: [], limits: {}, changed: null });
  const ages = ageGroups(topicVocabulary);
  const subheadings = new Map(
    indexing.vocabulary.headings.map(({ label, subheadings: own }) => [label, own]),
  );
  const state: Record<string, string[]> = indexing.tellsAwaiting ? { indexing: ['indexed'] } : {};
  // Records come in as the square of time, so this is how far back the newest of that share reach.
  const behind = Math.floor(((until - first) * (1 - Math.sqrt(1 - indexing.awaiting))) / DAY) * DAY;
  return (topic, outcomeHeadings, entered, chance) => ({
    headings: assignHeadings(topic, outcomeHeadings, indexing, subheadings, chance),
    limits: { ...state, ageGroup: ages(topic) },
    changed: isoDay(entered + behind),
  });
}

export function accessionNumber(prefix: string, number: number): string {
  return `${prefix}${String(number).padStart(7, '0')}`;
}

/** Unlike in every database, so that no two works share a DOI. */
function doiEnding(accession: string, number: number): string {
  const ending = String(number).padStart(5, '0');
  return accession === 'CMI' ? ending : `${accession.charAt(0).toLowerCase()}${ending}`;
}

/** More records in later years, evenly within a year. */
function entryDays(size: number, firstYear: number, until: number, chance: Chance): number[] {
  const first = Date.UTC(firstYear, 0, 1);
  const span = (until - first) / DAY;
  const days = Array.from(
    { length: size },
    () => first + Math.floor(span * Math.sqrt(chance.real(0, 1))) * DAY,
  );
  return days.sort((a, b) => a - b);
}

function laterDays(size: number, until: number, last: number, chance: Chance): number[] {
  const days = Math.round((last - until) / DAY);
  const count = Math.round((size * ARRIVING_A_YEAR * days) / 365);
  return Array.from({ length: count }, () => until + chance.int(1, days) * DAY).sort((a, b) => a - b);
}

function designFor(
  designs: Partial<Record<Design, number>>,
  topic: Topic,
  chance: Chance,
): StudyDesign | OtherDesign {
  const weighted = Object.entries(designs) as [StudyDesign | OtherDesign, number][];
  for (;;) {
    const design = chance.weighted(weighted);
    if (design !== 'cross-over trial' || topic.crossover) return design;
  }
}

/** Where the database has no names of its own, labels are mostly right; some designs are told in words only. */
export function typesOf(
  design: Design,
  types: Readonly<Record<string, readonly string[]>> | undefined,
  studies: ReadonlyMap<string, Pick<StudyTemplate, 'label'>>,
  chance: Chance,
): string[] {
  if (types !== undefined) return [...(types[design] ?? types.otherwise ?? [])];
  if (design === 'opinion') return ['Editorial'];
  const label = studies.get(design)?.label ?? capitaliseFirst(design);
  if (!chance.happens(LABELLED)) return ['Journal article'];
  return ['Journal article', chance.happens(MISLABELLED) ? (TAKEN_FOR[design] ?? label) : label];
}

/** The shares of records that indexers label with a design, and of those the share that they label wrongly. */
const LABELLED = 0.86;
const MISLABELLED = 0.05;
/** What a design is taken for by those who label it in haste. */
const TAKEN_FOR: Readonly<Record<string, string>> = {
  'quasi-experimental study': 'Randomised trial',
  'controlled before-after study': 'Randomised trial',
  'cohort study': 'Cross-sectional survey',
  'case-control study': 'Cohort study',
  'cross-sectional study': 'Cohort study',
  protocol: 'Randomised trial',
  'mixed methods study': 'Qualitative study',
  'narrative review': 'Systematic review',
  'cluster-randomised trial': 'Quasi-experimental study',
  'interview study': 'Cross-sectional survey',
};

/** Journals that print what a text is about, and those that print anything. */
export function journalsFor(text: string, { journals }: PeopleAndPlaces): string[] {
  return journals
    .filter(({ about }) => about.length === 0 || new RegExp(`\\b(${about.join('|')})`, 'i').test(text))
    .map(({ name }) => name);
}

/** What a study is about, without how it was made. */
function subjectOf({ title, abstract }: Told, { keywords }: Topic): string {
  const begins = abstract.length > 1 ? (abstract[0]?.text ?? '') : '';
  return [title, begins, ...keywords].join(' ');
}

function assignHeadings(
  topic: Topic,
  outcomeHeadings: readonly string[],
  indexing: Indexing,
  subheadings: ReadonlyMap<string, readonly string[]>,
  chance: Chance,
): HeadingAssignment[] {
  const assignments = new Map<string, HeadingAssignment>();
  const assign = (subject: string, central: boolean) => {
    for (const label of indexing.headingsFor(subject)) {
      if (assignments.has(label)) continue;
      const allowed = subheadings.get(label) ?? [];
      assignments.set(label, {
        vocabulary: indexing.vocabulary.id,
        label,
        central,
        subheadings: chance.happens(0.3) ? chance.some(allowed, 1) : [],
      });
    }
  };
  topic.interventionHeadings.forEach((label, i) => {
    if (i === 0 ? chance.happens(0.9) : chance.happens(0.55)) assign(label, i === 0 && chance.happens(0.75));
  });
  topic.peopleHeadings.forEach((label, i) => {
    if (i === 0 ? chance.happens(0.92) : chance.happens(0.7)) assign(label, chance.happens(0.2));
  });
  for (const label of outcomeHeadings) if (chance.happens(0.72)) assign(label, chance.happens(0.3));
  // An indexer finds something to say of every record.
  if (assignments.size === 0) topic.peopleHeadings.slice(0, 1).forEach((label) => assign(label, false));
  return [...assignments.values()];
}

/** The age groups of a topic's people, read off their headings. */
function ageGroups(vocabulary: Vocabulary): (topic: Topic) => string[] {
  const tree = indexVocabulary(vocabulary);
  const below = (label: string) => [
    label,
    ...(allNarrower(tree, label) ?? []).map((heading) => heading.label),
  ];
  const groups: [string, string[]][] = [
    ['newborn', below('Newborn babies')],
    ['child', [...below('Children'), ...below('Teenagers')]],
    ['older adult', below('Older adults')],
  ];
  return (topic) => {
    const found = groups.filter(([, labels]) => topic.peopleHeadings.some((label) => labels.includes(label)));
    return found.length > 0 ? found.map(([group]) => group) : ['adult'];
  };
}

function authorsOf(people: PeopleAndPlaces, chance: Chance): BibRecord['authors'] {
  return chance
    .some(people.families, chance.int(1, 7))
    .map((family) => ({ family, given: chance.pick(people.given) }));
}

function initials(journal: string): string {
  return journal
    .split(' ')
    .filter((word) => /^[A-Z]/.test(word))
    .map((word) => word[0]?.toLowerCase() ?? '')
    .join('');
}

function capitaliseFirst(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
