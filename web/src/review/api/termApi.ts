/** What the interface asks of the server about terms. */
import { EDIT_HEADER, type NewTerm, type ReviewTerm, type TermChange } from '@even-lantern/contract';
import { api, ifMatch } from './api.js';
import { reviewApi } from './reviewApi.js';
import { showUntilAnswered } from './editsShown.js';

export const termApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** @param edit the same for terms that are added as one edit */
    addTerm: build.mutation<ReviewTerm, { reviewId: string; term: NewTerm; edit: string }>({
      query: ({ reviewId, term, edit }) => ({
        url: `reviews/${reviewId}/terms`,
        method: 'POST',
        body: term,
        headers: { [EDIT_HEADER]: edit },
      }),
      invalidatesTags: (_result, error) => (error ? [] : ['Review', 'Counts']),
    }),
    changeTerm: build.mutation<
      ReviewTerm,
      { reviewId: string; id: string; version: number; change: TermChange }
    >({
      query: ({ id, version, change }) => ({
        url: `terms/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      // Shown at once, so that the next change is made of what one sees.
      async onQueryStarted({ reviewId, id, change: { content } }, { dispatch, queryFulfilled }) {
        if (content === undefined) return;
        const shown = dispatch(
          reviewApi.util.updateQueryData('review', reviewId, ({ lanes }) => {
            const term = lanes.flatMap(({ terms }) => terms).find((each) => each.id === id);
            if (term) term.content = content;
          }),
        );
        await showUntilAnswered(id, { content }, queryFulfilled).catch(() => shown.undo());
      },
      invalidatesTags: (_result, error) => (error ? [] : ['Review', 'Counts']),
    }),
  }),
});
