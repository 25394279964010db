/** What the interface asks of the server about runs and the ledger. */
import type { LedgerEntry } from '@even-lantern/core';
import type {
  Drift,
  DriftQuery,
  FoundBy,
  Ledger,
  LedgerCorrection,
  LedgerEntryDetail,
  LedgerNote,
  LedgerPage,
  LedgerQuery,
  LedgerVerified,
  NewRun,
  NewRuns,
  PackagedAnswer,
  PackageTaken,
  RepeatedRun,
  Run,
  RunMark,
  SearchElsewhere,
  StartedRuns,
  WaitingFile,
  FileEncodingName,
} from '@even-lantern/contract';
import { api, changes } from './api.js';

const ENTRIES_AT_A_TIME = 50;

export const ledgerApi = api.injectEndpoints({
  endpoints: (build) => ({
    marks: build.query<Record<string, RunMark[]>, string>({
      query: (review) => `reviews/${review}/marks`,
      providesTags: ['Ledger'],
    }),
    startRun: build.mutation<Run, { review: string; run: NewRun }>({
      query: ({ review, run }) => ({ url: `reviews/${review}/runs`, method: 'POST', body: run }),
      invalidatesTags: ['Ledger'],
    }),
    startRuns: build.mutation<StartedRuns, { review: string; runs: NewRuns }>({
      query: ({ review, runs }) => ({
        url: `reviews/${review}/runs/together`,
        method: 'POST',
        body: runs,
      }),
      invalidatesTags: ['Ledger'],
    }),
    run: build.query<Run, string>({ query: (id) => `runs/${id}`, keepUnusedDataFor: 0 }),
    stopRun: build.mutation<Run, string>({
      query: (id) => ({ url: `runs/${id}/stop`, method: 'POST' }),
      invalidatesTags: ['Ledger', 'Records'],
    }),
    ledger: build.query<Ledger, string>({ query: (id) => `reviews/${id}/ledger`, providesTags: ['Ledger'] }),
    /** Page after page; each begins before the last entry of the one before it. */
    ledgerEntries: build.infiniteQuery<
      LedgerPage,
      { review: string } & Omit<LedgerQuery, 'before' | 'limit'>,
      number | null
    >({
      infiniteQueryOptions: {
        initialPageParam: null,
        getNextPageParam: ({ entries }, _pages, last) => {
          const end = entries.at(-1)?.entry;
          return end === undefined || end === 1 || end === last || entries.length < ENTRIES_AT_A_TIME
            ? undefined
            : end;
        },
      },
      query: ({ queryArg: { review, ...filter }, pageParam }) => ({
        url: `reviews/${review}/ledger/entries`,
        params: { ...filter, limit: ENTRIES_AT_A_TIME, ...(pageParam === null ? {} : { before: pageParam }) },
      }),
      providesTags: ['Ledger'],
    }),
    ledgerEntry: build.query<LedgerEntryDetail, { review: string; entry: number }>({
      query: ({ review, entry }) => `reviews/${review}/ledger/entries/${entry}`,
      providesTags: ['Ledger'],
    }),
    repeatRun: build.mutation<Run, { review: string; entry: number; body: RepeatedRun }>({
      query: ({ review, entry, body }) => ({
        url: `reviews/${review}/ledger/entries/${entry}/runs`,
        method: 'POST',
        body,
      }),
      invalidatesTags: ['Ledger'],
    }),
    foundBy: build.query<FoundBy[], string>({
      query: (record) => `records/${record}/found-by`,
      providesTags: ['Ledger'],
    }),
    drift: build.query<Drift, { review: string; entry: number } & DriftQuery>({
      query: ({ review, entry, ...params }) => ({
        url: `reviews/${review}/ledger/entries/${entry}/drift`,
        params,
      }),
    }),
    noteEntry: build.mutation<LedgerEntry, { review: string; body: LedgerNote }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/ledger/notes`, method: 'POST', body }),
      invalidatesTags: changes('Ledger'),
    }),
    correctEntry: build.mutation<LedgerEntry, { review: string; body: LedgerCorrection }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/ledger/corrections`, method: 'POST', body }),
      invalidatesTags: changes('Ledger'),
    }),
    readSearchFile: build.mutation<
      WaitingFile,
      { review: string; file: File; job: string; encoding?: FileEncodingName | undefined }
    >({
      query: ({ review, file, job, encoding }) => ({
        url: `reviews/${review}/ledger/files`,
        params: { name: file.name, job, ...(encoding === undefined ? {} : { encoding }) },
        method: 'POST',
        body: file,
        headers: { 'Content-Type': 'text/plain' },
      }),
    }),
    enterSearch: build.mutation<LedgerEntry, { review: string; body: SearchElsewhere }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/ledger/elsewhere`, method: 'POST', body }),
      invalidatesTags: changes('Ledger', 'Reviews', 'Records', 'RecordDesigns'),
    }),
    takePackage: build.mutation<PackageTaken, { file: File; job: string }>({
      query: ({ file, job }) => ({
        url: 'packages',
        params: { job },
        method: 'POST',
        body: file,
        headers: { 'Content-Type': 'application/zip' },
      }),
      invalidatesTags: changes('Reviews', 'Databases', 'SettledHeadings', 'People'),
    }),
    takeOver: build.mutation<{ taken: number }, PackagedAnswer[]>({
      query: (answers) => ({ url: 'packages/answers', method: 'POST', body: { answers } }),
      invalidatesTags: changes('SettledHeadings', 'HandAnswers', 'DatabaseAnswers'),
    }),
    verifyLedger: build.mutation<LedgerVerified, { review: string; seal: string }>({
      query: ({ review, seal }) => ({
        url: `reviews/${review}/ledger/verification`,
        method: 'POST',
        body: { seal },
      }),
    }),
  }),
});
