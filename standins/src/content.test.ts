import { join } from 'node:path';
import { indexVocabulary, pathsTo, textKey } from '@even-lantern/core';
import { readContent } from './application.js';
import { ContentError, parseTree } from './content.js';

const content = readContent(join(__dirname, '..', 'content'));
const { headings } = content.vocabulary;
const labels = new Set(headings.map(({ label }) => label));

test('the Corvane Subject Tree is large enough, and one heading in ten has several places', () => {
  expect(headings.length).toBeGreaterThanOrEqual(700);
  expect(headings.filter(({ broader }) => broader.length > 1).length).toBeGreaterThanOrEqual(
    headings.length / 10,
  );
});

test('headings have four other names each, on average', () => {
  const names = headings.reduce((sum, { entryTerms }) => sum + new Set(entryTerms.map(textKey)).size, 0);
  expect(names / headings.length).toBeGreaterThanOrEqual(4);
});

test('every relation leads to a heading, and labels are unique', () => {
  expect(new Set(headings.map(({ label }) => textKey(label))).size).toBe(headings.length);
  const dangling = headings
    .flatMap(({ broader, related }) => [...broader, ...related])
    .filter((l) => !labels.has(l));
  expect(dangling).toEqual([]);
});

test('no heading lies below itself', () => {
  const tree = indexVocabulary(content.vocabulary);
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
