/** What the interface asks of the server about reviews and what they hold. */
import type { Review, ReviewChange, ReviewHoldings, ReviewSummary } from '@even-lantern/contract';
import { api, changes, EDITED, ifMatch } from './api.js';
import { withEditsShown } from './editsShown.js';

export const reviewApi = api.injectEndpoints({
  endpoints: (build) => ({
    reviews: build.query<ReviewSummary[], void>({
      query: () => 'reviews',
      providesTags: ['Reviews', ...EDITED],
    }),
    addReview: build.mutation<Review, string>({
      query: (title) => ({ url: 'reviews', method: 'POST', body: { title } }),
      invalidatesTags: ['Reviews'],
    }),
    review: build.query<Review, string>({
      query: (id) => `reviews/${id}`,
      transformResponse: withEditsShown,
      providesTags: EDITED,
    }),
    changeReview: build.mutation<Review, { id: string; version: number } & ReviewChange>({
      query: ({ id, version, ...change }) => ({
        url: `reviews/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      invalidatesTags: ['Reviews', 'Question', 'Lanes'],
    }),
    holdings: build.query<ReviewHoldings, string>({ query: (id) => `reviews/${id}/holdings` }),
    deleteReview: build.mutation<null, { id: string; title: string }>({
      query: ({ id, title }) => ({ url: `reviews/${id}/deletion`, method: 'POST', body: { title } }),
      invalidatesTags: changes('Reviews'),
    }),
  }),
});
