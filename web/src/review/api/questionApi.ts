/** What the interface asks of the server about the elements of a question. */
import type { ElementChange, ReviewElement, Wording } from '@even-lantern/contract';
import { api, changes } from './api.js';
import { edit, shownAtOnce, type Edit } from './shownAtOnce.js';

export const questionApi = api.injectEndpoints({
  endpoints: (build) => ({
    changeElement: build.mutation<ReviewElement, Edit<ElementChange>>({
      query: edit('elements'),
      onQueryStarted: shownAtOnce((change) => change),
      // Lanes without a name have that of their element, and those of one that is not searched are not counted.
      invalidatesTags: changes('Question', 'Lanes'),
    }),
    wordings: build.query<Wording[], string>({
      query: (elementId) => `elements/${elementId}/wordings`,
      providesTags: ['Question'],
    }),
  }),
});
