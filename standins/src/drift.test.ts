import { join } from 'node:path';
import {
  allNarrower,
  buildIndex,
  docsOf,
  driftCounts,
  evaluate,
  explainRecord,
  indexVocabulary,
  parseCql,
  recordsToExplain,
  renameHeadings,
  renamesBetween,
  type BibRecord,
  type Query,
  type Vocabulary,
} from '@even-lantern/core';
import { readContent } from './application.js';
import { readDatabases, readLimitRules, readVocabularies } from './content.js';
import { generateCorpora } from './corpora.js';
import { recordsOf, vocabularyOf } from './releases.js';

const folder = join(__dirname, '..', 'content');
const vocabularies = readVocabularies(folder);
const recipes = readDatabases(folder).map((recipe) => ({ ...recipe, size: 300 }));
const { histories } = generateCorpora({
  content: readContent(folder),
  vocabularies,
  recipes,
  limits: readLimitRules(folder),
});

interface State {
  release: string;
  vocabulary: Vocabulary | null;
  records: Map<string, BibRecord>;
  find(query: Query): Map<string, string>;
}

function stateOf(recipe: (typeof recipes)[number], release: string): State {
  const authored = vocabularies.find(({ id }) => id === recipe.vocabulary) ?? null;
  const history = histories.get(recipe.id);
  if (history === undefined) throw new Error(recipe.id);
  const records = recordsOf(history, release, authored, recipe.present);
  const vocabulary = authored === null ? null : vocabularyOf(authored, release, recipe.present);
  const tree = vocabulary === null ? null : indexVocabulary(vocabulary);
  const index = buildIndex(records);
  return {
    release,
    vocabulary,
    records: new Map(records.map((each) => [each.accession, each])),
    find(query) {
      const found = evaluate(query, index, {
        narrowerOf: (_vocabulary, label) =>
          tree === null ? [] : (allNarrower(tree, label)?.map((each) => each.label) ?? null),
      });
      if (!found.ok) throw new Error(found.error.message);
      return new Map(
        [...docsOf(found.documents)].flatMap((doc) => {
          const each = records[doc];
          return each === undefined ? [] : [[each.accession, JSON.stringify(each)] as const];
        }),
      );
    },
  };
}

/** Searches by words, by headings of then with what is narrower, by limits, and by what is left out. */
function searches({ vocabulary }: State): string[] {
  const words = ['el.words = "night*"', 'el.title = "light"', 'el.words = "sleep" not el.words = "trial"'];
  if (vocabulary === null) return [...words, 'el.language = "English"'];
  const broad = vocabulary.headings.filter(({ broader }) => broader.length === 0);
  const renamedLater = vocabularies
    .flatMap(({ changes }) =>
      changes.flatMap((change) => ('renamed' in change ? Object.values(change.renamed) : [])),
    )
    .filter((label) => vocabulary.headings.some((each) => each.label === label));
  return [
    ...words,
    'el.words = "night*" not el.indexing = "not yet indexed"',
    ...broad.slice(0, 3).map(({ label }) => `el.heading =/el.narrower "${label}"`),
    ...renamedLater.map((label) => `el.heading = "${label}"`),
    ...renamedLater.map((label) => `el.words = "work" or el.heading = "${label}"`),
  ];
}

test.each(recipes.map((recipe) => [recipe.id, recipe] as const))(
  'between any two releases of %s, what drifted adds up and nothing is unexplained',
  (_id, recipe) => {
    const states = recipe.releases.map((release) => stateOf(recipe, release));
    const reasons = new Set<string>();
    for (const [i, then] of states.entries()) {
      for (const now of states.slice(i + 1)) {
        for (const text of searches(then)) {
          const id = then.vocabulary?.id ?? '';
          const read = parseCql(text, { vocabulary: id, limitFields: ['language', 'indexing'] });
          if (!read.ok) throw new Error(read.error.message);
          const renames =
            now.vocabulary === null ? [] : renamesBetween(read.query, indexVocabulary(now.vocabulary));
          const before = then.find(read.query);
          const after = now.find(renameHeadings(read.query, renames));
          const drifted = recordsToExplain(before, after).map(({ accession, side }) =>
            explainRecord(
              {
                accession,
                side,
                then: then.records.get(accession) ?? 'absent',
                now: now.records.get(accession) ?? 'absent',
              },
              { releases: { then: then.release, now: now.release }, renames },
            ),
          );
          const sum = (counts: object) => Object.values(counts).reduce((a: number, b: number) => a + b, 0);
          const { gained, lost } = driftCounts(drifted);
          expect(before.size + sum(gained) - sum(lost)).toBe(after.size);
          expect(drifted.filter((each) => each.side !== 'kept' && each.reason === 'unexplained')).toEqual([]);
          // The reason is what happened: nothing is new that was there, nor withdrawn that still is.
          for (const { accession, reason } of drifted) {
            expect([accession, reason === 'new']).toEqual([accession, !then.records.has(accession)]);
            expect([accession, reason === 'withdrawn']).toEqual([accession, !now.records.has(accession)]);
            reasons.add(reason);
          }
        }
      }
    }
    expect([...reasons]).toEqual(expect.arrayContaining(['new', 'changed']));
    if (recipe.vocabulary !== null) expect(reasons.has('indexed')).toBe(true);
  },
  120_000,
);
