/** What the interface asks of the server about searches that are run again by themselves. */
import type { NewSchedule, Schedule, ScheduleChange } from '@even-lantern/contract';
import { api, ifMatch } from './api.js';
import type { store } from './store.js';

interface Answered {
  dispatch: typeof store.dispatch;
  queryFulfilled: Promise<{ data: Schedule[] }>;
}

/** Puts what became of the schedules in place at once. */
async function putInPlace(review: string, { dispatch, queryFulfilled }: Answered): Promise<void> {
  const answer = await queryFulfilled.catch(() => null);
  if (answer !== null) void dispatch(scheduleApi.util.upsertQueryData('schedules', review, answer.data));
}

export const scheduleApi = api.injectEndpoints({
  endpoints: (build) => ({
    schedules: build.query<Schedule[], string>({
      query: (review) => `reviews/${review}/schedules`,
      providesTags: ['Ledger'],
    }),
    addSchedule: build.mutation<Schedule[], { review: string; body: NewSchedule }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/schedules`, method: 'POST', body }),
      onQueryStarted: ({ review }, answered) => putInPlace(review, answered as Answered),
    }),
    changeSchedule: build.mutation<
      Schedule[],
      { review: string; id: string; version: number; change: ScheduleChange }
    >({
      query: ({ id, version, change }) => ({
        url: `schedules/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      onQueryStarted: ({ review }, answered) => putInPlace(review, answered as Answered),
    }),
    seeSchedule: build.mutation<Schedule[], { review: string; id: string }>({
      query: ({ id }) => ({ url: `schedules/${id}/seen`, method: 'POST', body: {} }),
      onQueryStarted: ({ review }, answered) => putInPlace(review, answered as Answered),
    }),
  }),
});
