/** What the interface asks of the server about records. */
import type {
  Decided,
  Decision,
  DesignCounts,
  RecordCounts,
  RecordPage,
  RecordQuery,
  ReviewRecord,
} from '@even-lantern/contract';
import { api, ifMatch } from './api.js';

export const recordApi = api.injectEndpoints({
  endpoints: (build) => ({
    records: build.query<RecordPage, { review: string } & RecordQuery>({
      query: ({ review, ...params }) => ({ url: `reviews/${review}/records`, params }),
      // What is narrowed to a design changes when one is judged; other lists change in place.
      providesTags: (_result, _error, { design }) =>
        design === undefined ? ['Records'] : ['Records', 'RecordDesigns'],
    }),
    recordCounts: build.query<RecordCounts, string>({
      query: (review) => `reviews/${review}/records/counts`,
      providesTags: ['Records'],
    }),
    designCounts: build.query<DesignCounts, string>({
      query: (review) => `reviews/${review}/records/designs`,
      providesTags: ['Records', 'RecordDesigns'],
    }),
    record: build.query<ReviewRecord, string>({
      query: (id) => `records/${id}`,
      providesTags: (_result, _error, id) => [{ type: 'Record', id }],
    }),
    // What a decision changes in the lists that are loaded, `decideOn` changes there.
    decide: build.mutation<Decided, { id: string; decision: Decision; version: number }>({
      query: ({ id, decision, version }) => ({
        url: `records/${id}`,
        method: 'PATCH',
        body: { decision },
        headers: ifMatch(version),
      }),
    }),
  }),
});
