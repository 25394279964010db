/** What the interface asks of the server about peer reviews. */
import type {
  CommentSettling,
  NewPeerComment,
  NewPeerReview,
  PeerReview,
  PeerReviewEnd,
  PointJudgement,
} from '@even-lantern/contract';
import { api, STRATEGY } from './api.js';
import type { store } from './store.js';

interface Answered {
  dispatch: typeof store.dispatch;
  queryFulfilled: Promise<{ data: PeerReview }>;
}

/** Puts what became of a peer review in its place at once. */
async function putInPlace(review: string, { dispatch, queryFulfilled }: Answered): Promise<void> {
  const answer = await queryFulfilled.catch(() => null);
  if (answer === null) return;
  dispatch(
    peerReviewApi.util.updateQueryData('peerReviews', review, (list) =>
      list.map((each) => (each.id === answer.data.id ? answer.data : each)),
    ),
  );
}

export const peerReviewApi = api.injectEndpoints({
  endpoints: (build) => ({
    peerReviews: build.query<PeerReview[], string>({
      query: (review) => `reviews/${review}/peer-reviews`,
      providesTags: ['PeerReviews', ...STRATEGY],
    }),
    askForPeerReview: build.mutation<PeerReview[], { review: string; body: NewPeerReview }>({
      query: ({ review, body }) => ({ url: `reviews/${review}/peer-reviews`, method: 'POST', body }),
      async onQueryStarted({ review }, { dispatch, queryFulfilled }) {
        const answer = await queryFulfilled.catch(() => null);
        if (answer !== null)
          void dispatch(peerReviewApi.util.upsertQueryData('peerReviews', review, answer.data));
      },
    }),
    judgePoint: build.mutation<
      PeerReview,
      { review: string; id: string; point: string; body: PointJudgement }
    >({
      query: ({ id, point, body }) => ({ url: `peer-reviews/${id}/points/${point}`, method: 'PUT', body }),
      onQueryStarted: ({ review }, answered) => putInPlace(review, answered as unknown as Answered),
    }),
    comment: build.mutation<PeerReview, { review: string; id: string; body: NewPeerComment }>({
      query: ({ id, body }) => ({ url: `peer-reviews/${id}/comments`, method: 'POST', body }),
      onQueryStarted: ({ review }, answered) => putInPlace(review, answered as unknown as Answered),
    }),
    settleComment: build.mutation<
      PeerReview,
      { review: string; id: string; comment: string; body: CommentSettling }
    >({
      query: ({ id, comment, body }) => ({
        url: `peer-reviews/${id}/comments/${comment}/settled`,
        method: 'PUT',
        body,
      }),
      onQueryStarted: ({ review }, answered) => putInPlace(review, answered as unknown as Answered),
    }),
    endPeerReview: build.mutation<PeerReview, { review: string; id: string; body: PeerReviewEnd }>({
      query: ({ id, body }) => ({ url: `peer-reviews/${id}/end`, method: 'POST', body }),
      onQueryStarted: ({ review }, answered) => putInPlace(review, answered as unknown as Answered),
    }),
  }),
});
