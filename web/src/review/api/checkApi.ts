/** What the interface asks of the server about checks. */
import type { AcceptedFinding, FindingAcceptance, MendEffects, MendsRequest } from '@even-lantern/contract';
import { api, COUNTED } from './api.js';
import { reviewApi } from './reviewApi.js';

export const checkApi = api.injectEndpoints({
  endpoints: (build) => ({
    mends: build.query<MendEffects, { review: string; body: MendsRequest }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/mends`, method: 'POST', body }),
      providesTags: COUNTED,
    }),
    acceptFinding: build.mutation<AcceptedFinding[], { review: string; body: FindingAcceptance }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/accepted-findings`, method: 'POST', body }),
      async onQueryStarted({ review }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer === null) return;
        dispatch(
          reviewApi.util.updateQueryData('review', review, (draft) => {
            draft.accepted = answer.data;
          }),
        );
      },
    }),
  }),
});
