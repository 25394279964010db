/** What the interface asks of the server about lines of people’s own, and about what the parts of a strategy do. */
import type {
  NewOwnLines,
  OwnLineChange,
  OwnLineMerge,
  ReviewOwnLine,
  StrategyEffects,
  StrategyRead,
} from '@even-lantern/contract';
import { api, changes, COUNTED, ifMatch, STRATEGY } from './api.js';
import { reviewApi } from './reviewApi.js';
import { edit, shownAtOnce, type Edit } from './shownAtOnce.js';

export const ownLineApi = api.injectEndpoints({
  endpoints: (build) => ({
    addOwnLines: build.mutation<ReviewOwnLine[], { review: string; body: NewOwnLines }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/own-lines`, method: 'POST', body }),
      // They are there at once, so that nothing else is written meanwhile in their place.
      async onQueryStarted({ review, body: { before } }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer === null) return;
        dispatch(
          reviewApi.util.updateQueryData('review', review, ({ ownLines }) => {
            const added = answer.data.filter(({ id }) => ownLines.every((line) => line.id !== id));
            const at = ownLines.findIndex(({ id }) => id === before);
            ownLines.splice(at < 0 ? ownLines.length : at, 0, ...added);
          }),
        );
      },
      invalidatesTags: changes('OwnLines'),
    }),
    changeOwnLine: build.mutation<ReviewOwnLine, Edit<OwnLineChange>>({
      query: edit('own-lines'),
      onQueryStarted: shownAtOnce(({ removed, before, ...changed }) =>
        removed === undefined && before === undefined ? changed : null,
      ),
      invalidatesTags: changes('OwnLines'),
    }),
    mergeOwnLines: build.mutation<
      ReviewOwnLine[],
      { review: string; id: string; version: number; body: OwnLineMerge }
    >({
      query: ({ id, version, body }) => ({
        url: `own-lines/${id}/merge`,
        method: 'POST',
        body,
        headers: ifMatch(version),
      }),
      invalidatesTags: changes('OwnLines'),
    }),
    splitOwnLine: build.mutation<ReviewOwnLine[], { review: string; id: string; version: number }>({
      query: ({ id, version }) => ({
        url: `own-lines/${id}/split`,
        method: 'POST',
        body: {},
        headers: ifMatch(version),
      }),
      invalidatesTags: changes('OwnLines'),
    }),
    readStrategy: build.mutation<StrategyRead, { review: string; strategy: unknown }>({
      query: ({ review, strategy }) => ({
        url: `reviews/${review}/strategy.json`,
        method: 'POST',
        body: strategy,
      }),
      invalidatesTags: changes('Question', ...STRATEGY),
    }),
    effects: build.query<StrategyEffects, { review: string; database: string; all: boolean }>({
      query: ({ review, database, all }) => ({
        url: `reviews/${review}/effects`,
        params: { database, ...(all ? { all: 'yes' } : {}) },
      }),
      providesTags: [...COUNTED, 'Records'],
    }),
  }),
});
