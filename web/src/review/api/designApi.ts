/** What the interface asks of the server about study designs. */
import type {
  FilterFiguresAnswer,
  FilterFiguresRequest,
  NewSavedFilter,
  Review,
  ReviewRecord,
  Rung,
  SavedFilter,
  SavedFilterChange,
  StudyDesigns,
} from '@even-lantern/contract';
import { api, changes, COUNTED, ifMatch } from './api.js';
import { edit } from './shownAtOnce.js';
import { recordApi } from './recordApi.js';

export const designApi = api.injectEndpoints({
  endpoints: (build) => ({
    designs: build.query<StudyDesigns, void>({ query: () => 'designs' }),
    judgeDesign: build.mutation<ReviewRecord, { id: string; design: string | null }>({
      query: ({ id, design }) => ({ url: `records/${id}/design`, method: 'POST', body: { design } }),
      // The answer is how the record stands now, so it need not be asked for again.
      async onQueryStarted({ id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer !== null) await dispatch(recordApi.util.upsertQueryData('record', id, answer.data));
      },
      invalidatesTags: changes('Records', 'RecordDesigns'),
    }),
    savedFilters: build.query<SavedFilter[], void>({
      query: () => 'filters',
      providesTags: ['Filters'],
    }),
    saveFilter: build.mutation<SavedFilter, NewSavedFilter>({
      query: (body) => ({ url: 'filters', method: 'POST', body }),
      invalidatesTags: ['Filters'],
    }),
    changeFilter: build.mutation<SavedFilter, { id: string; version: number; change: SavedFilterChange }>({
      query: edit('filters'),
      // Somebody else’s change is seen at once by whoever came too late.
      invalidatesTags: ['Filters'],
    }),
    filterFigures: build.query<FilterFiguresAnswer, { review: string; body: FilterFiguresRequest }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/filter-figures`, method: 'POST', body }),
      providesTags: [...COUNTED, 'Records'],
    }),
    changeLadder: build.mutation<Review, { review: string; version: number; rungs: Rung[] | null }>({
      query: ({ review, version, rungs }) => ({
        url: `reviews/${review}/ladder`,
        method: 'PUT',
        body: { rungs },
        headers: ifMatch(version),
      }),
      invalidatesTags: changes('Ladder'),
    }),
  }),
});
