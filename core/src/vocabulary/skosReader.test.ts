import fc from 'fast-check';
import { textKey } from '../text/index.js';
import {
  allNarrower,
  headingCalled,
  indexVocabulary,
  SKOS,
  skosCollector,
  vocabularyFromTurtle,
  vocabularyToJsonLd,
  vocabularyToTurtle,
  type Heading,
} from './index.js';

const PREFIX = '@prefix skos: <http://www.w3.org/2004/02/skos/core#> .\n@prefix : <urn:x:> .\n';

function read(turtle: string) {
  const result = vocabularyFromTurtle(PREFIX + turtle);
  if (!result.ok) throw new Error(result.message);
  return { headings: result.vocabulary.headings, notes: result.notes };
}

test('relations that are only written downwards are read all the same', () => {
  const { headings } = read(`
    :a a skos:Concept ; skos:prefLabel "Rest" ; skos:narrower :b .
    :b a skos:Concept ; skos:prefLabel "Naps" .`);
  expect(headings.map(({ label, broader }) => [label, broader])).toEqual([
    ['Rest', []],
    ['Naps', ['Rest']],
  ]);
});

test('of several languages English is taken, also where it is marked with a country', () => {
  const { headings } = read(`
    :a a skos:Concept ; skos:prefLabel "Schlaf"@de, "Sleep"@en-GB ; skos:altLabel "slumber"@en, "sommeil"@fr .
    :b a skos:Concept ; skos:prefLabel "Licht"@de ; skos:altLabel "Leuchten"@de, "lumière"@fr .`);
  expect(headings.map(({ label, entryTerms }) => [label, entryTerms])).toEqual([
    ['Sleep', ['slumber']],
    ['Licht', ['Leuchten']],
  ]);
});

test('concepts without a label are left out and counted, and so are relations to them', () => {
  const { headings, notes } = read(`
    :a a skos:Concept ; skos:prefLabel "Sleep" ; skos:broader :b, :nowhere .
    :b a skos:Concept . :c a skos:Concept ; skos:prefLabel "  " .`);
  expect(headings).toHaveLength(1);
  expect(headings[0]?.broader).toEqual([]);
  expect(notes).toEqual([
    '2 concepts have no label and are left out: “urn:x:b”, “urn:x:c”.',
    'Relations to 2 concepts without a label in this file are left out: “urn:x:b”, “urn:x:nowhere”.',
  ]);
});

test('labels that stand for two concepts are told apart', () => {
  const { headings, notes } = read(`
    :a a skos:Concept ; skos:prefLabel "Light" . :b a skos:Concept ; skos:prefLabel "light" ; skos:broader :a .`);
  expect(headings.map(({ label }) => label)).toEqual(['Light', 'light (2)']);
  expect(notes[0]).toMatch(/^1 label stands for more than one concept/);
});

test('circles are told and do not trap anybody', () => {
  const { headings, notes } = read(`
    :a a skos:Concept ; skos:prefLabel "A" ; skos:broader :b . :b a skos:Concept ; skos:prefLabel "B" ; skos:broader :c .
    :c a skos:Concept ; skos:prefLabel "C" ; skos:broader :a, :c .`);
  expect(notes).toEqual(['1 heading lies below itself: “A”.']);
  const tree = indexVocabulary({ id: '', name: '', release: '', headings });
  expect(allNarrower(tree, 'A')).toHaveLength(2);
});

test('a long chain of headings does not exhaust the stack', () => {
  const chain = Array.from(
    { length: 20_000 },
    (_, i) => `:c${i} a skos:Concept ; skos:prefLabel "H${i}" ; skos:broader :c${i + 1} .`,
  );
  const { headings } = read(chain.join('\n'));
  expect(headings).toHaveLength(20_000);
});

test.each([
  ['nothing', ''],
  ['concepts without any label', ':a a skos:Concept .'],
  ['something else', ':a a :Lamp .'],
])('a file with %s is refused with the reason', (_name, turtle) => {
  expect(vocabularyFromTurtle(PREFIX + turtle)).toMatchObject({ ok: false, line: null });
});

test('what is not Turtle is refused with the line', () => {
  expect(vocabularyFromTurtle('{"json": true}')).toMatchObject({ ok: false, line: 1 });
  expect(vocabularyFromTurtle(`${PREFIX}:a a skos:Concept\n:b`)).toMatchObject({ ok: false, line: 4 });
});

test('any vocabulary survives being written and read', async () => {
  const name = fc.stringMatching(/^[a-zé<>"\\ '&]{1,8}[a-z]$/).map((text) => text.trim());
  const headings = fc
    .uniqueArray(fc.record({ label: name, entryTerms: fc.uniqueArray(name, { maxLength: 2 }), note: name }), {
      maxLength: 8,
      // Names that are one for lookup are told apart by the reader, so none are made.
      selector: ({ label }) => textKey(label),
    })
    .map((list) =>
      list.map(({ label, entryTerms, note }, i): Heading => {
        const above = list[Math.floor(i / 2)]?.label;
        return {
          label,
          entryTerms,
          scopeNote: note,
          broader: i === 0 || above === undefined ? [] : [above],
          related: [],
          historyNote: null,
          subheadings: [],
        };
      }),
    );
  await fc.assert(
    fc.asyncProperty(headings, async (list) => {
      fc.pre(list.length > 0);
      const vocabulary = { id: 'v', name: 'V', release: '2026-01-01', headings: list };
      const result = vocabularyFromTurtle(await vocabularyToTurtle(vocabulary));
      expect(result.ok && result.vocabulary).toEqual(vocabulary);
    }),
    { numRuns: 200 },
  );
});

test('a vocabulary and its headings keep the addresses that they came with, in both forms', async () => {
  const turtle = `${PREFIX}<https://words.example/all> a skos:ConceptScheme .
    <https://words.example/7> a skos:Concept ; skos:prefLabel "Lamps" .
    <https://words.example/8> a skos:Concept ; skos:prefLabel "Lanterns" ; skos:broader <https://words.example/7> .
    _:b a skos:Concept ; skos:prefLabel "Nameless" ; skos:related <https://words.example/7> .`;
  const first = vocabularyFromTurtle(turtle);
  if (!first.ok) throw new Error(first.message);
  expect(first.vocabulary.address).toBe('https://words.example/all');
  expect(first.vocabulary.headings.map(({ address }) => address)).toEqual([
    'https://words.example/7',
    'https://words.example/8',
    undefined,
  ]);
  const again = vocabularyFromTurtle(await vocabularyToTurtle(first.vocabulary));
  expect(again.ok && again.vocabulary).toEqual(first.vocabulary);
  const graph = (JSON.parse(vocabularyToJsonLd(first.vocabulary)) as { '@graph': object[] })['@graph'];
  expect(graph[2]).toMatchObject({ id: 'https://words.example/8', broader: ['https://words.example/7'] });
});

test.each([
  'https://words.example/a> .',
  'https://words.example/a b',
  '_:b1',
  'lamps',
  'urn:even-lantern:vocabulary:v:A',
])('the address %s is not kept', (address) => {
  const collector = skosCollector();
  const add = (predicate: string, value: string, termType = 'NamedNode') =>
    collector.add({
      subject: { value: address },
      predicate: { value: predicate },
      object: { termType, value },
    });
  add('http://www.w3.org/1999/02/22-rdf-syntax-ns#type', `${SKOS}Concept`);
  add(`${SKOS}prefLabel`, 'A', 'Literal');
  const read = collector.end();
  expect(read.ok && read.vocabulary.headings[0]?.address).toBeUndefined();
});

test('what else a concept came with is kept, found by, and written as what it was', async () => {
  const first = vocabularyFromTurtle(`${PREFIX}
    :a a skos:Concept ; skos:prefLabel "Lamps" ; skos:altLabel "Lights" ; skos:hiddenLabel "Lmaps" ;
      skos:definition "What gives light." ; skos:notation "L7" ; skos:example "A lantern" ; skos:note "Not the sun." ;
      skos:exactMatch <https://words.example/7>, "no address" .`);
  if (!first.ok) throw new Error(first.message);
  const [lamps] = first.vocabulary.headings;
  expect(lamps).toMatchObject({
    entryTerms: ['Lights'],
    scopeNote: 'What gives light.',
    further: {
      hiddenLabel: ['Lmaps'],
      definition: ['What gives light.'],
      notation: ['L7'],
      example: ['A lantern'],
      note: ['Not the sun.'],
      exactMatch: ['https://words.example/7'],
    },
  });
  expect(headingCalled(indexVocabulary(first.vocabulary), 'lmaps')?.label).toBe('Lamps');
  const turtle = await vocabularyToTurtle(first.vocabulary);
  expect(turtle).not.toContain('scopeNote');
  const again = vocabularyFromTurtle(turtle);
  expect(again.ok && again.vocabulary).toEqual(first.vocabulary);
  const [, inJson] = (JSON.parse(vocabularyToJsonLd(first.vocabulary)) as { '@graph': object[] })['@graph'];
  expect(inJson).toMatchObject({
    notation: ['L7'],
    hiddenLabel: ['Lmaps'],
    definition: ['What gives light.'],
  });
  expect(inJson).not.toHaveProperty('scopeNote');
});

test('breaches of the conditions of SKOS, and several schemes, are told', () => {
  const { notes } = read(`
    :s a skos:ConceptScheme . :t a skos:ConceptScheme .
    :a a skos:Concept ; skos:prefLabel "Rest", "Repose" .
    :b a skos:Concept ; skos:prefLabel "Naps" ; skos:altLabel "Naps" ; skos:broader :a .
    :c a skos:Concept ; skos:prefLabel "Night naps" ; skos:broader :b ; skos:related :a .
    :d a skos:Concept ; skos:prefLabel "Day naps" ; skos:broader :b .
    :a skos:related :d .`);
  expect(notes).toEqual([
    '1 concept has several preferred labels in one language (SKOS S14); the first is taken: “Rest”.',
    '1 heading has one name as preferred label and as another (SKOS S13): “Naps”.',
    '2 pairs of headings are related although one lies below the other (SKOS S27): “Rest – Day naps”, “Night naps – Rest”.',
    'The file has 2 concept schemes; all concepts are taken as one vocabulary, named after the first: “urn:x:t”.',
  ]);
});
