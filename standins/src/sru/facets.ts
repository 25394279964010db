/**
 * Facets of a result (OASIS searchRetrieve 1.0 part 2, parameters `facetLimit` and `facetSort`): how often each value
 * of an index occurs in the records found.
 */
import type { BibRecord } from '@even-lantern/core';
import type { StandInDatabase } from './database.js';
import { refuse } from './diagnostics.js';

export interface FacetTerm {
  value: string;
  /** CQL that narrows the result to this value */
  query: string;
  count: number;
}

export interface Facet {
  label: string;
  index: string;
  terms: FacetTerm[];
}

export interface FacetRequest {
  index: string;
  limit: number;
}

interface FacetIndex {
  label: string;
  values: (record: BibRecord) => readonly string[];
}

const DEFAULT_LIMIT = 10;
const MOST_TERMS = 500;

/** Reads `facetLimit`, such as `10:el.heading,5:el.year`, or a number alone for all facets of the database. */
export function readFacetLimit(text: string, database: StandInDatabase): FacetRequest[] {
  const indexes = facetIndexes(database);
  return text
    .split(',')
    .map((part) => part.trim())
    .filter((part) => part !== '')
    .flatMap((part): FacetRequest[] => {
      const match = /^(?:(\d+):)?(?:el\.)?([a-z]+)$|^(\d+)$/i.exec(part);
      if (match === null) refuse(6, 'facetLimit', `“${part}” is not read: write it like 10:el.heading.`);
      const limit = Math.min(Number(match[1] ?? match[3] ?? DEFAULT_LIMIT), MOST_TERMS);
      const name = match[2];
      if (name === undefined) return Object.keys(indexes).map((index) => ({ index, limit }));
      const index = Object.keys(indexes).find((each) => each.toLowerCase() === name.toLowerCase());
      if (index === undefined) refuse(16, part, `There are no facets of “${name}” here.`);
      return [{ index, limit }];
    });
}

/** Counts the values of each index asked for, the most frequent first. */
export function facetsOf(
  database: StandInDatabase,
  found: Uint32Array,
  requests: readonly FacetRequest[],
  sort: 'count' | 'value',
): Facet[] {
  const indexes = facetIndexes(database);
  return requests.flatMap(({ index, limit }) => {
    const shape = indexes[index];
    if (shape === undefined) return [];
    const counts = new Map<string, number>();
    for (const doc of found) {
      const record = database.records[doc];
      if (record === undefined) continue;
      for (const value of new Set(shape.values(record))) counts.set(value, (counts.get(value) ?? 0) + 1);
    }
    const byCount = [...counts].sort(([a, m], [b, n]) => n - m || (a < b ? -1 : 1)).slice(0, limit);
    const shown = sort === 'count' ? byCount : byCount.sort(([a], [b]) => (a < b ? -1 : 1));
    return [
      {
        label: shape.label,
        index: `el.${index}`,
        terms: shown.map(([value, count]) => ({ value, count, query: queryFor(index, value) })),
      },
    ];
  });
}

function facetIndexes(database: StandInDatabase): Record<string, FacetIndex> {
  return {
    year: { label: 'Year', values: (record) => [String(record.year)] },
    heading: { label: 'Heading', values: (record) => record.headings.map(({ label }) => label) },
    keywords: { label: 'Author keywords', values: (record) => record.keywords },
    ...Object.fromEntries(
      Object.keys(database.limits).map((field): [string, FacetIndex] => [
        field,
        { label: field, values: (record) => valuesOf(record, field) },
      ]),
    ),
  };
}

function valuesOf(record: BibRecord, field: string): readonly string[] {
  if (field === 'language') return [record.language];
  if (field === 'publicationType') return record.publicationTypes;
  return record.limits[field] ?? [];
}

function queryFor(index: string, value: string): string {
  const quoted = `"${value.replace(/[\\"]/g, '\\$&')}"`;
  return `el.${index} ${index === 'heading' ? '==' : '='} ${quoted}`;
}
