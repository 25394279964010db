/** What the interface asks of the server about terms. */
import { EDIT_HEADER, type NewTerm, type ReviewTerm, type TermChange } from '@even-lantern/contract';
import { api, changes } from './api.js';
import { edit, shownAtOnce, type Edit } from './shownAtOnce.js';

export const termApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** @param edit the same for terms that are added as one edit */
    addTerm: build.mutation<ReviewTerm, { review: string; term: NewTerm; edit: string }>({
      query: ({ review, term, edit }) => ({
        url: `reviews/${review}/terms`,
        method: 'POST',
        body: term,
        headers: { [EDIT_HEADER]: edit },
      }),
      invalidatesTags: changes('Lanes'),
    }),
    changeTerm: build.mutation<ReviewTerm, Edit<TermChange>>({
      query: edit('terms'),
      onQueryStarted: shownAtOnce(({ content }) => (content === undefined ? null : { content })),
      invalidatesTags: changes('Lanes'),
    }),
  }),
});
