import { join } from 'node:path';
import { brokenConditions, indexVocabulary, pathsTo, textKey } from '@even-lantern/core';
import { readContent } from './application.js';
import { ContentError, parseTree, readVocabularies } from './content.js';

const folder = join(__dirname, '..', 'content');
const content = readContent(folder);
const vocabularies = readVocabularies(folder);
const labels = new Set(content.vocabulary.headings.map(({ label }) => label));

test.each([
  ['Corvane Subject Tree', 700],
  ['Wardline Thesaurus', 350],
  ['Mindry Descriptors', 250],
])('the %s has at least %i headings', (name, least) => {
  expect(vocabularies.find((each) => each.name === name)?.headings.length).toBeGreaterThanOrEqual(least);
});

describe.each(vocabularies)('in the $name', (vocabulary) => {
  const { headings } = vocabulary;

  test('one heading in ten has several places', () => {
    const several = headings.filter(({ broader }) => broader.length > 1);
    expect(several.length).toBeGreaterThanOrEqual(headings.length / 10);
  });

  test('headings have four other names each, on average', () => {
    const names = headings.reduce((sum, { entryTerms }) => sum + new Set(entryTerms.map(textKey)).size, 0);
    expect(names / headings.length).toBeGreaterThanOrEqual(4);
  });

  test('every relation leads to a heading, and labels are unique', () => {
    const own = new Set(headings.map(({ label }) => label));
    expect(new Set(headings.map(({ label }) => textKey(label))).size).toBe(headings.length);
    const dangling = headings
      .flatMap(({ broader, related }) => [...broader, ...related])
      .filter((label) => !own.has(label));
    expect(dangling).toEqual([]);
  });

  test('it keeps the integrity conditions of SKOS', () => {
    expect(brokenConditions(headings)).toEqual({ namedTwice: [], relatedAndAbove: [], complete: true });
  });

  test('no heading lies below itself', () => {
    const tree = indexVocabulary(vocabulary);
    const tops = headings.filter(({ broader }) => broader.length === 0).map(({ label }) => label);
    for (const heading of headings) {
      for (const path of pathsTo(tree, heading)) {
        expect(tops).toContain(path[0]?.label);
        expect(new Set(path).size).toBe(path.length);
      }
    }
  });

  test('no entry term is the label of another heading, which would lead people astray', () => {
    const labelKeys = new Map(headings.map(({ label }) => [textKey(label), label]));
    const astray = headings.flatMap(({ label, entryTerms }) =>
      entryTerms
        .filter((term) => (labelKeys.get(textKey(term)) ?? label) !== label)
        .map((term) => `${term} in ${label}`),
    );
    expect(astray).toEqual([]);
  });

  test('every heading named in a history note or said to be used instead exists', () => {
    const own = new Set(headings.map(({ label }) => label));
    const named = headings.flatMap(({ historyNote, scopeNote }) =>
      [
        ...`${historyNote ?? ''} ${scopeNote}`.matchAll(
          /\b(?:before, )?use ([A-Z][^.;]*?)(?= with |[.;]|$)/g,
        ),
      ].map(([, label = '']) => label),
    );
    expect(named.filter((label) => !own.has(label))).toEqual([]);
  });
});

test('the Mindry Descriptors are shallow, with many related', () => {
  const mindry = vocabularies.find(({ id }) => id === 'mindry-descriptors');
  if (mindry === undefined) throw new Error('missing');
  const tree = indexVocabulary(mindry);
  const depth = Math.max(
    ...mindry.headings.flatMap((each) => pathsTo(tree, each).map(({ length }) => length)),
  );
  expect(depth).toBe(2);
  const related = mindry.headings.filter((each) => each.related.length > 0);
  expect(related.length).toBeGreaterThan(mindry.headings.length / 3);
});

test('vocabularies prefer other terms: few labels are the same', () => {
  const keys = new Set([...labels].map(textKey));
  for (const { headings } of vocabularies.slice(1)) {
    const same = headings.filter(({ label }) => keys.has(textKey(label)));
    expect(same.length).toBeLessThan(headings.length / 20);
  }
});

test('counterparts are headings of the Corvane Subject Tree', () => {
  const missing = vocabularies.flatMap(({ counterparts }) => [...counterparts.values()].flat());
  expect(missing.filter((label) => !labels.has(label))).toEqual([]);
});

test('topics use only headings that exist', () => {
  const missing = content.topics.flatMap((topic) =>
    [
      ...topic.peopleHeadings,
      ...topic.interventionHeadings,
      ...topic.outcomes.flatMap((outcome) => outcome.headings),
    ].filter((label) => !labels.has(label)),
  );
  expect(missing).toEqual([]);
  expect(content.topics.length).toBeGreaterThanOrEqual(48);
});

test('a mistake in the authored tree is told with its line', () => {
  expect(() => parseTree('Top\n      Too deep')).toThrow(
    new ContentError('line 2: “Too deep” is indented too far'),
  );
  expect(() => parseTree('Top\n>> Elsewhere\n  Below')).toThrow('line 2: there is no “Elsewhere” above');
  expect(() => parseTree('Top | what is this')).toThrow('line 1: “what is this” begins with no known mark');
});
