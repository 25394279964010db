/** A stand-in through time: its releases, the one it is in, and the step to the next. */
import { indexVocabulary, type BibRecord, type Vocabulary } from '@even-lantern/core';
import type { AuthoredVocabulary, DatabaseRecipe } from './content.js';
import type { Corpus } from './corpus.js';
import { recordsOf, vocabularyOf } from './releases.js';
import type { StandInDatabase } from './sru/database.js';

export interface StandIn {
  id: string;
  name: string;
  releases: readonly string[];
  /** the release that answers when none is asked for */
  present(): StandInDatabase;
  /** Its vocabulary as it was in each release up to the present one, the present first; none where it has none. */
  vocabularies(): Vocabulary[];
  /** Its state in a release that has come, made when it is asked for first; null for another. */
  at(release: string): StandInDatabase | null;
  /** Goes on to the next release. @returns it, or null when there is none */
  advance(): StandInDatabase | null;
}

/** Limits whose values are too many to be listed. */
const UNLISTED = new Set(['cites']);
const PAGE_CAP = 100;

/**
 * @param vocabulary as it was authored; null for a database without one
 * @param started the release it is in, if it has been advanced before
 * @param remember called with the release after each step
 */
export function standIn(
  recipe: DatabaseRecipe,
  vocabulary: AuthoredVocabulary | null,
  corpus: Corpus,
  started: string | undefined,
  remember: (release: string) => void,
): StandIn {
  const { id, name, releases } = recipe;
  const opened = new Map<string, StandInDatabase>();
  const known = started !== undefined && releases.includes(started);
  let present = known ? started : recipe.present;

  const open = (release: string): StandInDatabase => {
    const before = opened.get(release);
    if (before !== undefined) return before;
    const history = corpus.histories.get(id) ?? { records: [], changes: [] };
    const records = recordsOf(history, release, vocabulary, recipe.present);
    const tree = vocabulary === null ? null : indexVocabulary(vocabularyAt(vocabulary, release, recipe));
    const database: StandInDatabase = {
      id,
      name,
      description: recipe.description,
      about: recipe.about,
      release,
      records,
      index: corpus.indexOf(id, release, records),
      tree,
      limits: limitsOf(records),
      pageCap: PAGE_CAP,
    };
    opened.set(release, database);
    return database;
  };
  const next = () => releases[releases.indexOf(present) + 1] ?? null;

  return {
    id,
    name,
    releases,
    present: () => ({ ...open(present), releases: releases.filter((each) => each <= present), next: next() }),
    vocabularies() {
      const past = releases.filter((release) => release <= present).reverse();
      return vocabulary === null ? [] : past.map((release) => vocabularyAt(vocabulary, release, recipe));
    },
    at(release) {
      return release <= present && releases.includes(release) ? open(release) : null;
    },
    advance() {
      const release = next();
      if (release === null) return null;
      present = release;
      remember(release);
      return open(release);
    },
  };
}

/** A vocabulary has the date of the last change to it. */
function vocabularyAt(vocabulary: AuthoredVocabulary, release: string, recipe: DatabaseRecipe): Vocabulary {
  const dates = [vocabulary.release, ...vocabulary.changes.map((change) => change.release)];
  const last =
    dates
      .filter((date) => date <= release)
      .sort()
      .at(-1) ?? release;
  return { ...vocabularyOf(vocabulary, release, recipe.present), release: last };
}

function limitsOf(records: readonly BibRecord[]): Record<string, string[]> {
  const values = new Map<string, Set<string>>();
  const add = (field: string, value: string) => {
    let known = values.get(field);
    if (known === undefined) values.set(field, (known = new Set()));
    if (!UNLISTED.has(field)) known.add(value);
  };
  for (const record of records) {
    add('language', record.language);
    for (const type of record.publicationTypes) add('publicationType', type);
    for (const [field, own] of Object.entries(record.limits)) for (const value of own) add(field, value);
  }
  return Object.fromEntries([...values].map(([field, known]) => [field, [...known].sort()]));
}
