/** What the interface asks of the server about checks. */
import type { AcceptedFinding, FindingAcceptance, MendEffects, MendsRequest } from '@even-lantern/contract';
import { useEffect, useMemo } from 'react';
import { shallowEqual, useDispatch, useSelector } from 'react-redux';
import { api } from './api.js';
import { reviewApi } from './reviewApi.js';
import type { store } from './store.js';

type Dispatch = typeof store.dispatch;
type State = ReturnType<typeof store.getState>;

export const checkApi = api.injectEndpoints({
  endpoints: (build) => ({
    mends: build.query<MendEffects, { review: string; body: MendsRequest }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/mends`, method: 'POST', body }),
      providesTags: ['Counts'],
    }),
    acceptFinding: build.mutation<AcceptedFinding[], { review: string; body: FindingAcceptance }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/accepted-findings`, method: 'POST', body }),
      async onQueryStarted({ review }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer === null) return;
        dispatch(
          reviewApi.util.updateQueryData('review', review, (draft) => {
            draft.accepted = answer.data;
          }),
        );
      },
    }),
  }),
});

/** What several requests for the effects of mends answer, in their order. */
export function useEachMends(review: string, requests: readonly MendsRequest[]) {
  const { mends } = checkApi.endpoints;
  const dispatch = useDispatch<Dispatch>();
  const key = JSON.stringify(requests);
  useEffect(() => {
    const subscriptions = (JSON.parse(key) as MendsRequest[]).map((body) =>
      dispatch(mends.initiate({ review, body })),
    );
    return () => subscriptions.forEach((each) => each.unsubscribe());
  }, [dispatch, key, review, mends]);
  const selectors = useMemo(
    () => (JSON.parse(key) as MendsRequest[]).map((body) => mends.select({ review, body })),
    [key, review, mends],
  );
  return useSelector((state: State) => selectors.map((select) => select(state).data), shallowEqual);
}
