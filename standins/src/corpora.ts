/** Makes the records of all databases: works that several of them hold, and works of their own. */
import { ownIndexing, accessionNumber, indexerOf, writeRecords } from './generate.js';
import type { Content, Indexing, WrittenRecord } from './generate.js';
import type { BibRecord } from '@even-lantern/core';
import { chance as seededChance, type Chance } from './chance.js';
import type { AuthoredVocabulary, DatabaseRecipe, SharedWorks, Topic } from './content.js';
import { counterpartsIn, directCounterparts } from './counterparts.js';

/** What is known of each record by those who made it; for tests and benchmarks alone. */
export interface Truth {
  /** by database and accession: records of one work have the same */
  work: string;
  topic: string;
  design: string;
}

export interface Corpora {
  /** by database, oldest first */
  records: Map<string, BibRecord[]>;
  /** by accession */
  truth: Map<string, Truth>;
}

/** @param recipes the first database's works are those that the others share */
export function generateCorpora(
  content: Content,
  vocabularies: readonly AuthoredVocabulary[],
  recipes: readonly DatabaseRecipe[],
): Corpora {
  const records = new Map<string, BibRecord[]>();
  const truth = new Map<string, Truth>();
  let first: WrittenRecord[] = [];
  for (const recipe of recipes) {
    const vocabulary = vocabularies.find(({ id }) => id === recipe.vocabulary);
    if (vocabulary === undefined) throw new RangeError(`there is no vocabulary “${recipe.vocabulary}”`);
    const indexing: Indexing = {
      ...ownIndexing(vocabulary),
      ...(vocabulary.id === content.vocabulary.id
        ? {}
        : { headingsFor: counterpartsIn(vocabulary, content.vocabulary) }),
      awaiting: recipe.awaiting,
      tellsAwaiting: recipe.tellsAwaiting,
    };
    const until = lastEntryBefore(recipe.release);
    const topics = coveredTopics(content, vocabulary);
    const taken = recipe.shared === undefined ? [] : takeOver(first, topics, until, recipe, recipe.shared);
    const own = writeRecords(
      { ...content, topics },
      { seed: recipe.seed, size: recipe.size - taken.length, accession: recipe.accession, indexing, until },
    ).map(asTold);
    if (first.length === 0) first = own.map(({ written }) => written);
    const told = taken.length === 0 ? own : together([...taken, ...own], until, recipe, indexing, content);
    records.set(
      recipe.id,
      told.map(({ written }) => written.record),
    );
    for (const { written, work } of told) {
      const { record, topic, design } = written;
      truth.set(record.accession, { work, topic: topic.id, design });
    }
  }
  return { records, truth };
}

interface Told {
  written: WrittenRecord;
  work: string;
}

/** Works are known by the number of the record that told them first. */
function asTold(written: WrittenRecord): Told {
  return { written, work: `work of ${written.record.accession}` };
}

/** Records of the last days before a release are not in it yet. */
function lastEntryBefore(release: string): number {
  return Date.parse(release) - 3 * 86_400_000;
}

/** The topics whose main heading the vocabulary has a counterpart of; a database holds nothing else. */
function coveredTopics(content: Content, vocabulary: AuthoredVocabulary): Topic[] {
  if (vocabulary.id === content.vocabulary.id) return [...content.topics];
  const direct = directCounterparts(vocabulary);
  return content.topics.filter(({ interventionHeadings: [main = ''] }) => direct.has(main));
}

function takeOver(
  works: readonly WrittenRecord[],
  topics: readonly Topic[],
  until: number,
  recipe: DatabaseRecipe,
  shared: SharedWorks,
): Told[] {
  const chance = seededChance(recipe.seed + 1);
  return works
    .filter(({ topic }) => topics.includes(topic) && chance.happens(shared.share))
    .filter(({ record }) => Date.parse(record.entered ?? '') <= until)
    .map((written) => ({
      ...asTold(written),
      written: { ...written, record: retold(written.record, shared, chance) },
    }));
}

/** A work as another database describes it. */
function retold(record: BibRecord, shared: SharedWorks, chance: Chance): BibRecord {
  const title = chance.happens(shared.capitalTitles) ? record.title.toUpperCase() : record.title;
  return {
    ...record,
    title,
    authors: shared.initials
      ? record.authors.map(({ family, given }) => ({ family, given: initialsOf(given) }))
      : record.authors,
    pages: shared.shortPages ? shortened(record.pages) : record.pages,
    doi: chance.happens(shared.withoutDoi) ? null : record.doi,
  };
}

function initialsOf(given: string): string {
  return given
    .split(/[\s.-]+/)
    .map((name) => name.charAt(0))
    .join('');
}

/** `880-891` as `880-91`. */
function shortened(pages: string): string {
  const [from = '', to = ''] = pages.split('-');
  if (from.length !== to.length) return pages;
  let same = 0;
  while (same < to.length - 1 && from[same] === to[same]) same += 1;
  return `${from}-${to.slice(same)}`;
}

/** In order of entry, with the database's own numbers and headings. */
function together(
  told: readonly Told[],
  until: number,
  recipe: DatabaseRecipe,
  indexing: Indexing,
  content: Content,
): Told[] {
  const chance = seededChance(recipe.seed + 2);
  const index = indexerOf(content.vocabulary, indexing, until);
  const day = ({ written }: Told) => Date.parse(written.record.entered ?? '');
  const ordered = [...told].sort((a, b) => day(a) - day(b));
  const firstAwaiting = ordered.length - Math.round(ordered.length * indexing.awaiting);
  return ordered.map((each, i) => {
    const { record, topic, outcomeHeadings } = each.written;
    const accession = accessionNumber(recipe.accession, i + 1);
    return {
      work: each.work,
      written: {
        ...each.written,
        record: {
          ...record,
          ...index(topic, outcomeHeadings, day(each), i < firstAwaiting, chance),
          accession,
        },
      },
    };
  });
}
