/** What the interface asks of the server about the elements of a question. */
import type { ElementChange, ReviewElement, Wording } from '@even-lantern/contract';
import { api, ifMatch } from './api.js';
import { shownAtOnce, type Edit } from './shownAtOnce.js';

export const questionApi = api.injectEndpoints({
  endpoints: (build) => ({
    changeElement: build.mutation<ReviewElement, Edit<ElementChange>>({
      query: ({ id, version, change }) => ({
        url: `elements/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      onQueryStarted: shownAtOnce((change) => change),
      // The review too: one that was fetched meanwhile may have come after the answer, with what was before.
      invalidatesTags: (_result, error) => (error ? [] : ['Review', 'Reviews', 'Counts', 'Wordings']),
    }),
    wordings: build.query<Wording[], string>({
      query: (elementId) => `elements/${elementId}/wordings`,
      providesTags: ['Wordings'],
    }),
  }),
});
