/** How the interface asks the server; what it asks stands in a file for each area. */
import { PERSON_HEADER, type Problem } from '@even-lantern/contract';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { editsInOrder } from './editsInOrder.js';
import { personId } from './person.js';

/** What there is to know. A query says what it depends on, and an edit what it has changed. */
const TAGS = [
  'People',
  'Filters',
  'Databases',
  'DatabaseChoices',
  /** what databases find, which changes with their release, or with how much they may be asked */
  'DatabaseAnswers',
  'HandAnswers',
  'Vocabularies',
  'SettledHeadings',
  'Reviews',
  'Question',
  'Lanes',
  'Limits',
  'OwnLines',
  'WrittenLines',
  'Shelf',
  'Ladder',
  'Versions',
  'PeerReviews',
  'Ledger',
  'Records',
  'RecordDesigns',
  'Record',
] as const;
export type Tag = (typeof TAGS)[number];

/** What a search says. */
export const STRATEGY = ['Lanes', 'Limits', 'OwnLines', 'WrittenLines'] as const satisfies Tag[];
/** What every count of a search depends on. */
export const COUNTED = [...STRATEGY, 'SettledHeadings', 'DatabaseAnswers'] as const satisfies Tag[];
/** Whatever a review holds that people edit. */
export const EDITED = ['Question', ...STRATEGY, 'Shelf', 'Ladder'] as const satisfies Tag[];

/** What an edit has changed; nothing where it was refused. */
export const changes =
  (...tags: readonly Tag[]) =>
  (_result: unknown, error: unknown): readonly Tag[] =>
    error === undefined ? tags : [];

export const ifMatch = (version: number) => ({ 'If-Match': `"${version}"` });

export const api = createApi({
  baseQuery: editsInOrder(
    fetchBaseQuery({
      baseUrl: '/api',
      prepareHeaders: (headers) => {
        const id = personId();
        if (id !== null) headers.set(PERSON_HEADER, id);
        return headers;
      },
    }),
  ),
  tagTypes: TAGS,
  // Each area of the API adds its own.
  endpoints: () => ({}),
});

/** What to tell a person about a failed request. */
export function problemOf(error: unknown): Problem {
  if (typeof error === 'object' && error !== null && 'data' in error) {
    const { data } = error;
    if (typeof data === 'object' && data !== null && 'title' in data) return data as Problem;
  }
  return {
    type: 'about:blank',
    title: 'The server does not answer.',
    detail:
      'Everything saved is kept, and what you typed stays here. Check that Even Lantern is running, then try again.',
    status: 0,
  };
}
