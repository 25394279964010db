/** What the interface asks of the server about the shelf, and about concepts that become lanes. */
import type { NewConcepts, NewShelfItem, Review, ShelfItem, ShelfMoved } from '@even-lantern/contract';
import { api, changes, ifMatch } from './api.js';
import { reviewApi } from './reviewApi.js';

export const shelfApi = api.injectEndpoints({
  endpoints: (build) => ({
    makeConcepts: build.mutation<
      { laneIds: string[]; review: Review },
      { review: string; body: NewConcepts }
    >({
      query: ({ review, body }) => ({ url: `reviews/${review}/concepts`, method: 'POST', body }),
      // The lanes stand at once: where a database is slow, what is asked of it holds up asking for them.
      async onQueryStarted({ review }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer !== null)
          await dispatch(reviewApi.util.upsertQueryData('review', review, answer.data.review));
      },
      invalidatesTags: changes('Question', 'Lanes', 'Shelf'),
    }),
    putOnShelf: build.mutation<ShelfItem, { review: string; item: NewShelfItem }>({
      query: ({ review, item }) => ({ url: `reviews/${review}/shelf`, method: 'POST', body: item }),
      invalidatesTags: changes('Shelf'),
    }),
    takeOffShelf: build.mutation<ShelfItem, { id: string; version: number }>({
      query: ({ id, version }) => ({ url: `shelf/${id}`, method: 'DELETE', headers: ifMatch(version) }),
      invalidatesTags: changes('Shelf'),
    }),
    moveFromShelf: build.mutation<ShelfMoved, { id: string; version: number; laneId: string }>({
      query: ({ id, version, laneId }) => ({
        url: `shelf/${id}/lane`,
        method: 'POST',
        body: { laneId },
        headers: ifMatch(version),
      }),
      invalidatesTags: changes('Question', 'Lanes', 'Shelf'),
    }),
  }),
});
