/** How the interface asks the server; what it asks stands in a file for each area. */
import { PERSON_HEADER, type Problem } from '@even-lantern/contract';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { editsInOrder } from './editsInOrder.js';
import { personId } from './person.js';

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
  tagTypes: [
    'Answers',
    'Choices',
    'Databases',
    'Filters',
    'Crosswalk',
    'Vocabularies',
    'Wordings',
    'People',
    'Reviews',
    'Review',
    'Counts',
    'Ledger',
    'Records',
    'RecordDesigns',
    'Record',
  ],
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
