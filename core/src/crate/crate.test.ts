import jsonld from 'jsonld';
import fc from 'fast-check';
import { crateToJson, readCrate, type Crate } from './index.js';

const SCHEMA = 'http://schema.org/';
/** What the context of RO-Crate 1.1 says of the names that are used here: all are of schema.org but two. */
const CONTEXT = {
  ...Object.fromEntries(
    [
      'name', 'description', 'identifier', 'datePublished', 'license', 'version', 'creator', 'hasPart', 'about',
      'additionalProperty', 'softwareVersion', 'value', 'encodingFormat', 'contentSize', 'size', 'sha256', 'Dataset',
      'CreativeWork', 'SoftwareApplication', 'PropertyValue', 'Person', 'author',
    ].map((name) => [name, SCHEMA + name]),
  ),
  File: `${SCHEMA}MediaObject`,
  conformsTo: 'http://purl.org/dc/terms/conformsTo',
}; // prettier-ignore

const sha256 = fc
  .array(fc.constantFrom(...'0123456789abcdef'), { minLength: 64, maxLength: 64 })
  .map((a) => a.join(''));
const crates: fc.Arbitrary<Crate> = fc.record({
  id: fc.uuid(),
  title: fc.string({ minLength: 1 }),
  exportedAt: fc.constant('2026-11-27T12:00:00.000Z'),
  application: fc.constant('0.1.0'),
  seal: fc.constant('0-none'),
  tablesAsOf: fc.string(),
  people: fc.uniqueArray(fc.record({ id: fc.uuid(), name: fc.string({ minLength: 1 }) }), {
    selector: ({ id }) => id,
    maxLength: 3,
  }),
  files: fc.uniqueArray(
    fc.record({
      path: fc.integer({ min: 1, max: 99 }).map((n) => `data/t${n}.ndjson`),
      description: fc.string(),
      encodingFormat: fc.constant('application/x-ndjson'),
      contentSize: fc.nat(),
      sha256,
      rows: fc.option(fc.nat()),
    }),
    { selector: ({ path }) => path, maxLength: 6 },
  ),
});

test('what is written of a package is read back', () => {
  fc.assert(
    fc.property(crates, (crate) => {
      expect(readCrate(crateToJson(crate))).toEqual({ ok: true, crate });
    }),
  );
});

test('every name is one of the context, and the descriptor and the files are tied to the root', async () => {
  const [crate] = fc.sample(crates, { numRuns: 1, seed: 5 });
  if (crate === undefined) throw new Error('none');
  const written = JSON.parse(crateToJson(crate)) as {
    '@context': string;
    '@graph': Record<string, unknown>[];
  };
  expect(written['@context']).toBe('https://w3id.org/ro/crate/1.1/context');
  const names = written['@graph'].flatMap((node) => [...Object.keys(node), String(node['@type'])]);
  expect(names.filter((name) => !name.startsWith('@') && !(name in CONTEXT))).toEqual([]);
  const expanded = await jsonld.expand({ ...written, '@context': CONTEXT } as never, {
    base: 'https://example.org/crate/',
  });
  const nodes = new Map(expanded.map((node) => [String(node['@id']), node as Record<string, unknown>]));
  const root = nodes.get('https://example.org/crate/');
  const idsOf = (value: unknown) => (value as { '@id': string }[]).map((each) => each['@id']);
  const descriptor = nodes.get('https://example.org/crate/ro-crate-metadata.json');
  expect(idsOf(descriptor?.[`${SCHEMA}about`])).toEqual(['https://example.org/crate/']);
  expect(idsOf(descriptor?.['http://purl.org/dc/terms/conformsTo'])).toEqual([
    'https://w3id.org/ro/crate/1.1',
  ]);
  for (const required of ['name', 'description', 'datePublished', 'license']) {
    expect(root?.[SCHEMA + required]).toBeDefined();
  }
  const parts = crate.files.length === 0 ? [] : idsOf(root?.[`${SCHEMA}hasPart`]);
  expect(parts).toEqual(crate.files.map(({ path }) => `https://example.org/crate/${path}`));
  const [licence] = idsOf(root?.[`${SCHEMA}license`]);
  expect(nodes.get(licence ?? '')?.['@type']).toEqual([`${SCHEMA}CreativeWork`]);
  const authors = crate.people.length === 0 ? [] : idsOf(root?.[`${SCHEMA}author`]);
  expect(authors.map((id) => nodes.get(id)?.['@type'])).toEqual(crate.people.map(() => [`${SCHEMA}Person`]));
  for (const part of parts) expect(nodes.get(part)?.['@type']).toEqual([`${SCHEMA}MediaObject`]);
});

test('nothing that metadata may hold stops the reading of it', () => {
  fc.assert(
    fc.property(fc.jsonValue(), fc.jsonValue(), (root, node) => {
      const read = readCrate(JSON.stringify({ '@graph': [{ '@id': './', ...Object(root) }, node] }));
      expect(read.ok).toBe(false);
    }),
  );
  expect(readCrate('{')).toMatchObject({ ok: false, message: expect.stringContaining('is no JSON') });
});

test.each([
  ['a later form', '"version": "1"', '"version": "2"', 'later version'],
  ['a size that is none', '"contentSize": "7"', '"contentSize": "-7"', 'does not say what its file'],
  ['another kind of package', 'urn:even-lantern:review-package', 'urn:other', 'no package of a review'],
])('%s is refused', (_name, from, to, told) => {
  const file = {
    path: 'a',
    description: '',
    encodingFormat: '',
    contentSize: 7,
    sha256: 'a'.repeat(64),
    rows: 1,
  };
  const crate = {
    id: 'r',
    title: 't',
    exportedAt: '',
    application: '',
    seal: '',
    tablesAsOf: '',
    people: [],
    files: [file],
  };
  const text = crateToJson(crate);
  expect(text).toContain(from);
  expect(readCrate(text.replace(from, to))).toMatchObject({
    ok: false,
    message: expect.stringContaining(told),
  });
});
