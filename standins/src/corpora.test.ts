import { join } from 'node:path';
import { headingByLabel, indexVocabulary, type BibRecord } from '@even-lantern/core';
import { readContent } from './application.js';
import { readDatabases, readLimitRules, readVocabularies } from './content.js';
import { generateCorpora } from './corpora.js';
import { recordsOf, vocabularyOf } from './releases.js';

const folder = join(__dirname, '..', 'content');
const vocabularies = readVocabularies(folder);
const recipes = readDatabases(folder).map((recipe) => ({ ...recipe, size: 900 }));
const { histories, truth } = generateCorpora({
  content: readContent(folder),
  vocabularies,
  recipes,
  limits: readLimitRules(folder),
});
const in_ = (id: string, release: string): BibRecord[] => {
  const recipe = recipes.find((each) => each.id === id);
  const history = histories.get(id);
  if (recipe === undefined || history === undefined) throw new Error(id);
  const vocabulary = vocabularies.find((each) => each.id === recipe.vocabulary) ?? null;
  return recordsOf(history, release, vocabulary, recipe.present);
};
const present = new Map(recipes.map((recipe) => [recipe.id, in_(recipe.id, recipe.present)]));
const of = (id: string): BibRecord[] => present.get(id) ?? [];
const workOf = ({ accession }: BibRecord) => truth.get(accession)?.work;

test('every database has its size, and records in order of entry, none after its release', () => {
  for (const { id, size, present: release } of recipes) {
    // A few have been withdrawn.
    expect(Math.abs(of(id).length - size)).toBeLessThan(size / 50);
    const entered = of(id).map((record) => record.entered ?? '');
    expect(entered).toEqual([...entered].sort());
    expect((entered.at(-1) ?? '') < release).toBe(true);
    expect(new Set(of(id).map(({ accession }) => accession)).size).toBe(of(id).length);
  }
});

test('records are indexed with headings of their own database alone', () => {
  for (const recipe of recipes.filter((each) => each.vocabulary !== null)) {
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
    // A later correction may have made it a supplement.
    const firstPage = ({ pages }: BibRecord) => pages.replace(/^S/, '').split('-')[0];
    expect(firstPage(record)).toBe(firstPage(same));
  }
  const share = (differs: (pair: (typeof pairs)[number]) => boolean) =>
    pairs.filter(differs).length / pairs.length;
  expect(share(({ record, same }) => record.doi === null && same.doi !== null)).toBeGreaterThan(0.1);
  expect(share(({ record, same }) => record.title !== same.title)).toBeGreaterThan(0.05);
  expect(share(({ record, same }) => record.pages.length < same.pages.length)).toBeGreaterThan(0.3);
});

test('works come in several versions, and records cite earlier ones of their matter', () => {
  const skein = new Map(of('skein').map((record) => [record.accession, record]));
  const kinds = new Set(of('skein').flatMap(({ publicationTypes }) => publicationTypes));
  for (const kind of ['preprint', 'conference abstract', 'erratum', 'thesis', 'patent', 'book']) {
    expect(kinds).toContain(kind);
  }
  for (const record of skein.values()) {
    for (const { relation, accession } of record.related ?? []) {
      const other = skein.get(accession);
      // Other versions may have come in later, or have been withdrawn.
      if (other === undefined) continue;
      if (relation === 'version') expect(workOf(other)).toBe(workOf(record));
      else expect((other.entered ?? '') <= (record.entered ?? '')).toBe(true);
    }
  }
});

test('Assayhouse holds reviews at every stage with the strategy they reported, and evaluations with their country', () => {
  const kinds = new Map<string, number>();
  for (const { limits, fullText, abstract } of of('assayhouse')) {
    const [kind = ''] = limits.kind ?? [];
    kinds.set(kind, (kinds.get(kind) ?? 0) + 1);
    if (kind === 'review') expect(fullText?.[0]?.text).toMatch(/^Line 1: .* Line 2: /);
    if (kind === 'economic evaluation') {
      expect(limits.country).toHaveLength(1);
      expect(JSON.stringify(abstract)).toContain(limits.country?.[0]);
    }
  }
  expect([...kinds.keys()].sort()).toEqual([
    ...['economic evaluation', 'review', 'review from elsewhere', 'technology assessment', 'trial record'],
  ]);
  expect(Math.min(...kinds.values())).toBeGreaterThan(10);
});

test('Mindry reaches back to the 1890s', () => {
  expect(Math.min(...of('mindry').map(({ year }) => year))).toBeLessThan(1900);
});

describe.each(recipes)('from release to release of $id', (recipe) => {
  const states = recipe.releases.map((release) => in_(recipe.id, release));

  test('there are four or more, each with more records than the one before', () => {
    expect(states.length).toBeGreaterThanOrEqual(4);
    states
      .slice(1)
      .forEach((state, i) => expect(state.length).toBeGreaterThan(states[i]?.length ?? Infinity));
  });

  test('records gain headings, some are corrected or withdrawn, and nothing else changes', () => {
    states.slice(1).forEach((state, i) => {
      const now = new Map(state.map((record) => [record.accession, record]));
      const before = states[i] ?? [];
      const kept = before.filter(({ accession }) => now.has(accession));
      expect(kept.length).toBeLessThan(before.length);
      const changed = kept.filter(
        (record) => JSON.stringify(record) !== JSON.stringify(now.get(record.accession)),
      );
      expect(changed.length).toBeGreaterThan(0);
      for (const record of changed) {
        const later = now.get(record.accession);
        expect([later?.title, later?.entered]).toEqual([record.title, record.entered]);
      }
      if (recipe.awaiting > 0.03) {
        const indexed = changed.filter(
          ({ accession, headings }) =>
            headings.length === 0 && (now.get(accession)?.headings.length ?? 0) > 0,
        );
        expect(indexed.length).toBeGreaterThan(0);
      }
    });
  });
});

test('a heading that is renamed keeps its place and its old name as an entry term; one that came in was not there before', () => {
  const [corvane] = vocabularies;
  if (corvane === undefined) throw new Error('missing');
  const at = (release: string) => indexVocabulary(vocabularyOf(corvane, release, '2026-10-01'));
  const [past, present_, future] = ['2026-04-01', '2026-10-01', '2027-01-15'].map(at);
  if (past === undefined || present_ === undefined || future === undefined) throw new Error('missing');
  expect(headingByLabel(past, 'Presenteeism')).toBeNull();
  expect(headingByLabel(past, 'Working while ill')).not.toBeNull();
  expect(headingByLabel(present_, 'Presenteeism')?.entryTerms).toContain('Working while ill');
  expect(headingByLabel(present_, 'Vaping')).not.toBeNull();
  expect(headingByLabel(future, 'Nicotine vapour use')).toMatchObject({
    broader: headingByLabel(present_, 'Vaping')?.broader,
    historyNote: 'Until 2027-01 named Vaping.',
  });
  expect(headingByLabel(present_, 'Protected rest')).toBeNull();
  expect(headingByLabel(future, 'Protected rest')).not.toBeNull();
});

test('records of different works do not share a DOI', () => {
  const works = new Map<string, string | undefined>();
  for (const record of [...present.values()].flat()) {
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
