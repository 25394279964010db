/** What the interface asks of the server about versions. */
import type {
  StrategyVersion,
  StrategyVersionWithState,
  VersionComparison,
  VersionComparisonRequest,
} from '@even-lantern/contract';
import { api, changes, COUNTED, EDITED, STRATEGY } from './api.js';

export const versionApi = api.injectEndpoints({
  endpoints: (build) => ({
    versions: build.query<StrategyVersion[], string>({
      query: (review) => `reviews/${review}/versions`,
      providesTags: ['Versions', ...STRATEGY],
    }),
    /** Keeps the present state, if it is not kept yet. */
    keepVersion: build.mutation<StrategyVersion[], string>({
      query: (review) => ({ url: `reviews/${review}/versions`, method: 'POST', body: {} }),
      async onQueryStarted(review, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer !== null) void dispatch(versionApi.util.upsertQueryData('versions', review, answer.data));
      },
    }),
    nameVersion: build.mutation<StrategyVersion[], { review: string; id: string; name: string }>({
      query: ({ review, id, name }) => ({
        url: `reviews/${review}/versions/${id}/name`,
        method: 'PUT',
        body: { name },
      }),
      async onQueryStarted({ review }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer !== null) void dispatch(versionApi.util.upsertQueryData('versions', review, answer.data));
      },
    }),
    version: build.query<StrategyVersionWithState, { review: string; id: string }>({
      query: ({ review, id }) => `reviews/${review}/versions/${id}`,
      providesTags: ['Versions', ...STRATEGY],
    }),
    goBack: build.mutation<{ left: string }, { review: string; id: string; lanes?: string[] }>({
      query: ({ review, id, lanes }) => ({
        url: `reviews/${review}/versions/${id}/go-back`,
        method: 'POST',
        body: lanes === undefined ? {} : { lanes },
      }),
      invalidatesTags: changes('Versions', ...EDITED),
    }),
    compareVersions: build.query<VersionComparison, { review: string; body: VersionComparisonRequest }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/versions/compare`, method: 'POST', body }),
      providesTags: COUNTED,
    }),
  }),
});
