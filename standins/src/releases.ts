/** Releases: what a database and its vocabulary were, or will be, on a date. */
import type { BibRecord, Heading, Vocabulary } from '@even-lantern/core';
import type { AuthoredVocabulary, VocabularyChange } from './content.js';

/** What happened to one record with a release. */
export type RecordChange =
  | { release: string; accession: string; kind: 'withdrawn' }
  | { release: string; accession: string; kind: 'corrected'; correct: Partial<BibRecord> };

/** Everything a database will ever hold, with what happens to it. */
export interface History {
  /** oldest first; indexed records as they are once they are indexed */
  records: readonly BibRecord[];
  changes: readonly RecordChange[];
}

/** The last day whose records a release holds, in milliseconds: those that arrive on its own day are in it. */
export function lastEntryOf(release: string): number {
  return Date.parse(release);
}

/**
 * The records of a release: those that had come in, without the headings that were given later, with what had been
 * corrected and without what had been withdrawn.
 * @param vocabulary of the database, as it was authored; null when it has none
 * @param present the release that the vocabulary was written as of
 */
export function recordsOf(
  { records, changes }: History,
  release: string,
  vocabulary: AuthoredVocabulary | null,
  present: string,
): BibRecord[] {
  const until = isoDay(lastEntryOf(release));
  const done = changes.filter((change) => change.release <= release);
  const withdrawn = new Set(done.flatMap((each) => (each.kind === 'withdrawn' ? [each.accession] : [])));
  const corrected = new Map(
    done.flatMap((each) => (each.kind === 'corrected' ? [[each.accession, each.correct] as const] : [])),
  );
  const relabel = relabelling(vocabulary?.changes ?? [], release, present);
  return records
    .filter(({ entered, accession }) => (entered ?? '') <= until && !withdrawn.has(accession))
    .map((record) => {
      const correct = corrected.get(record.accession);
      const mended = correct === undefined ? record : { ...record, ...correct };
      if (mended.changed !== null && mended.changed > until) return notYetIndexed(mended);
      return { ...mended, headings: withNewHeadings(mended, vocabulary, release).flatMap(relabel) };
    });
}

/** Records as they are on a day: without the headings that are given later. */
export function asIndexedOn(records: readonly BibRecord[], day: string): BibRecord[] {
  return records.map((record) =>
    record.changed !== null && record.changed > day ? notYetIndexed(record) : record,
  );
}

/** What indexers tell of the people of a study. */
const BY_INDEXERS = ['ageGroup', 'sex', 'species'];
/** The type that a record has before indexers say more; where a database has such types, they label designs. */
const BEFORE_INDEXING = 'Journal article';

/** As it stood before indexers came by. */
function notYetIndexed(record: BibRecord): BibRecord {
  const { indexing, ...rest } = record.limits;
  const kept = Object.entries(rest).filter(([field]) => !BY_INDEXERS.includes(field));
  const limits = Object.fromEntries(
    indexing === undefined ? kept : [...kept, ['indexing', ['not yet indexed']]],
  );
  const publicationTypes =
    indexing !== undefined && record.publicationTypes.includes(BEFORE_INDEXING)
      ? [BEFORE_INDEXING]
      : record.publicationTypes;
  return { ...record, headings: [], limits, publicationTypes, changed: null };
}

type Assignment = BibRecord['headings'][number];

function withNewHeadings(
  record: BibRecord,
  vocabulary: AuthoredVocabulary | null,
  release: string,
): Assignment[] {
  if (vocabulary === null) return record.headings;
  const added = vocabulary.changes.flatMap((change) => {
    if (!('added' in change) || change.with === undefined || change.release > release) return [];
    const beside = record.headings.find(({ label }) => label === change.with);
    const since = record.changed ?? record.entered ?? '';
    if (beside === undefined || since < change.release.slice(0, 7)) return [];
    return [{ ...beside, label: change.added, central: false, subheadings: [] }];
  });
  return [...record.headings, ...added];
}

/** What a heading is called in a release; nothing when it had not come in. */
function relabelling(
  changes: readonly VocabularyChange[],
  release: string,
  present: string,
): (assignment: Assignment) => Assignment[] {
  const names = namesIn(changes, release, present);
  return (assignment) => {
    const name = names.get(assignment.label);
    if (name === null) return [];
    return [name === undefined ? assignment : { ...assignment, label: name }];
  };
}

/** By the label that is authored: the label in a release, or null where the heading had not come in. */
function namesIn(
  changes: readonly VocabularyChange[],
  release: string,
  present: string,
): ReadonlyMap<string, string | null> {
  const names = new Map<string, string | null>();
  for (const change of changes) {
    const happened = change.release <= release;
    if ('added' in change) {
      if (!happened) names.set(change.added, null);
    } else {
      const { from, to } = change.renamed;
      names.set(change.release <= present ? to : from, happened ? to : from);
    }
  }
  return names;
}

/** The vocabulary as it stood in a release. */
export function vocabularyOf(authored: AuthoredVocabulary, release: string, present: string): Vocabulary {
  const names = namesIn(authored.changes, release, present);
  const rename = (label: string): string[] => {
    const name = names.get(label);
    return name === null ? [] : [name ?? label];
  };
  const renamed = new Map(
    authored.changes.flatMap((change) =>
      'renamed' in change && change.release <= release ? [[change.renamed.to, change] as const] : [],
    ),
  );
  const headings = authored.headings.flatMap((heading): Heading[] => {
    const [label] = rename(heading.label);
    if (label === undefined) return [];
    const change = renamed.get(label);
    const before = change === undefined ? [] : [change.renamed.from];
    return [
      {
        ...heading,
        label,
        broader: heading.broader.flatMap(rename),
        related: heading.related.flatMap(rename),
        entryTerms: [...before, ...heading.entryTerms.filter((term) => !before.includes(term))],
        historyNote:
          change === undefined
            ? heading.historyNote
            : `Until ${change.release.slice(0, 7)} named ${change.renamed.from}.`,
      },
    ];
  });
  return { id: authored.id, name: authored.name, release, headings };
}

export function isoDay(day: number): string {
  return new Date(day).toISOString().slice(0, 10);
}
