/** What the interface asks of the server about study designs. */
import type { Review, ReviewRecord, Rung, StudyDesigns } from '@even-lantern/contract';
import { api, ifMatch } from './api.js';

export const designApi = api.injectEndpoints({
  endpoints: (build) => ({
    designs: build.query<StudyDesigns, void>({ query: () => 'designs' }),
    judgeDesign: build.mutation<ReviewRecord, { id: string; design: string | null }>({
      query: ({ id, design }) => ({ url: `records/${id}/design`, method: 'POST', body: { design } }),
      // The answer is how the record stands now, so it need not be asked for again.
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer !== null) await dispatch(api.util.upsertQueryData('record', id, answer.data));
      },
    }),
    changeLadder: build.mutation<Review, { review: string; version: number; rungs: Rung[] | null }>({
      query: ({ review, version, rungs }) => ({
        url: `reviews/${review}/ladder`,
        method: 'PUT',
        body: { rungs },
        headers: ifMatch(version),
      }),
      invalidatesTags: (_result, error) => (error === undefined ? ['Review'] : []),
    }),
  }),
});
