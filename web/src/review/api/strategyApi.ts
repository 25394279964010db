/** What the interface asks of the server about the strategy of a review: what it finds, and how databases get it. */
import type {
  Candidates,
  ConvertedText,
  DatabasesApart,
  LineConversion,
  LineTextChange,
  LineWritten,
  Overlap,
  Rehearsal,
  StrategyTotal,
  TermCount,
  Translation,
} from '@even-lantern/contract';
import { api, changes, COUNTED } from './api.js';

export const strategyApi = api.injectEndpoints({
  endpoints: (build) => ({
    candidates: build.query<TermCount[], { review: string; candidates: Candidates }>({
      query: ({ review, candidates }) => ({
        url: `reviews/${review}/candidates`,
        method: 'POST',
        body: candidates,
      }),
      providesTags: COUNTED,
    }),
    rehearsal: build.query<Rehearsal, { review: string; database: string }>({
      query: ({ review, database }) => ({ url: `reviews/${review}/rehearsal`, params: { database } }),
      providesTags: COUNTED,
    }),
    total: build.query<StrategyTotal, { review: string; database: string }>({
      query: ({ review, database }) => ({ url: `reviews/${review}/total`, params: { database } }),
      providesTags: COUNTED,
    }),
    overlap: build.query<Overlap, string>({
      query: (review) => `reviews/${review}/overlap`,
      providesTags: [...COUNTED, 'Databases'],
    }),
    apart: build.query<DatabasesApart, { review: string; one: string; other: string }>({
      query: ({ review, one, other }) => `reviews/${review}/overlap/${one}/${other}`,
      providesTags: [...COUNTED, 'Databases'],
    }),
    translation: build.query<Translation, { review: string; database: string }>({
      query: ({ review, database }) => ({ url: `reviews/${review}/translation`, params: { database } }),
      providesTags: COUNTED,
    }),
    convertLine: build.mutation<ConvertedText, { review: string; conversion: LineConversion }>({
      query: ({ review, conversion }) => ({
        url: `reviews/${review}/lines/conversion`,
        method: 'POST',
        body: conversion,
      }),
    }),
    writeLine: build.mutation<LineWritten, { review: string; change: LineTextChange }>({
      query: ({ review, change }) => ({ url: `reviews/${review}/lines`, method: 'PUT', body: change }),
      // The answer is the strategy as it stands now, so it need not be asked for again to be shown.
      async onQueryStarted({ review, change }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        const translation = answer?.data.translation ?? null;
        if (translation === null) return;
        const args = { review, database: change.database };
        await dispatch(strategyApi.util.upsertQueryData('translation', args, translation));
      },
      invalidatesTags: changes('WrittenLines'),
    }),
  }),
});
