/** Everything the interface asks of the server. */
import type { LanesDocument, Vocabulary } from '@even-lantern/core';
import {
  PERSON_HEADER,
  type Candidates,
  type ChoiceChange,
  type ConvertedText,
  type DatabaseChoice,
  type DatabaseEvent,
  type DatabaseList,
  type DatabaseProfile,
  type DatabasesApart,
  type Decided,
  type Decision,
  type ElementChange,
  type EnteredCount,
  type ExploredServer,
  type GivenRecords,
  type HandAnswer,
  type IndexWords,
  type DesignCounts,
  type LaneEvent,
  type LanesRead,
  type LineConversion,
  type LineTextChange,
  type LineWritten,
  type NewDatabase,
  type NewSettlement,
  type Overlap,
  type Overview,
  type Person,
  type Problem,
  type RecordCounts,
  type RecordPage,
  type RecordQuery,
  type Rehearsal,
  type StrategyTotal,
  type Review,
  type ReviewChange,
  type ReviewElement,
  type ReviewRecord,
  type ReviewHoldings,
  ReviewSummary,
  type SaidOfDatabase,
  type Sample,
  type SampleRequest,
  type SettledStep,
  type TermCount,
  type RunMark,
  type Translation,
  type VocabularyFormat,
  type VocabularySummary,
  type Wording,
} from '@even-lantern/contract';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { outOfDateBy } from './databaseChanges.js';
import { editsInOrder } from './editsInOrder.js';
import { withEditsShown } from './editsShown.js';
import { personId } from './person.js';

export const ifMatch = (version: number) => ({ 'If-Match': `"${version}"` });

export const api = createApi({
  baseQuery: editsInOrder(
    fetchBaseQuery({
      baseUrl: '/api',
      prepareHeaders: (headers) => {
        const id = personId();
        if (id !== null) headers.set(PERSON_HEADER, id);
        return headers;
      },
    }),
  ),
  tagTypes: [
    'Answers',
    'Choices',
    'Databases',
    'Filters',
    'Crosswalk',
    'Vocabularies',
    'Wordings',
    'People',
    'Reviews',
    'Review',
    'Counts',
    'Ledger',
    'Records',
    'RecordDesigns',
    'Record',
  ],
  endpoints: (build) => ({
    people: build.query<Person[], void>({ query: () => 'people', providesTags: ['People'] }),
    addPerson: build.mutation<Person, string>({
      query: (name) => ({ url: 'people', method: 'POST', body: { name } }),
      invalidatesTags: ['People'],
    }),
    reviews: build.query<ReviewSummary[], void>({ query: () => 'reviews', providesTags: ['Reviews'] }),
    addReview: build.mutation<Review, string>({
      query: (title) => ({ url: 'reviews', method: 'POST', body: { title } }),
      invalidatesTags: ['Reviews'],
    }),
    review: build.query<Review, string>({
      query: (id) => `reviews/${id}`,
      transformResponse: withEditsShown,
      providesTags: ['Review'],
    }),
    changeReview: build.mutation<Review, { id: string; version: number } & ReviewChange>({
      query: ({ id, version, ...change }) => ({
        url: `reviews/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      invalidatesTags: ['Reviews', 'Review', 'Counts'],
    }),
    holdings: build.query<ReviewHoldings, string>({ query: (id) => `reviews/${id}/holdings` }),
    deleteReview: build.mutation<null, { id: string; title: string }>({
      query: ({ id, title }) => ({ url: `reviews/${id}/deletion`, method: 'POST', body: { title } }),
      invalidatesTags: (_result, error) => (error ? [] : ['Reviews']),
    }),
    changeElement: build.mutation<
      ReviewElement,
      { reviewId: string; id: string; version: number; change: ElementChange }
    >({
      query: ({ id, version, change }) => ({
        url: `elements/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      // The answer is put in place at once, so that the next edit is made on the new version.
      async onQueryStarted({ reviewId, id }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer === null) return;
        dispatch(
          api.util.updateQueryData('review', reviewId, (review) => {
            const element = review.elements.find((each) => each.id === id);
            if (element) Object.assign(element, answer.data);
          }),
        );
      },
      // The review too: one that was fetched meanwhile may have come after the answer, with what was before.
      invalidatesTags: (_result, error) => (error ? [] : ['Review', 'Reviews', 'Counts', 'Wordings']),
    }),
    readLanes: build.mutation<LanesRead, { reviewId: string; lanes: LanesDocument }>({
      query: ({ reviewId, lanes }) => ({
        url: `reviews/${reviewId}/lanes.json`,
        method: 'POST',
        body: lanes,
      }),
      invalidatesTags: (_result, error) => (error ? [] : ['Review', 'Reviews', 'Counts']),
    }),
    databases: build.query<DatabaseList, void>({
      query: () => 'databases',
      providesTags: ['Databases'],
      async onQueryStarted(_none, { dispatch, queryFulfilled, getCacheEntry, getState }) {
        const before = getCacheEntry().data;
        const answer = await queryFulfilled.catch(() => null);
        if (answer === null) return;
        const { data: vocabularies } = api.endpoints.vocabularies.select()(getState());
        const outOfDate = outOfDateBy(answer.data, before, vocabularies);
        if (outOfDate.length > 0) dispatch(api.util.invalidateTags(outOfDate));
      },
    }),
    vocabularies: build.query<VocabularySummary[], void>({
      query: () => 'vocabularies',
      providesTags: ['Vocabularies'],
    }),
    vocabulary: build.query<Vocabulary, string>({
      query: (id) => `vocabularies/${encodeURIComponent(id)}`,
      providesTags: (_result, _error, id) => [{ type: 'Vocabularies', id }],
    }),
    stopFile: build.mutation<null, string>({
      query: (job) => ({ url: `files/${job}/stop`, method: 'POST' }),
    }),
    databaseEvents: build.query<DatabaseEvent[], string>({
      query: (id) => `databases/${id}/events`,
      providesTags: ['Databases'],
    }),
    importVocabulary: build.mutation<
      VocabularySummary,
      { file: File; format: VocabularyFormat; job: string }
    >({
      query: ({ file, format, job }) => ({
        url: 'vocabularies',
        params: { file: file.name, job },
        method: 'POST',
        body: file,
        headers: { 'Content-Type': format },
      }),
      invalidatesTags: (_result, error) => (error ? [] : ['Vocabularies', 'Counts']),
    }),
    crosswalk: build.query<SettledStep[], void>({ query: () => 'crosswalk', providesTags: ['Crosswalk'] }),
    settle: build.mutation<SettledStep[], NewSettlement>({
      query: (body) => ({ url: 'crosswalk', method: 'POST', body }),
      // The answer is what is settled now, so it need not be asked for again.
      async onQueryStarted(_step, { dispatch, queryFulfilled }) {
        // A failure is told by whoever settled it.
        const answer = await queryFulfilled.catch(() => null);
        if (answer !== null) await dispatch(api.util.upsertQueryData('crosswalk', undefined, answer.data));
      },
      invalidatesTags: (_result, error) => (error ? [] : ['Counts']),
    }),
    words: build.query<IndexWords, { database: string; begins: string }>({
      query: ({ database, begins }) => ({ url: `databases/${database}/words`, params: { begins } }),
    }),
    overview: build.query<Overview, { database: string; text?: string }>({
      query: ({ database, text }) => ({
        url: `databases/${database}/overview`,
        ...(text === undefined ? {} : { params: { text } }),
      }),
      providesTags: ['Databases'],
    }),
    candidates: build.query<TermCount[], { review: string; candidates: Candidates }>({
      query: ({ review, candidates }) => ({
        url: `reviews/${review}/candidates`,
        method: 'POST',
        body: candidates,
      }),
      providesTags: ['Counts'],
    }),
    sample: build.query<Sample, SampleRequest>({
      query: (body) => ({ url: 'samples', method: 'POST', body }),
    }),
    wordings: build.query<Wording[], string>({
      query: (elementId) => `elements/${elementId}/wordings`,
      providesTags: ['Wordings'],
    }),
    history: build.query<LaneEvent[], string>({
      query: (laneId) => `lanes/${laneId}/history`,
      providesTags: ['Review'],
    }),
    rehearsal: build.query<Rehearsal, { review: string; database: string }>({
      query: ({ review, database }) => ({ url: `reviews/${review}/rehearsal`, params: { database } }),
      providesTags: ['Counts'],
    }),
    total: build.query<StrategyTotal, { review: string; database: string }>({
      query: ({ review, database }) => ({ url: `reviews/${review}/total`, params: { database } }),
      providesTags: ['Counts'],
    }),
    overlap: build.query<Overlap, string>({
      query: (review) => `reviews/${review}/overlap`,
      providesTags: ['Counts', 'Databases'],
    }),
    apart: build.query<DatabasesApart, { review: string; one: string; other: string }>({
      query: ({ review, one, other }) => `reviews/${review}/overlap/${one}/${other}`,
      providesTags: ['Counts', 'Databases'],
    }),
    translation: build.query<Translation, { review: string; database: string }>({
      query: ({ review, database }) => ({ url: `reviews/${review}/translation`, params: { database } }),
      providesTags: ['Counts'],
    }),
    convertLine: build.mutation<ConvertedText, { review: string; conversion: LineConversion }>({
      query: ({ review, conversion }) => ({
        url: `reviews/${review}/lines/conversion`,
        method: 'POST',
        body: conversion,
      }),
    }),
    writeLine: build.mutation<LineWritten, { review: string; change: LineTextChange }>({
      query: ({ review, change }) => ({ url: `reviews/${review}/lines`, method: 'PUT', body: change }),
      // The answer is the strategy as it stands now, so it need not be asked for again to be shown.
      async onQueryStarted({ review, change }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        const translation = answer?.data.translation ?? null;
        if (translation === null) return;
        const asked = { review, database: change.database };
        await dispatch(api.util.upsertQueryData('translation', asked, translation));
      },
      invalidatesTags: (_result, error) => (error ? [] : ['Counts']),
    }),
    databaseChoices: build.query<DatabaseChoice[], string>({
      query: (review) => `reviews/${review}/databases`,
      providesTags: ['Choices'],
    }),
    chooseDatabase: build.mutation<
      DatabaseChoice[],
      { review: string; database: string; change: ChoiceChange }
    >({
      query: ({ review, database, change }) => ({
        url: `reviews/${review}/databases/${database}`,
        method: 'PUT',
        body: change,
      }),
      invalidatesTags: ['Choices'],
    }),
    advanceDatabase: build.mutation<DatabaseProfile, string>({
      query: (id) => ({ url: `databases/${id}/advance`, method: 'POST' }),
      invalidatesTags: ['Databases', 'Counts', 'Vocabularies'],
    }),
    exploreServer: build.mutation<ExploredServer, string>({
      query: (address) => ({ url: 'databases/explorations', method: 'POST', body: { address } }),
    }),
    addDatabase: build.mutation<SaidOfDatabase, NewDatabase>({
      query: (body) => ({ url: 'databases', method: 'POST', body }),
      invalidatesTags: (_result, error) => (error ? [] : ['Databases']),
    }),
    saidOfDatabase: build.query<SaidOfDatabase, string>({
      query: (id) => `databases/${id}/said`,
      providesTags: ['Databases'],
    }),
    changeDatabase: build.mutation<SaidOfDatabase, SaidOfDatabase>({
      query: ({ id, ...database }) => ({ url: `databases/${id}`, method: 'PUT', body: database }),
      invalidatesTags: (_result, error) => (error ? [] : ['Databases', 'Counts']),
    }),
    removeDatabase: build.mutation<null, string>({
      query: (id) => ({ url: `databases/${id}`, method: 'DELETE' }),
      invalidatesTags: (_result, error) => (error ? [] : ['Databases']),
    }),
    restoreDatabase: build.mutation<SaidOfDatabase, string>({
      query: (id) => ({ url: `databases/${id}/restoration`, method: 'POST' }),
      invalidatesTags: (_result, error) => (error ? [] : ['Databases']),
    }),
    handAnswer: build.query<HandAnswer, { database: string; text: string }>({
      query: ({ database, text }) => ({
        url: `databases/${database}/answers`,
        method: 'POST',
        body: { text },
      }),
      providesTags: ['Answers'],
    }),
    enterCount: build.mutation<HandAnswer, { database: string; count: EnteredCount }>({
      query: ({ database, count }) => ({ url: `databases/${database}/answers`, method: 'PUT', body: count }),
      invalidatesTags: (_result, error) => (error ? [] : ['Answers', 'Counts']),
    }),
    giveRecords: build.mutation<GivenRecords, { database: string; answer: string; file: File; job: string }>({
      query: ({ database, answer, file, job }) => ({
        url: `databases/${database}/answers/${answer}/records`,
        params: { job },
        method: 'POST',
        body: file,
        headers: { 'Content-Type': 'text/plain' },
      }),
      invalidatesTags: (_result, error) => (error ? [] : ['Answers']),
    }),
    marks: build.query<Record<string, RunMark[]>, string>({
      query: (review) => `reviews/${review}/marks`,
      providesTags: ['Ledger'],
    }),
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

/** What to tell a person about a failed request. */
export function problemOf(error: unknown): Problem {
  if (typeof error === 'object' && error !== null && 'data' in error) {
    const { data } = error;
    if (typeof data === 'object' && data !== null && 'title' in data) return data as Problem;
  }
  return {
    type: 'about:blank',
    title: 'The server does not answer.',
    detail:
      'Everything saved is kept, and what you typed stays here. Check that Even Lantern is running, then try again.',
    status: 0,
  };
}
