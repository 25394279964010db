/** What the interface asks of the server about vocabularies, and about what stands for a heading in another one. */
import type { Vocabulary } from '@even-lantern/core';
import type {
  FileEncodingName,
  NewSettlement,
  SettledStep,
  VocabularyFormat,
  VocabularySummary,
} from '@even-lantern/contract';
import { api, changes } from './api.js';

export const vocabularyApi = api.injectEndpoints({
  endpoints: (build) => ({
    vocabularies: build.query<VocabularySummary[], void>({
      query: () => 'vocabularies',
      providesTags: ['Vocabularies'],
    }),
    vocabulary: build.query<Vocabulary, string>({
      query: (id) => `vocabularies/${encodeURIComponent(id)}`,
      providesTags: (_result, _error, id) => [{ type: 'Vocabularies', id }],
    }),
    importVocabulary: build.mutation<
      VocabularySummary,
      { file: File; format: VocabularyFormat; job: string; encoding?: FileEncodingName | undefined }
    >({
      query: ({ file, format, job, encoding }) => ({
        url: 'vocabularies',
        params: { file: file.name, job, ...(encoding === undefined ? {} : { encoding }) },
        method: 'POST',
        body: file,
        headers: { 'Content-Type': format },
      }),
      invalidatesTags: changes('Vocabularies', 'DatabaseAnswers'),
    }),
    crosswalk: build.query<SettledStep[], void>({
      query: () => 'crosswalk',
      providesTags: ['SettledHeadings'],
    }),
    settle: build.mutation<SettledStep[], NewSettlement>({
      query: (body) => ({ url: 'crosswalk', method: 'POST', body }),
      // The answer is what is settled now, so it need not be asked for again.
      async onQueryStarted(_step, { dispatch, queryFulfilled }) {
        // A failure is told by whoever settled it.
        const answer = await queryFulfilled.catch(() => null);
        if (answer !== null)
          await dispatch(vocabularyApi.util.upsertQueryData('crosswalk', undefined, answer.data));
      },
      invalidatesTags: changes('SettledHeadings'),
    }),
  }),
});
