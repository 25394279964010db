import fc from 'fast-check';
import { LABELS, record } from '../testing/arbitraries.js';
import { sampleRecord } from '../testing/sampleRecord.js';
import type { BibRecord } from '../records/index.js';
import { parseCql } from '../query/index.js';
import { indexVocabulary, type Heading } from '../vocabulary/index.js';
import {
  driftCounts,
  explainRecord,
  recordsToExplain,
  renameHeadings,
  renamesBetween,
  type DriftContext,
  type RecordThen,
} from './index.js';

const context: DriftContext = { releases: { then: '2026-07-01', now: '2026-10-01' }, renames: [] };
const assigned = (label: string) => ({ vocabulary: 'tree', label, central: false, subheadings: [] });
const explain = (
  side: 'gained' | 'lost' | 'kept',
  then: RecordThen,
  now: RecordThen,
  parts: Partial<DriftContext> = {},
) => {
  const { reason, what } = explainRecord({ accession: 'A', side, then, now }, { ...context, ...parts });
  return [reason, ...what];
};
const plain = sampleRecord({ title: 'Light at night', entered: '2026-05-01' });

test.each([
  ['new since', 'gained', 'absent', { ...plain, entered: '2026-08-02' }, ['new', 'it came into the database on 2026-08-02']],
  ['withdrawn', 'lost', plain, 'absent', ['withdrawn', 'it is not in the database any more']],
  ['indexed since', 'gained', plain, { ...plain, headings: [assigned('Sleep')], publicationTypes: ['Review'] }, ['indexed', 'got its headings: Sleep']],
  ['corrected', 'lost', plain, { ...plain, title: 'Dark', keywords: ['x'] }, ['changed', 'title changed', 'keywords changed']],
  ['other headings', 'gained', { ...plain, headings: [assigned('Sleep')] }, { ...plain, headings: [assigned('Light')] }, ['changed', 'headings came: Light', 'headings went: Sleep']],
  ['the same in both', 'gained', plain, { ...plain, changed: '2026-09-09' }, ['unexplained', 'it is the same in both releases']],
  ['in neither', 'lost', 'absent', 'absent', ['unexplained', 'neither release has this record']],
  ['a database that tells nothing, of a new one', 'gained', 'untold', { ...plain, entered: '2026-08-02' }, ['new', 'it came into the database on 2026-08-02']],
  ['a database that tells nothing, of a changed one', 'gained', 'untold', { ...plain, changed: '2026-08-02' }, ['changed', 'the database says that it was changed on 2026-08-02']],
  ['a database that tells nothing at all', 'gained', 'untold', plain, ['unexplained', 'the database does not tell how it was before']],
  ['a database that tells nothing, of one that is lost', 'lost', plain, 'untold', ['unexplained', 'the database does not tell how it was before']],
] as const)('%s is told', (_name, side, then, now, expected) => {
  expect(explain(side, then as RecordThen, now as RecordThen)).toEqual(expected);
}); // prettier-ignore

test('a heading that was renamed is told as that, and not as one that came and another that went', () => {
  const renames = [{ from: 'Night work', to: 'Work by night' }];
  const then = { ...plain, headings: [assigned('Night work')] };
  const now = { ...plain, headings: [assigned('Work by night')] };
  const told = 'heading “Night work” is “Work by night” now';
  expect(explain('kept', then, now, { renames })).toEqual(['renamed', told]);
  expect(explain('gained', then, { ...now, title: 'x' }, { renames })).toEqual([
    'changed',
    told,
    'title changed',
  ]);
  expect(explain('gained', plain, plain, { renames })).toEqual(['renamed', told]);
});

test('two runs of one release must agree: what only one found is an alarm', () => {
  const releases = { then: '2026-10-01', now: '2026-10-01' };
  expect(explain('gained', 'absent', plain, { releases })[0]).toBe('unexplained');
  expect(explain('lost', plain, 'absent', { releases })[0]).toBe('unexplained');
});

/** Two states of a database: each record as it was, and as it is; null where it is not there. */
const histories = fc.uniqueArray(
  fc.record({
    accession: fc.integer({ min: 1, max: 60 }).map(String),
    then: fc.option(record),
    now: fc.option(fc.oneof(fc.constant('same' as const), record)),
  }),
  { selector: ({ accession }) => accession, maxLength: 15 },
);

test('what drifted adds up, whatever two runs find, and each record is told once', () => {
  fc.assert(
    fc.property(histories, fc.func(fc.boolean()), (history, finds) => {
      const then = new Map<string, BibRecord>();
      const now = new Map<string, BibRecord>();
      for (const each of history) {
        if (each.then !== null) then.set(each.accession, each.then);
        const later = each.now === 'same' ? each.then : each.now;
        if (later !== null) now.set(each.accession, later);
      }
      // A search that looks at nothing but the record.
      const found = (held: ReadonlyMap<string, BibRecord>) =>
        new Map([...held].filter(([, each]) => finds(each)).map(([id, each]) => [id, JSON.stringify(each)]));
      const [before, after] = [found(then), found(now)];
      const drifted = recordsToExplain(before, after).map(({ accession, side }) =>
        explainRecord(
          { accession, side, then: then.get(accession) ?? 'absent', now: now.get(accession) ?? 'absent' },
          context,
        ),
      );
      const sum = (counts: object) => Object.values(counts).reduce((a: number, b: number) => a + b, 0);
      const { gained, lost, kept } = driftCounts(drifted);
      expect(before.size + sum(gained) - sum(lost)).toBe(after.size);
      expect(new Set(drifted.map(({ accession }) => accession)).size).toBe(drifted.length);
      // Only what differs in nothing but the day of its last change says the same and is another text.
      expect(gained['unexplained'] ?? 0).toBe(0);
      expect(lost['unexplained'] ?? 0).toBe(0);
      const both = [...after].filter(([id, text]) => before.has(id) && before.get(id) !== text);
      expect(sum(kept)).toBe(both.length);
    }),
    { numRuns: 500 },
  );
});

const heading = (label: string, entryTerms: string[]): Heading => ({
  label,
  entryTerms,
  scopeNote: '',
  broader: [],
  related: [],
  historyNote: null,
  subheadings: [],
});

test('headings that a search names are renamed where the vocabulary leads to one other heading, and nowhere else', () => {
  const tree = indexVocabulary({
    id: 'tree',
    name: 'A tree',
    release: '2026-10-01',
    headings: [
      heading('Work by night', ['Night work']),
      heading('Lamps', ['Bright light']),
      heading('Sunlight', ['Bright light']),
      heading('Sleep', []),
    ],
  });
  const read = parseCql(
    LABELS.map((label) => `el.heading = "${label}"`).join(' or ') + ' or el.words = "Night work"',
    { vocabulary: 'tree', limitFields: [] },
  );
  if (!read.ok) throw new Error(read.error.message);
  const renames = renamesBetween(read.query, tree);
  expect(renames).toEqual([{ from: 'Night work', to: 'Work by night' }]);
  const renamed = JSON.stringify(renameHeadings(read.query, renames));
  expect(renamed).toBe(JSON.stringify(read.query).replace('"label":"Night work"', '"label":"Work by night"'));
  expect(renamesBetween(read.query, { ...tree, vocabulary: { ...tree.vocabulary, id: 'other' } })).toEqual(
    [],
  );
});
