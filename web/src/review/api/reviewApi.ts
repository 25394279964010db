/** What the interface asks of the server about reviews, their question and what they hold. */
import type {
  ElementChange,
  Review,
  ReviewChange,
  ReviewElement,
  ReviewHoldings,
  ReviewSummary,
  Wording,
} from '@even-lantern/contract';
import { api, ifMatch } from './api.js';
import { withEditsShown } from './editsShown.js';

export const reviewApi = api.injectEndpoints({
  endpoints: (build) => ({
    reviews: build.query<ReviewSummary[], void>({ query: () => 'reviews', providesTags: ['Reviews'] }),
    addReview: build.mutation<Review, string>({
      query: (title) => ({ url: 'reviews', method: 'POST', body: { title } }),
      invalidatesTags: ['Reviews'],
    }),
    review: build.query<Review, string>({
      query: (id) => `reviews/${id}`,
      transformResponse: withEditsShown,
      providesTags: ['Review'],
    }),
    changeReview: build.mutation<Review, { id: string; version: number } & ReviewChange>({
      query: ({ id, version, ...change }) => ({
        url: `reviews/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      invalidatesTags: ['Reviews', 'Review', 'Counts'],
    }),
    holdings: build.query<ReviewHoldings, string>({ query: (id) => `reviews/${id}/holdings` }),
    deleteReview: build.mutation<null, { id: string; title: string }>({
      query: ({ id, title }) => ({ url: `reviews/${id}/deletion`, method: 'POST', body: { title } }),
      invalidatesTags: (_result, error) => (error ? [] : ['Reviews']),
    }),
    changeElement: build.mutation<
      ReviewElement,
      { reviewId: string; id: string; version: number; change: ElementChange }
    >({
      query: ({ id, version, change }) => ({
        url: `elements/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      // The answer is put in place at once, so that the next edit is made on the new version.
      async onQueryStarted({ reviewId, id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer === null) return;
        dispatch(
          reviewApi.util.updateQueryData('review', reviewId, (review) => {
            const element = review.elements.find((each) => each.id === id);
            if (element) Object.assign(element, answer.data);
          }),
        );
      },
      // The review too: one that was fetched meanwhile may have come after the answer, with what was before.
      invalidatesTags: (_result, error) => (error ? [] : ['Review', 'Reviews', 'Counts', 'Wordings']),
    }),
    wordings: build.query<Wording[], string>({
      query: (elementId) => `elements/${elementId}/wordings`,
      providesTags: ['Wordings'],
    }),
  }),
});
