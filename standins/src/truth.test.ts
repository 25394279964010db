import { join } from 'node:path';
import {
  readDatabases,
  readLimitRules,
  readPeopleAndPlaces,
  readTopics,
  readVocabularies,
} from './content.js';
import { readStudies } from './studies.js';
import { generateCorpora } from './corpora.js';
import { recordsOf } from './releases.js';

const content = join(__dirname, '..', 'content');
const vocabularies = readVocabularies(content);
const recipes = readDatabases(content).map((recipe) => ({ ...recipe, size: Math.round(recipe.size / 4) }));
const [vocabulary] = vocabularies;
if (vocabulary === undefined) throw new RangeError('there is no vocabulary');
const { histories, truth } = generateCorpora({
  content: {
    vocabulary,
    topics: readTopics(content),
    people: readPeopleAndPlaces(content),
    studies: readStudies(content),
  },
  vocabularies,
  recipes,
  limits: readLimitRules(content),
});

test('records of one work share its topic and its design', () => {
  const works = new Map<string, Set<string>>();
  for (const { work, topic, design } of truth.values()) {
    works.set(work, (works.get(work) ?? new Set()).add(`${topic}: ${design}`));
  }
  const mixed = [...works].filter(([, kinds]) => kinds.size > 1);
  expect(mixed).toEqual([]);
  // many are told of more than once, or this would show nothing
  expect(truth.size - works.size).toBeGreaterThan(300);
});

test('records of one work in one database are versions of it, not strangers', () => {
  for (const [id, { records }] of histories) {
    const titles = new Map<string, Set<string>>();
    for (const record of records) {
      const work = truth.get(record.accession)?.work ?? '';
      titles.set(work, (titles.get(work) ?? new Set()).add(record.title.toLowerCase().replace(/\W+/g, ' ')));
    }
    const strangers = [...titles.values()].filter((each) => each.size > 1 && !shareWords([...each]));
    expect([id, strangers.map((each) => [...each])]).toEqual([id, []]);
  }
});

test('what arrives exactly on the day of a release is in it', () => {
  for (const recipe of recipes) {
    const history = histories.get(recipe.id);
    const release = recipe.present;
    const [record] = history?.records ?? [];
    if (history === undefined || record === undefined) throw new Error(`${recipe.id} is empty`);
    const entered = (day: string) => ({ ...history, records: [{ ...record, entered: day }], changes: [] });
    const authored = vocabularies.find(({ id }) => id === recipe.vocabulary) ?? null;
    expect(recordsOf(entered(release), release, authored, release)).toHaveLength(1);
    const next = new Date(Date.parse(release) + 86_400_000).toISOString().slice(0, 10);
    expect(recordsOf(entered(next), release, authored, release)).toHaveLength(0);
  }
});

function shareWords(titles: readonly string[]): boolean {
  const [first = '', ...others] = titles;
  const words = new Set(first.split(' ').filter((word) => word.length > 3));
  return others.every((title) => title.split(' ').filter((word) => words.has(word)).length >= 1);
}
