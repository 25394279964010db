import {
  allNarrower,
  headingByLabel,
  indexVocabulary,
  pathsTo,
  vocabularyFromTurtle,
  vocabularyToJsonLd,
  vocabularyToTurtle,
  type Heading,
  type Vocabulary,
} from './index.js';

const heading = (label: string, broader: string[], entryTerms: string[] = []): Heading => ({
  label,
  entryTerms,
  scopeNote: label === 'Light therapy' ? 'Treatment with “light” \\ <b>' : '',
  broader,
  related: label === 'Light therapy' ? ['Lighting'] : [],
  historyNote: null,
  subheadings: ['effects'],
});
const vocabulary: Vocabulary = {
  id: 'tree',
  name: 'A tree',
  release: '2026-10-01',
  headings: [
    heading('Treatments', []),
    heading('Sleep care', []),
    heading('Light therapy', ['Treatments', 'Sleep care'], ['bright light treatment', 'phototherapy']),
    heading('Dawn simulation', ['Light therapy']),
    heading('Lighting', ['Treatments'], ['lamps']),
  ],
};
const tree = indexVocabulary(vocabulary);

test('a vocabulary written as Turtle is read back the same', async () => {
  expect(vocabularyFromTurtle(await vocabularyToTurtle(vocabulary))).toEqual({
    ok: true,
    vocabulary,
    notes: [],
  });
});

test('text that is not Turtle, or holds no concepts, is refused with the reason', () => {
  expect(vocabularyFromTurtle('<a> <b> .')).toMatchObject({ ok: false, line: 1 });
  expect(vocabularyFromTurtle('<a> <b> <c> .')).toMatchObject({
    ok: false,
    message: expect.stringContaining('Concept'),
  });
});

test('a heading below two others is reached on both paths and counted once', () => {
  const light = headingByLabel(tree, 'light therapy');
  expect(light && pathsTo(tree, light).map((path) => path.map(({ label }) => label))).toEqual([
    ['Treatments', 'Light therapy'],
    ['Sleep care', 'Light therapy'],
  ]);
  expect(
    allNarrower(tree, 'Treatments')
      ?.map(({ label }) => label)
      .sort(),
  ).toEqual(['Dawn simulation', 'Light therapy', 'Lighting']);
  expect(allNarrower(tree, 'Moonbeams')).toBeNull();
});

test('a circle in a foreign vocabulary does not trap the walk', () => {
  const circle = indexVocabulary({ ...vocabulary, headings: [heading('A', ['B']), heading('B', ['A'])] });
  expect(allNarrower(circle, 'A')?.map(({ label }) => label)).toEqual(['B']);
  const a = headingByLabel(circle, 'A');
  expect(a && pathsTo(circle, a)).toHaveLength(1);
});

test('as JSON-LD a vocabulary says of each heading what its Turtle says', async () => {
  const { '@graph': graph, '@context': context } = JSON.parse(vocabularyToJsonLd(vocabulary)) as {
    '@graph': Record<string, unknown>[];
    '@context': Record<string, unknown>;
  };
  const turtle = await vocabularyToTurtle(vocabulary);
  for (const { id } of graph) expect(turtle).toContain(String(id));
  expect(graph.find(({ prefLabel }) => prefLabel === 'Light therapy')).toMatchObject({
    type: 'skos:Concept',
    altLabel: ['bright light treatment', 'phototherapy'],
    broader: ['urn:even-lantern:vocabulary:tree:Treatments', 'urn:even-lantern:vocabulary:tree:Sleep%20care'],
    subheading: ['effects'],
  });
  expect(context.skos).toBe('http://www.w3.org/2004/02/skos/core#');
});

test('in a tree of forty diamonds the ways up are told, though there are more than anybody could count', () => {
  const headings = [heading('D0', [])];
  for (let i = 1; i <= 40; i += 1) {
    const above = `D${i - 1}`;
    headings.push(heading(`L${i}`, [above]), heading(`R${i}`, [above]), heading(`D${i}`, [`L${i}`, `R${i}`]));
  }
  const tree = indexVocabulary({ ...vocabulary, headings });
  const last = headingByLabel(tree, 'D40');
  const paths = last === null ? [] : pathsTo(tree, last);
  expect(paths.length).toBeGreaterThan(10);
  expect(paths.length).toBeLessThanOrEqual(60);
  expect(new Set(paths.map((path) => path.map(({ label }) => label).join())).size).toBe(paths.length);
  for (const path of paths) expect([path[0]?.label, path.at(-1)?.label]).toEqual(['D0', 'D40']);
  expect(allNarrower(tree, 'D0')).toHaveLength(120);
});
