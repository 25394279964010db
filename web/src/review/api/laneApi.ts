/** What the interface asks of the server about whole lanes. */
import type { LaneChange, LaneEvent, LanesRead, MergedLane, NewLane, Review } from '@even-lantern/contract';
import type { LanesDocument } from '@even-lantern/core';
import { api, changes, ifMatch } from './api.js';
import { edit } from './shownAtOnce.js';

export const laneApi = api.injectEndpoints({
  endpoints: (build) => ({
    readLanes: build.mutation<LanesRead, { review: string; lanes: LanesDocument }>({
      query: ({ review, lanes }) => ({
        url: `reviews/${review}/lanes.json`,
        method: 'POST',
        body: lanes,
      }),
      invalidatesTags: changes('Question', 'Lanes'),
    }),
    history: build.query<LaneEvent[], string>({
      query: (laneId) => `lanes/${laneId}/history`,
      providesTags: ['Lanes'],
    }),
    createLane: build.mutation<{ laneId: string; review: Review }, { review: string; lane: NewLane }>({
      query: ({ review, lane }) => ({ url: `reviews/${review}/lanes`, method: 'POST', body: lane }),
      invalidatesTags: changes('Question', 'Lanes'),
    }),
    changeLane: build.mutation<Review, { id: string; version: number; change: LaneChange }>({
      query: edit('lanes'),
      invalidatesTags: changes('Question', 'Lanes'),
    }),
    mergeLane: build.mutation<
      { merged: MergedLane; review: Review },
      { id: string; version: number; into: string }
    >({
      query: ({ id, version, into }) => ({
        url: `lanes/${id}/merge`,
        method: 'POST',
        body: { into },
        headers: ifMatch(version),
      }),
      invalidatesTags: changes('Question', 'Lanes'),
    }),
    removeLane: build.mutation<Review, { id: string; version: number }>({
      query: ({ id, version }) => ({ url: `lanes/${id}`, method: 'DELETE', headers: ifMatch(version) }),
      invalidatesTags: changes('Question', 'Lanes'),
    }),
  }),
});
