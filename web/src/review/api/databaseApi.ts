/** What the interface asks of the server about databases, and of databases themselves. */
import type {
  CallBudget,
  ChoiceChange,
  DatabaseChoice,
  DatabaseEvent,
  DatabaseList,
  DatabaseProfile,
  EnteredCount,
  ExploredServer,
  FileEncodingName,
  GivenRecords,
  HandAnswer,
  IndexWords,
  NewDatabase,
  Overview,
  DatabaseSettings,
  Sample,
  SampleRequest,
} from '@even-lantern/contract';
import { api, changes } from './api.js';
import { outOfDateBy } from './databaseChanges.js';
import { vocabularyApi } from './vocabularyApi.js';

/** An exported file of records for a string of a database that is asked by hand. */
export interface GivenFile {
  database: string;
  /** the id of the answer for the string */
  answer: string;
  file: File;
  job: string;
  /** in which encoding it is; found where nobody says so */
  encoding?: FileEncodingName;
  /** the job of its earlier reading, of which this one takes the place */
  insteadOf?: string;
}

export const databaseApi = api.injectEndpoints({
  endpoints: (build) => ({
    databases: build.query<DatabaseList, void>({
      query: () => 'databases',
      providesTags: ['Databases'],
      async onQueryStarted(_none, { dispatch, queryFulfilled, getCacheEntry, getState }) {
        const before = getCacheEntry().data;
        const answer = await queryFulfilled.catch(() => null);
        if (answer === null) return;
        const { data: vocabularies } = vocabularyApi.endpoints.vocabularies.select()(getState());
        const outOfDate = outOfDateBy(answer.data, before, vocabularies);
        if (outOfDate.length > 0) dispatch(api.util.invalidateTags(outOfDate));
      },
    }),
    databaseEvents: build.query<DatabaseEvent[], string>({
      query: (id) => `databases/${id}/events`,
      providesTags: ['Databases'],
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
    sample: build.query<Sample, SampleRequest>({
      query: (body) => ({ url: 'samples', method: 'POST', body }),
    }),
    databaseChoices: build.query<DatabaseChoice[], string>({
      query: (review) => `reviews/${review}/databases`,
      providesTags: ['DatabaseChoices'],
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
      invalidatesTags: ['DatabaseChoices'],
    }),
    advanceDatabase: build.mutation<DatabaseProfile, string>({
      query: (id) => ({ url: `databases/${id}/advance`, method: 'POST' }),
      invalidatesTags: ['Databases', 'DatabaseAnswers', 'Vocabularies'],
    }),
    exploreServer: build.mutation<ExploredServer, string>({
      query: (address) => ({ url: 'databases/explorations', method: 'POST', body: { address } }),
    }),
    addDatabase: build.mutation<DatabaseSettings, NewDatabase>({
      query: (body) => ({ url: 'databases', method: 'POST', body }),
      invalidatesTags: changes('Databases'),
    }),
    databaseSettings: build.query<DatabaseSettings, string>({
      query: (id) => `databases/${id}/settings`,
      providesTags: ['Databases'],
    }),
    changeDatabase: build.mutation<DatabaseSettings, DatabaseSettings>({
      query: ({ id, ...database }) => ({ url: `databases/${id}`, method: 'PUT', body: database }),
      invalidatesTags: changes('Databases', 'DatabaseAnswers'),
    }),
    removeDatabase: build.mutation<null, string>({
      query: (id) => ({ url: `databases/${id}`, method: 'DELETE' }),
      invalidatesTags: changes('Databases'),
    }),
    restoreDatabase: build.mutation<DatabaseSettings, string>({
      query: (id) => ({ url: `databases/${id}/restoration`, method: 'POST' }),
      invalidatesTags: changes('Databases'),
    }),
    handAnswer: build.query<HandAnswer, { database: string; text: string }>({
      query: ({ database, text }) => ({
        url: `databases/${database}/answers`,
        method: 'POST',
        body: { text },
      }),
      providesTags: ['HandAnswers'],
    }),
    enterCount: build.mutation<HandAnswer, { database: string; count: EnteredCount }>({
      query: ({ database, count }) => ({ url: `databases/${database}/answers`, method: 'PUT', body: count }),
      invalidatesTags: changes('HandAnswers', 'DatabaseAnswers'),
    }),
    giveRecords: build.mutation<GivenRecords, GivenFile>({
      query: ({ database, answer, file, job, ...params }) => ({
        url: `databases/${database}/answers/${answer}/records`,
        params: { job, ...params },
        method: 'POST',
        body: file,
        headers: { 'Content-Type': 'text/plain' },
      }),
      invalidatesTags: changes('HandAnswers'),
    }),
    changeBudget: build.mutation<CallBudget, { id: string; budget: CallBudget }>({
      query: ({ id, budget }) => ({ url: `databases/${id}/budget`, method: 'PUT', body: budget }),
      invalidatesTags: changes('Databases', 'DatabaseAnswers'),
    }),
  }),
});
