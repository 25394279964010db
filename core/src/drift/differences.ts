/** What differs between two states of one record, in words. */
import type { BibRecord, HeadingAssignment } from '../records/index.js';

/** A heading that has another name in the later release. */
export interface Renamed {
  from: string;
  to: string;
}

export interface RecordDifferences {
  /** it had no headings, and has some now */
  indexed: boolean;
  /** headings that came and went, beyond those that were only renamed */
  headingsAdded: string[];
  headingsGone: string[];
  /** of its headings, those that were only renamed */
  renamed: Renamed[];
  /** other parts that changed, such as “title” */
  parts: string[];
}

/** Parts of a record that authors and publishers write. */
const PARTS: readonly (readonly [name: string, of: (record: BibRecord) => unknown])[] = [
  ['title', ({ title }) => title],
  ['abstract', ({ abstract }) => abstract],
  ['keywords', ({ keywords }) => keywords],
  ['authors', ({ authors }) => authors],
  ['journal', ({ journal, volume, issue, pages }) => [journal, volume, issue, pages]],
  ['year', ({ year }) => year],
  ['DOI', ({ doi }) => doi],
  ['language', ({ language }) => language],
  ['further text', ({ fullText }) => fullText ?? []],
];
/** Parts that indexers write, with the headings. */
const BY_INDEXERS: typeof PARTS = [
  ['publication types', ({ publicationTypes }) => publicationTypes],
  ['limits', ({ limits }) => sortedKeys(limits)],
];

/** @param renames headings that have another name in the later release */
export function recordDifferences(
  then: BibRecord,
  now: BibRecord,
  renames: readonly Renamed[] = [],
): RecordDifferences {
  const names = new Map(renames.map(({ from, to }) => [from, to]));
  const before = new Map(then.headings.map((each) => [keyOf(each, names), each.label]));
  const after = new Map(now.headings.map((each) => [keyOf(each, NO_NAMES), each.label]));
  const indexed = then.headings.length === 0 && now.headings.length > 0;
  const differs = ([, of]: (typeof PARTS)[number]) => JSON.stringify(of(then)) !== JSON.stringify(of(now));
  const parts = PARTS.filter(differs).map(([name]) => name);
  // What indexers tell of a record comes with its headings.
  if (!indexed) parts.push(...BY_INDEXERS.filter(differs).map(([name]) => name));
  return {
    indexed,
    headingsAdded: labels([...after].filter(([key]) => !before.has(key))),
    headingsGone: labels([...before].filter(([key]) => !after.has(key))),
    renamed: [...before].flatMap(([key, from]) => {
      const to = after.get(key);
      return to === undefined || to === from ? [] : [{ from, to }];
    }),
    parts,
  };
}

/** Whether two states are one and the same, but for the day of the last change. */
export function isSameRecord({
  indexed,
  headingsAdded,
  headingsGone,
  renamed,
  parts,
}: RecordDifferences): boolean {
  return !indexed && headingsAdded.length + headingsGone.length + renamed.length + parts.length === 0;
}

/** The differences as a list of sentences without an end. */
export function differencesInWords(differences: RecordDifferences): string[] {
  const { indexed, headingsAdded, headingsGone, renamed, parts } = differences;
  return [
    ...(indexed ? [`got its headings: ${headingsAdded.join(', ')}`] : []),
    ...(!indexed && headingsAdded.length > 0 ? [`headings came: ${headingsAdded.join(', ')}`] : []),
    ...(headingsGone.length > 0 ? [`headings went: ${headingsGone.join(', ')}`] : []),
    ...renamed.map(({ from, to }) => `heading “${from}” is “${to}” now`),
    ...parts.map((part) => `${part} changed`),
  ];
}

const NO_NAMES: ReadonlyMap<string, string> = new Map();

function keyOf(
  { vocabulary, label, central, subheadings }: HeadingAssignment,
  names: ReadonlyMap<string, string>,
) {
  return JSON.stringify([vocabulary, names.get(label) ?? label, central, [...subheadings].sort()]);
}

function labels(entries: readonly (readonly [string, string])[]): string[] {
  return [...new Set(entries.map(([, label]) => label))].sort();
}

function sortedKeys(limits: BibRecord['limits']): unknown {
  return Object.entries(limits).sort(([a], [b]) => (a < b ? -1 : 1));
}
