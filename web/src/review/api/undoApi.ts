/** What the interface asks of the server to take edits back and to do them again. */
import type { EditTaken } from '@even-lantern/contract';
import { api, EDITED } from './api.js';

export const undoApi = api.injectEndpoints({
  endpoints: (build) => ({
    undo: build.mutation<EditTaken, { review: string; since: string | null }>({
      query: ({ review, since }) => ({ url: `reviews/${review}/undo`, method: 'POST', body: { since } }),
      invalidatesTags: (taken) => whatChanges(taken),
    }),
    redo: build.mutation<EditTaken, string>({
      query: (review) => ({ url: `reviews/${review}/redo`, method: 'POST', body: {} }),
      invalidatesTags: (taken) => whatChanges(taken),
    }),
  }),
});

function whatChanges(taken: EditTaken | undefined) {
  // What could not be taken back was changed by somebody else, so it is looked at again too.
  if (taken !== undefined && taken.words === null) return [];
  return EDITED;
}
