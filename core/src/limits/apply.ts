/** How one database applies a limit: which ways it has, what is asked in the one that is taken, and what is left unsaid. */
import { phrasesQuery, STRENGTH_NAMES, type Strength } from '../designs/index.js';
import type { Query, SearchField } from '../query/index.js';
import type { LimitKind } from './kind.js';
import { limitKind } from './kinds/index.js';
import type { Limit, LimitValues, LimitWay, OwnWords } from './model.js';

/** What of a database decides how limits are applied there. */
export interface LimitsOfDatabase {
  id: string;
  /** its own limits by name, with their values; none where there are too many to list */
  limits: Readonly<Record<string, readonly string[]>>;
  /** whether it can be limited by year */
  years: boolean;
  /** the fields that it searches */
  fields: readonly SearchField[];
  /** by kind, the name of the own limit that somebody matched to it; others are matched by their names */
  matched?: Readonly<Record<string, string>>;
}

export interface AppliedLimit {
  /** the way taken; `none` where it is not applied */
  way: LimitWay;
  /** the ways there are here, the one that comes first before the others; without `none` */
  ways: readonly LimitWay[];
  /** what is asked; null where nothing is */
  query: Query | null;
  /** records that lack the data which the limit needs, so that it loses them unjudged; null where that cannot be asked */
  lacking: Query | null;
  /** values that are not known here, or cannot be said in words */
  unknown: readonly string[];
  /** why it is not applied, and what comes nearest, in sentences; null where it is */
  unavailable: string | null;
}

const EVERYTHING: Query = { kind: 'everything' };
/** By these a database tells what its indexers have not reached, and what has no abstract. */
const INDEXING = { field: 'indexing', value: 'not yet indexed' };
const HAS_ABSTRACT = { field: 'hasAbstract', value: 'no' };
const [FIRST_YEAR, LAST_YEAR] = [1, 9999];

/** The name of the own limit by which a database applies a kind; null where it has none. */
export function ownField(kind: LimitKind, { limits, matched = {} }: LimitsOfDatabase): string | null {
  const own = matched[kind.id];
  if (own !== undefined) return own;
  for (const name of kind.fields) {
    const field = Object.keys(limits).find((each) => each.toLowerCase() === name);
    if (field !== undefined) return field;
  }
  return null;
}

/** The ways in which a database can apply a kind, the one that is taken unless somebody chooses before the others. */
export function waysOf(kind: LimitKind, database: LimitsOfDatabase): LimitWay[] {
  const own = ownField(kind, database) !== null;
  if (kind.values === 'years') return (isPublication(kind) ? database.years : own) ? ['own'] : [];
  const needs: SearchField = kind.id === 'journal' ? 'journal' : 'words';
  const words = kind.wordsFor !== undefined && (needs === 'words' || database.fields.includes(needs));
  return [
    ...(own ? ['own' as const] : []),
    ...(words ? ['words' as const] : []),
    ...(own && words ? ['either' as const] : []),
  ];
}

/** How a limit is applied in a database, whether it is switched on or not. */
export function applyLimit(
  limit: Pick<Limit, 'kind' | 'values' | 'ways'>,
  database: LimitsOfDatabase,
): AppliedLimit {
  const kind = limitKind(limit.kind);
  const ways = waysOf(kind, database);
  const chosen = limit.ways[database.id];
  const none = (unavailable: string | null, unknown: readonly string[] = []): AppliedLimit => ({
    way: 'none', ways, query: null, lacking: null, unknown, unavailable,
  }); // prettier-ignore
  if (chosen === 'none') return none(null);
  const unasked = ways.find((each) => each === 'own' || kind.wordsUnasked === true);
  const way = chosen !== undefined && ways.includes(chosen) ? chosen : unasked;
  if (way === undefined) {
    return none(
      ways.length === 0
        ? `There is no limit of this kind here. ${kind.nearest}`
        : 'There is no limit of this kind here, so it is not applied. Words can stand for it, but they lose what does not name it: choose them if that is meant.',
    );
  }
  if (limit.values.kind === 'years') {
    const years = isPublication(kind) ? byYears(limit.values) : byListedYears(kind, limit.values, database);
    return years.query === null
      ? none(`No record of ${valuesText(limit.values)} is here. Choose other years.`)
      : { ...none(null), way, ...years };
  }
  const { values, strength, words: ownWords } = limit.values;
  const own = way === 'words' ? null : byOwnLimit(kind, values, database);
  // Where the own limit does not know all values, words stand in, as if there were no such limit.
  if (chosen === undefined && own !== null && own.unknown.length > 0 && canStandIn(kind, ways)) {
    const instead: LimitWay = own.query === null ? 'words' : 'either';
    return applyLimit({ ...limit, ways: { ...limit.ways, [database.id]: instead } }, database);
  }
  const words =
    way === 'own'
      ? null
      : ownWords === undefined
        ? byWords(kind, values, strength)
        : { query: phrasesQuery(ownWords), unknown: [] };
  // A value is unknown only where no way that is taken can say it.
  const unknown = values.filter(
    (value) => (own?.unknown.includes(value) ?? true) && (words?.unknown.includes(value) ?? true),
  );
  const queries = [own?.query ?? null, words?.query ?? null].filter((each) => each !== null);
  if (queries.length === 0) {
    const named = unknown.map((value) => `“${value}”`).join(', ');
    return none(`Nothing here is called ${named}. ${wayOut(kind, ways, way)}`, unknown);
  }
  const [only] = queries;
  const query: Query = queries.length === 1 && only !== undefined ? only : { kind: 'or', operands: queries };
  const lacking = way === 'own' ? (own?.lacking ?? null) : way === 'words' ? withoutAbstract(database) : null;
  return { way, ways, query, lacking, unknown, unavailable: null };
}

function canStandIn(kind: LimitKind, ways: readonly LimitWay[]): boolean {
  return kind.wordsUnasked === true && ways.includes('words');
}

function wayOut(kind: LimitKind, ways: readonly LimitWay[], way: LimitWay): string {
  const other = ways.find((each) => each !== way && each !== 'either');
  if (other === 'words') return 'Apply it by words here, or choose other values.';
  return other === 'own'
    ? 'Apply the own limit of this database, or choose other values.'
    : `Choose other values. ${kind.nearest}`;
}

function byYears({
  from,
  to,
}: {
  from: number | null;
  to: number | null;
}): Pick<AppliedLimit, 'query' | 'lacking'> {
  const anyYear: Query = { kind: 'limit', field: 'year', from: FIRST_YEAR, to: LAST_YEAR };
  return {
    query: { kind: 'limit', field: 'year', from, to },
    lacking: { kind: 'not', include: EVERYTHING, exclude: anyYear },
  };
}

/** Whether years are those of publication, which every record has and no limit by name stands for. */
function isPublication({ fields }: LimitKind): boolean {
  return fields.length === 0;
}

/** Years that a database lists as values of a limit. */
function byListedYears(
  kind: LimitKind,
  { from, to }: { from: number | null; to: number | null },
  database: LimitsOfDatabase,
): Pick<AppliedLimit, 'query' | 'lacking'> {
  const field = ownField(kind, database) ?? '';
  const listed = database.limits[field] ?? [];
  const accepted = listed.filter(
    (each) => Number(each) >= (from ?? -Infinity) && Number(each) <= (to ?? Infinity),
  );
  return {
    query: accepted.length === 0 ? null : { kind: 'limit', field, values: accepted },
    lacking: withoutValue(field, listed, database),
  };
}

interface Said {
  query: Query | null;
  unknown: string[];
}

function byOwnLimit(
  kind: LimitKind,
  values: readonly string[],
  database: LimitsOfDatabase,
): Said & { lacking: Query | null } {
  const field = ownField(kind, database);
  if (field === null) return { query: null, unknown: [...values], lacking: null };
  const listed = database.limits[field] ?? [];
  const known: string[] = [];
  const unknown: string[] = [];
  for (const value of values) {
    const here = namedHere(kind, value, listed);
    if (here === null) unknown.push(value);
    else known.push(...here);
  }
  const query: Query | null =
    known.length === 0 ? null : { kind: 'limit', field, values: [...new Set(known)] };
  const telling = listed.filter((each) => kind.saysNothing?.includes(each.toLowerCase()) !== true);
  return { query, unknown, lacking: withoutValue(field, telling, database) };
}

/** What a value is called among those of a database; null where it is not there. */
function namedHere(kind: LimitKind, value: string, listed: readonly string[]): string[] | null {
  const lower = value.toLowerCase();
  const names =
    kind.values === 'yes'
      ? (kind.yes ?? ['yes'])
      : [lower, ...(kind.alike?.find((group) => group.includes(lower)) ?? [])];
  // Where the values are not listed, it is asked as it is; the database then says whether it knows it.
  if (listed.length === 0) return [kind.values === 'yes' ? (names[0] ?? 'yes') : value];
  const found = listed.filter((each) => names.includes(each.toLowerCase()));
  return found.length === 0 ? null : found;
}

/** Records that have none of the values of a limit; null where these are not all known. */
function withoutValue(field: string, listed: readonly string[], database: LimitsOfDatabase): Query | null {
  if (listed.length > 0) {
    const exclude: Query = { kind: 'limit', field, values: [...listed] };
    return { kind: 'not', include: EVERYTHING, exclude };
  }
  return database.limits[INDEXING.field]?.includes(INDEXING.value) === true
    ? { kind: 'limit', field: INDEXING.field, values: [INDEXING.value] }
    : null;
}

/** Words are looked for in abstracts, so that records without one are hardly found by them. */
function withoutAbstract(database: LimitsOfDatabase): Query | null {
  const { field, value } = HAS_ABSTRACT;
  return database.limits[field]?.includes(value) === true ? { kind: 'limit', field, values: [value] } : null;
}

function byWords(kind: LimitKind, values: readonly string[], strength?: Strength): Said {
  const queries: Query[] = [];
  const unknown: string[] = [];
  for (const value of values) {
    const lower = value.toLowerCase();
    const group = kind.alike?.find((each) => each.includes(lower)) ?? [];
    const query = [value, ...group]
      .map((name) => kind.wordsFor?.(name, strength) ?? null)
      .find((each) => each !== null);
    if (query === undefined) unknown.push(value);
    else queries.push(query);
  }
  const [only] = queries;
  const query: Query | null =
    queries.length === 0
      ? null
      : queries.length === 1 && only !== undefined
        ? only
        : { kind: 'or', operands: queries };
  return { query, unknown };
}

/** The values of a limit, in words: “2005 to 2026”, “English, French”. Empty for one that is only on or off. */
export function valuesText(values: LimitValues): string {
  if (values.kind === 'values') {
    const { strength, words } = values;
    const text = values.values.join(', ') === 'yes' ? '' : values.values.join(', ');
    if (words !== undefined) return `${text} (${filterSourceText(words)})`;
    return strength === undefined ? text : `${text} (${STRENGTH_NAMES[strength]})`;
  }
  const { from, to } = values;
  if (from === null) return `up to ${to ?? ''}`;
  if (to === null) return `from ${from}`;
  return from === to ? String(from) : `${from} to ${to}`;
}

/** Whose words a filter has: “own words”, or “filter “Trials at night” by Ada, 2026-11-27”. */
export function filterSourceText({ from }: OwnWords): string {
  if (from === undefined) return 'own words';
  return `filter “${from.name}” by ${from.by}, ${from.date}${from.changed === true ? ', changed here' : ''}`;
}

/** A limit in a few words: “Years of publication 2005 to 2026”. */
export function limitText({ kind, values }: Pick<Limit, 'kind' | 'values'>): string {
  return `${limitKind(kind).name} ${valuesText(values)}`.trim();
}

const WAY_NAMES: Readonly<Record<LimitWay, string>> = {
  own: 'own limit',
  words: 'words',
  either: 'own limit or words',
  none: 'not applied',
};

/** How a limit is applied, in a few words. */
export function wayText(way: LimitWay): string {
  return WAY_NAMES[way];
}
