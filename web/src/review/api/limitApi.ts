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
import { api, changes, COUNTED } from './api.js';
import { edit, shownAtOnce, type Edit } from './shownAtOnce.js';

interface OfReview<Body> {
  review: string;
  body: Body;
}

export const limitApi = api.injectEndpoints({
  endpoints: (build) => ({
    addLimits: build.mutation<ReviewLimit[], { review: string; limits: NewLimit[] }>({
      query: ({ review, limits }) => ({ url: `reviews/${review}/limits`, method: 'POST', body: { limits } }),
      invalidatesTags: changes('Limits'),
    }),
    changeLimit: build.mutation<ReviewLimit, Edit<LimitChange>>({
      query: edit('limits'),
      onQueryStarted: shownAtOnce(({ removed, before, ...changed }) =>
        removed === undefined && before === undefined ? changed : null,
      ),
      invalidatesTags: changes('Limits'),
    }),
    profile: build.query<LimitProfile, OfReview<ProfileRequest>>({
      query: ({ review, body }) => ({ url: `reviews/${review}/profile`, method: 'POST', body }),
      providesTags: [...COUNTED, 'Records'],
    }),
    stepSample: build.query<StepSample, OfReview<StepSampleRequest>>({
      query: ({ review, body }) => ({ url: `reviews/${review}/profile/sample`, method: 'POST', body }),
      providesTags: [...COUNTED, 'Records'],
    }),
    limitValues: build.query<LimitValueCounts, OfReview<LimitValuesRequest>>({
      query: ({ review, body }) => ({ url: `reviews/${review}/profile/values`, method: 'POST', body }),
      providesTags: COUNTED,
    }),
  }),
});
