/** Makes the records of the Corvane Medical Index from a seed. */
import {
  allNarrower,
  indexVocabulary,
  type BibRecord,
  type HeadingAssignment,
  type Vocabulary,
} from '@even-lantern/core';
import { chance as seededChance, type Chance } from './chance.js';
import type { PeopleAndPlaces, Topic } from './content.js';
import { tell, type Design } from './writing.js';

export interface Content {
  vocabulary: Vocabulary;
  topics: readonly Topic[];
  people: PeopleAndPlaces;
}

export interface GenerateOptions {
  seed: number;
  /** how many records */
  size: number;
}

/** The last day that a record of the release was entered. */
const RELEASE_DAY = Date.UTC(2026, 8, 28);
const FIRST_YEAR = 1994;
const DAY = 86_400_000;
/** The share of records, the newest, that indexers have not reached yet. */
const UNINDEXED_SHARE = 1 / 8;
/** How many times as often the first topics are written about, so that the demo question has enough to read. */
const EMPHASIS: Readonly<Record<string, number>> = { 'night-light': 3, 'duty-naps': 2, 'oncall-rural': 1.5 };

const DESIGNS: readonly (readonly [Design, number])[] = [
  ['randomised trial', 27],
  ['cross-over trial', 6],
  ['quasi-experimental study', 11],
  ['cohort study', 13],
  ['cross-sectional survey', 15],
  ['qualitative study', 12],
  ['systematic review', 7],
  ['study protocol', 5],
  ['editorial', 4],
];

/** What indexers add, or that they have not come by yet. */
function limitsOf(indexed: boolean, ageGroup: string[]): BibRecord['limits'] {
  return indexed ? { indexing: ['indexed'], ageGroup } : { indexing: ['not yet indexed'] };
}

/** Makes the records, oldest first. The same options and content give the same records. */
export function generateRecords(content: Content, { seed, size }: GenerateOptions): BibRecord[] {
  const chance = seededChance(seed);
  const weighted = content.topics.map((topic) => [topic, EMPHASIS[topic.id] ?? 1] as const);
  const subheadings = new Map(content.vocabulary.headings.map(({ label, subheadings: own }) => [label, own]));
  const ages = ageGroups(content.vocabulary);
  const entered = Array.from({ length: size }, () => entryDay(chance)).sort((a, b) => a - b);
  const firstUnindexed = size - Math.round(size * UNINDEXED_SHARE);
  const titles = new Set<string>();
  return entered.map((day, i): BibRecord => {
    const topic = chance.weighted(weighted);
    const design = designFor(topic, chance);
    let told = tell(design, topic, chance);
    for (let tries = 0; titles.has(told.title) && tries < 20; tries += 1) told = tell(design, topic, chance);
    titles.add(told.title);
    const year = new Date(day).getUTCFullYear();
    const indexed = i < firstUnindexed;
    const outcomeHeadings = told.outcomes.flatMap((outcome) => outcome.headings);
    const journal = chance.pick(content.people.journals);
    const volume = year - 1975 + (journal.length % 20);
    const firstPage = chance.int(1, 880);
    return {
      accession: `CMI${String(i + 1).padStart(7, '0')}`,
      title: told.title,
      abstract: told.abstract,
      keywords: chance.happens(0.78) ? chance.some(topic.keywords, chance.int(2, topic.keywords.length)) : [],
      authors: authorsOf(content.people, chance),
      journal,
      year,
      volume: String(volume),
      issue: String(chance.int(1, 12)),
      pages: `${firstPage}-${firstPage + chance.int(3, 14)}`,
      doi: chance.happens(0.9)
        ? `10.5555/${initials(journal)}.${year}.${String(i + 1).padStart(5, '0')}`
        : null,
      language: chance.weighted(content.people.languages),
      publicationTypes: publicationTypes(design, chance),
      headings: indexed ? assignHeadings(topic, outcomeHeadings, subheadings, chance) : [],
      limits: limitsOf(indexed, ages(topic)),
      entered: isoDay(day),
      changed: indexed ? isoDay(Math.min(day + chance.int(30, 160) * DAY, RELEASE_DAY)) : null,
    };
  });
}

/** More records in later years, evenly within a year. */
function entryDay(chance: Chance): number {
  const first = Date.UTC(FIRST_YEAR, 0, 1);
  const span = (RELEASE_DAY - first) / DAY;
  return first + Math.floor(span * Math.sqrt(chance.real(0, 1))) * DAY;
}

function designFor(topic: Topic, chance: Chance): Design {
  for (;;) {
    const design = chance.weighted(DESIGNS);
    if (design !== 'cross-over trial' || topic.crossover) return design;
  }
}

/** Labels are mostly right; some designs are told in words only. */
function publicationTypes(design: Design, chance: Chance): string[] {
  if (design === 'editorial') return ['Editorial'];
  return chance.happens(0.86) ? ['Journal article', capitaliseFirst(design)] : ['Journal article'];
}

function assignHeadings(
  topic: Topic,
  outcomeHeadings: readonly string[],
  subheadings: ReadonlyMap<string, readonly string[]>,
  chance: Chance,
): HeadingAssignment[] {
  const assignments = new Map<string, HeadingAssignment>();
  const assign = (label: string, central: boolean) => {
    if (assignments.has(label)) return;
    const allowed = subheadings.get(label) ?? [];
    assignments.set(label, {
      vocabulary: 'corvane-subject-tree',
      label,
      central,
      subheadings: chance.happens(0.3) ? chance.some(allowed, 1) : [],
    });
  };
  topic.interventionHeadings.forEach((label, i) => {
    if (i === 0 ? chance.happens(0.9) : chance.happens(0.55)) assign(label, i === 0 && chance.happens(0.75));
  });
  topic.peopleHeadings.forEach((label, i) => {
    if (i === 0 ? chance.happens(0.92) : chance.happens(0.7)) assign(label, chance.happens(0.2));
  });
  for (const label of outcomeHeadings) if (chance.happens(0.72)) assign(label, chance.happens(0.3));
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

function isoDay(day: number): string {
  return new Date(day).toISOString().slice(0, 10);
}

function capitaliseFirst(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
