import { join } from 'node:path';
import { headingByLabel, indexVocabulary, type BibRecord } from '@even-lantern/core';
import { readContent } from './application.js';
import { readDatabases, readVocabularies } from './content.js';
import { generateCorpora } from './corpora.js';

const folder = join(__dirname, '..', 'content');
const vocabularies = readVocabularies(folder);
const recipes = readDatabases(folder).map((recipe) => ({ ...recipe, size: 900 }));
const { records, truth } = generateCorpora(readContent(folder), vocabularies, recipes);
const of = (id: string): BibRecord[] => records.get(id) ?? [];
const workOf = ({ accession }: BibRecord) => truth.get(accession)?.work;

test('every database has its size, and records in order of entry, none after its release', () => {
  for (const { id, size, release } of recipes) {
    expect(of(id)).toHaveLength(size);
    const entered = of(id).map((record) => record.entered ?? '');
    expect(entered).toEqual([...entered].sort());
    expect((entered.at(-1) ?? '') < release).toBe(true);
    expect(new Set(of(id).map(({ accession }) => accession)).size).toBe(size);
  }
});

test('records are indexed with headings of their own database alone', () => {
  for (const recipe of recipes) {
    const vocabulary = vocabularies.find(({ id }) => id === recipe.vocabulary);
    if (vocabulary === undefined) throw new Error('missing');
    const tree = indexVocabulary(vocabulary);
    const given = of(recipe.id).flatMap(({ headings }) => headings);
    expect(given.length).toBeGreaterThan(1500);
    const foreign = given.filter(
      (each) => each.vocabulary !== vocabulary.id || headingByLabel(tree, each.label) === null,
    );
    expect(foreign).toEqual([]);
  }
});

test('several databases hold one work, each describing it in its own way', () => {
  const corvane = new Map(of('corvane').map((record) => [workOf(record), record]));
  const pairs = of('wardline').flatMap((record) => {
    const same = corvane.get(workOf(record));
    return same === undefined ? [] : [{ record, same }];
  });
  expect(pairs.length).toBeGreaterThan(150);
  for (const { record, same } of pairs) {
    expect(record.title.toLowerCase()).toBe(same.title.toLowerCase());
    expect(record.year).toBe(same.year);
    expect(record.accession).not.toBe(same.accession);
    expect(record.pages.split('-')[0]).toBe(same.pages.split('-')[0]);
  }
  const share = (differs: (pair: (typeof pairs)[number]) => boolean) =>
    pairs.filter(differs).length / pairs.length;
  expect(share(({ record, same }) => record.doi === null && same.doi !== null)).toBeGreaterThan(0.1);
  expect(share(({ record, same }) => record.title !== same.title)).toBeGreaterThan(0.05);
  expect(share(({ record, same }) => record.pages.length < same.pages.length)).toBeGreaterThan(0.3);
});

test('records of different works do not share a DOI', () => {
  const works = new Map<string, string | undefined>();
  for (const record of [...records.values()].flat()) {
    if (record.doi === null) continue;
    expect(works.get(record.doi) ?? workOf(record)).toBe(workOf(record));
    works.set(record.doi, workOf(record));
  }
});

test('a database of behaviour holds nothing on wound dressings', () => {
  const topics = new Set(of('mindry').map(({ accession }) => truth.get(accession)?.topic));
  expect(topics.size).toBeGreaterThan(15);
  expect(JSON.stringify(of('mindry'))).not.toMatch(/foam dressing/i);
});
