/** Makes the records of all databases: works that several of them hold, and works of their own. */
import type { BibRecord, RelatedRecord } from '@even-lantern/core';
import { chance as seededChance, type Chance } from './chance.js';
import type { AuthoredVocabulary, DatabaseRecipe, LimitRule, SharedWorks, Topic } from './content.js';
import { counterpartsIn, directCounterparts } from './counterparts.js';
import { accessionNumber, indexerOf, ownIndexing, typesOf, writeRecords } from './generate.js';
import type { Content, Indexing, WrittenRecord } from './generate.js';
import { limitsFrom } from './limits.js';
import { isoDay, lastEntryOf, type History, type RecordChange } from './releases.js';
import type { Design } from './designs.js';

/** What is known of each record by those who made it; for tests and benchmarks alone. */
export interface Truth {
  /** by database and accession: records of one work have the same */
  work: string;
  topic: string;
  /** of the study, whatever tells of it */
  design: string;
  /** what the record is: the study itself, or its preprint, its entry in a register, an abstract, an erratum */
  kind: string;
}

export interface Corpora {
  /** by database */
  histories: Map<string, History>;
  /** by accession */
  truth: Map<string, Truth>;
}

export interface Authored {
  content: Content;
  vocabularies: readonly AuthoredVocabulary[];
  recipes: readonly DatabaseRecipe[];
  limits: Readonly<Record<string, LimitRule>>;
}

/** The first database's works are those that the others share, as far as their recipes say. */
export function generateCorpora({ content, vocabularies, recipes, limits }: Authored): Corpora {
  const histories = new Map<string, History>();
  const truth = new Map<string, Truth>();
  const works: Told[] = [];
  /** by work: that of the record that told it first */
  const designs = new Map<string, Truth['design']>();
  let ofFirst: readonly Told[] | null = null;
  for (const recipe of recipes) {
    const indexing = indexingOf(recipe, vocabularies, content);
    const until = lastEntryOf(recipe.present);
    const last = lastEntryOf(recipe.releases.at(-1) ?? recipe.present);
    const topics = coveredTopics(content, indexing?.vocabulary ?? null, vocabularies);
    const taken =
      recipe.shared === undefined
        ? []
        : takeOver(
            recipe.shared.from === 'all' ? works : (ofFirst ?? []),
            topics,
            last,
            recipe,
            recipe.shared,
          );
    const early = earlyRecords(content, topics, recipe, indexing);
    const here = [...taken, ...early].filter(
      ({ written }) => (written.record.entered ?? '') <= isoDay(until),
    );
    const own = writeRecords(
      { ...content, topics },
      {
        seed: recipe.seed,
        size: Math.max(recipe.size - here.length, 0),
        accession: recipe.accession,
        indexing,
        until,
        last,
        firstYear: recipe.firstYear,
        ...(recipe.designs === undefined ? {} : { designs: recipe.designs }),
        ...(recipe.types === undefined ? {} : { types: recipe.types }),
      },
    ).map((written) => asTold(written));
    const told = numbered([...taken, ...early, ...own], until, recipe, indexing, content);
    ofFirst ??= told;
    works.push(...told);
    const limited = withLimits(told, recipe, limits);
    const records =
      recipe.citations === true
        ? withRelations(limited, recipe)
        : limited.map(({ written }) => written.record);
    histories.set(recipe.id, historyOf(records, recipe));
    for (const { written, work } of told) {
      const { record, topic, design } = written;
      const study = designs.get(work) ?? design;
      designs.set(work, study);
      truth.set(record.accession, { work, topic: topic.id, design: study, kind: design });
    }
  }
  return { histories, truth };
}

interface Told {
  written: WrittenRecord;
  work: string;
}

function indexingOf(
  recipe: DatabaseRecipe,
  vocabularies: readonly AuthoredVocabulary[],
  content: Content,
): Indexing | null {
  if (recipe.vocabulary === null) return null;
  const vocabulary = vocabularies.find(({ id }) => id === recipe.vocabulary);
  if (vocabulary === undefined) throw new RangeError(`there is no vocabulary “${recipe.vocabulary}”`);
  return {
    ...ownIndexing(vocabulary),
    ...(vocabulary.id === content.vocabulary.id
      ? {}
      : { headingsFor: counterpartsIn(vocabulary, content.vocabulary) }),
    awaiting: recipe.awaiting,
    tellsAwaiting: recipe.tellsAwaiting,
  };
}

/**
 * Works are known by the number of the record that told them first. What is written at another time is numbered from the
 * beginning again, so that goes into the name.
 */
function asTold(written: WrittenRecord, when: 'early' | 'later' = 'later'): Told {
  return { written, work: `${when === 'early' ? 'early work' : 'work'} of ${written.record.accession}` };
}

/** The topics whose main heading the vocabulary has a counterpart of; a database holds nothing else. */
function coveredTopics(
  content: Content,
  vocabulary: Indexing['vocabulary'] | null,
  vocabularies: readonly AuthoredVocabulary[],
): Topic[] {
  const authored = vocabularies.find(({ id }) => id === vocabulary?.id);
  if (authored === undefined || authored.id === content.vocabulary.id) return [...content.topics];
  const direct = directCounterparts(authored);
  return content.topics.filter(({ interventionHeadings: [main = ''] }) => direct.has(main));
}

/** Papers from before the time that the rest of a database begins. */
function earlyRecords(
  content: Content,
  topics: readonly Topic[],
  recipe: DatabaseRecipe,
  indexing: Indexing | null,
): Told[] {
  const { early } = recipe;
  if (early === undefined) return [];
  const until = Date.UTC(early.to, 11, 31);
  const about = topics.filter(({ id }) => /sleep|nap|mood|light|burnout/.test(id));
  return writeRecords(
    { ...content, topics: about },
    {
      seed: recipe.seed + 7,
      size: Math.min(early.size, Math.floor(recipe.size / 10)),
      accession: recipe.accession,
      indexing,
      until,
      firstYear: early.from,
      designs: { 'early essay': 1 },
      ...(recipe.types === undefined ? {} : { types: recipe.types }),
    },
  ).map((written) => asTold({ ...written, record: { ...written.record, doi: null, keywords: [] } }, 'early'));
}

function takeOver(
  works: readonly Told[],
  topics: readonly Topic[],
  last: number,
  recipe: DatabaseRecipe,
  shared: SharedWorks,
): Told[] {
  const chance = seededChance(recipe.seed + 1);
  const day = isoDay(last);
  const known = new Set<string>();
  const taken = works
    .filter(({ written: { topic } }) => topics.includes(topic))
    .filter(({ written: { design } }) => shared.only === undefined || shared.only[design] !== undefined)
    .filter(() => chance.happens(shared.share))
    .filter(({ work }) => !known.has(work) && known.add(work).size > 0)
    .filter(({ written: { record } }) => (record.entered ?? '') <= day);
  const most = Math.min(shared.most ?? Infinity, Math.floor(recipe.size / 2));
  return chance
    .some(taken, most)
    .flatMap((told) => [retoldWork(told, shared, recipe, chance), ...furtherVersions(told, shared, chance)]);
}

function retoldWork(
  { written, work }: Told,
  shared: SharedWorks,
  recipe: DatabaseRecipe,
  chance: Chance,
): Told {
  const design = shared.only?.[written.design] ?? written.design;
  const types =
    recipe.types === undefined ? {} : { publicationTypes: typesOf(design, recipe.types, new Map(), chance) };
  const record = { ...retold(written.record, shared, chance), ...types, limits: {} };
  return { work, written: { ...written, design, record } };
}

/** A work at other stages: its preprint, what a conference printed of it, an erratum. */
function furtherVersions({ written, work }: Told, shared: SharedWorks, chance: Chance): Told[] {
  const { record } = written;
  const version = (design: Design, days: number, change: Partial<BibRecord>): Told => {
    const entered = isoDay(Date.parse(record.entered ?? '') + days * 86_400_000);
    const year = Number(entered.slice(0, 4));
    const bare = { volume: '', issue: '', pages: '', keywords: [], limits: {} };
    return {
      work,
      written: {
        ...written,
        design,
        record: { ...record, ...bare, year, entered, publicationTypes: [design], ...change },
      },
    };
  };
  return [
    ...(chance.happens(shared.preprints ?? 0)
      ? [
          version('preprint', -chance.int(90, 400), {
            journal: 'Open Bench Preprints',
            title: chance.happens(0.5) ? record.title : record.title.replace(/:.*/, ''),
            doi: record.doi === null ? null : `${record.doi}.pre`,
          }),
        ]
      : []),
    ...(chance.happens(shared.conferenceAbstracts ?? 0)
      ? [
          version('conference abstract', -chance.int(200, 700), {
            journal: 'Abstracts of the Ostrand Meetings',
            abstract: record.abstract.slice(0, 1),
            doi: null,
          }),
        ]
      : []),
    ...(chance.happens(shared.errata ?? 0)
      ? [
          version('erratum', chance.int(30, 300), {
            title: `Erratum: ${record.title}`,
            abstract: [],
            doi: null,
          }),
        ]
      : []),
  ];
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
function numbered(
  told: readonly Told[],
  until: number,
  recipe: DatabaseRecipe,
  indexing: Indexing | null,
  content: Content,
): Told[] {
  const chance = seededChance(recipe.seed + 2);
  const index = indexerOf(content.vocabulary, indexing, Date.UTC(recipe.firstYear, 0, 1), until);
  const day = ({ written }: Told) => Date.parse(written.record.entered ?? '');
  const ordered = [...told].sort((a, b) => day(a) - day(b));
  return ordered.map((each, i) => {
    const { record, topic, outcomeHeadings, design } = each.written;
    const house = recipe.journals?.[design];
    const indexed = index(topic, outcomeHeadings, day(each), chance);
    return {
      work: each.work,
      written: {
        ...each.written,
        record: {
          ...record,
          ...(house === undefined ? {} : { journal: house, volume: '', issue: '', pages: '' }),
          ...indexed,
          limits: { ...indexed.limits, ...keptLimits(record) },
          accession: accessionNumber(recipe.accession, i + 1),
        },
      },
    };
  });
}

/** What a teller said itself, such as the country of an economic evaluation. */
function keptLimits({ limits }: BibRecord): Record<string, readonly string[]> {
  return limits.country === undefined ? {} : { country: limits.country };
}

function withLimits(
  told: readonly Told[],
  recipe: DatabaseRecipe,
  rules: Readonly<Record<string, LimitRule>>,
): Told[] {
  const chance = seededChance(recipe.seed + 3);
  return told.map(({ work, written }) => {
    const own = limitsFrom(rules, recipe.limits, written.record, written.design, chance);
    return {
      work,
      written: { ...written, record: { ...written.record, limits: { ...written.record.limits, ...own } } },
    };
  });
}

/** At most so many references, so that a record stays readable. */
const MOST_REFERENCES = 8;

/** With what each record cites among earlier ones of its topic, and the other versions of its work. */
function withRelations(told: readonly Told[], recipe: DatabaseRecipe): BibRecord[] {
  const chance = seededChance(recipe.seed + 4);
  const earlier = new Map<string, BibRecord[]>();
  const versions = new Map<string, BibRecord[]>();
  for (const { work, written } of told) versions.set(work, [...(versions.get(work) ?? []), written.record]);
  return told.map(({ work, written }) => {
    const { record, topic } = written;
    const before = earlier.get(topic.id) ?? [];
    const cited = chance.some(before.slice(-120), Math.min(chance.int(2, MOST_REFERENCES), before.length));
    before.push(record);
    earlier.set(topic.id, before);
    const others = (versions.get(work) ?? []).filter((each) => each !== record);
    const point =
      (relation: RelatedRecord['relation']) =>
      (to: BibRecord): RelatedRecord => ({
        relation,
        accession: to.accession,
        title: to.title,
      });
    const related = [...cited.map(point('references')), ...others.map(point('version'))];
    if (related.length === 0) return record;
    const cites = cited.map(({ accession }) => accession);
    return { ...record, related, limits: { ...record.limits, ...(cites.length === 0 ? {} : { cites }) } };
  });
}

/** Of the records that are in, what is corrected and what withdrawn with each release. */
const CORRECTED = 0.0012;
const WITHDRAWN = 0.0005;

function historyOf(records: readonly BibRecord[], recipe: DatabaseRecipe): History {
  const chance = seededChance(recipe.seed + 5);
  const changes: RecordChange[] = [];
  const touched = new Set<string>();
  for (const release of recipe.releases.slice(1)) {
    const day = isoDay(lastEntryOf(release) - 200 * 86_400_000);
    const there = records.filter(
      ({ entered, accession }) => (entered ?? '') <= day && !touched.has(accession),
    );
    const chosen = chance.some(there, Math.max(Math.round(there.length * (CORRECTED + WITHDRAWN)), 3));
    const gone = Math.max(Math.round(there.length * WITHDRAWN), 1);
    chosen.forEach(({ accession, doi, year, pages }, i) => {
      touched.add(accession);
      if (i < gone) changes.push({ release, accession, kind: 'withdrawn' });
      else {
        const correct =
          doi === null
            ? { doi: `10.5555/later.${year}.${accession.toLowerCase()}` }
            : { pages: pages === '' ? `e${String(accession).slice(-4)}` : `S${pages}` };
        changes.push({ release, accession, kind: 'corrected', correct });
      }
    });
  }
  return { records, changes };
}
