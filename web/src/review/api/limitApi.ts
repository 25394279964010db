/** What the interface asks of the server about limits. */
import type {
  LimitChange,
  LimitProfile,
  LimitValueCounts,
  LimitValuesRequest,
  NewLimit,
  ProfileRequest,
  ReviewLimit,
  StepSample,
  StepSampleRequest,
} from '@even-lantern/contract';
import { api, ifMatch } from './api.js';
import { reviewApi } from './reviewApi.js';
import { showUntilAnswered } from './editsShown.js';

const limitsChanged = (_result: unknown, error: unknown): ('Review' | 'Reviews' | 'Counts')[] =>
  error === undefined ? ['Review', 'Reviews', 'Counts'] : [];

interface OfReview<Body> {
  review: string;
  body: Body;
}

export const limitApi = api.injectEndpoints({
  endpoints: (build) => ({
    addLimits: build.mutation<ReviewLimit[], { review: string; limits: NewLimit[] }>({
      query: ({ review, limits }) => ({ url: `reviews/${review}/limits`, method: 'POST', body: { limits } }),
      invalidatesTags: limitsChanged,
    }),
    changeLimit: build.mutation<
      ReviewLimit,
      { review: string; id: string; version: number; change: LimitChange }
    >({
      query: ({ id, version, change }) => ({
        url: `limits/${id}`,
        method: 'PATCH',
        body: change,
        headers: ifMatch(version),
      }),
      // Shown at once, so that the next change is made of what one sees.
      async onQueryStarted({ review, id, change }, { dispatch, queryFulfilled }) {
        const { removed, before, ...changed } = change;
        if (removed !== undefined || before !== undefined) return;
        const shown = dispatch(
          reviewApi.util.updateQueryData('review', review, ({ limits }) => {
            const limit = limits.find((each) => each.id === id);
            if (limit) Object.assign(limit, changed);
          }),
        );
        await showUntilAnswered(id, changed, queryFulfilled).catch(() => shown.undo());
      },
      invalidatesTags: limitsChanged,
    }),
    profile: build.query<LimitProfile, OfReview<ProfileRequest>>({
      query: ({ review, body }) => ({ url: `reviews/${review}/profile`, method: 'POST', body }),
      providesTags: ['Counts', 'Records'],
    }),
    stepSample: build.query<StepSample, OfReview<StepSampleRequest>>({
      query: ({ review, body }) => ({ url: `reviews/${review}/profile/sample`, method: 'POST', body }),
      providesTags: ['Counts', 'Records'],
    }),
    limitValues: build.query<LimitValueCounts, OfReview<LimitValuesRequest>>({
      query: ({ review, body }) => ({ url: `reviews/${review}/profile/values`, method: 'POST', body }),
      providesTags: ['Counts'],
    }),
  }),
});
