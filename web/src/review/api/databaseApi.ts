/** What the interface asks of the server about how much databases may be asked. */
import type { CallBudget } from '@even-lantern/contract';
import { api } from './api.js';

export const databaseApi = api.injectEndpoints({
  endpoints: (build) => ({
    changeBudget: build.mutation<CallBudget, { id: string; budget: CallBudget }>({
      query: ({ id, budget }) => ({ url: `databases/${id}/budget`, method: 'PUT', body: budget }),
      invalidatesTags: (_result, error) => (error === undefined ? ['Databases', 'Counts'] : []),
    }),
  }),
});
