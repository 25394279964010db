/**
 * How edits are taken back that the server does not keep as steps of a review. Each way is data, so that what was done
 * can be taken back after the page was loaded again. What people judge together (decisions, designs, headings) is not taken
 * back where somebody has judged otherwise since.
 */
import type {
  CallBudget,
  CommentSettling,
  Decision,
  NewSettlement,
  PointJudgement,
  DatabaseSettings,
} from '@even-lantern/contract';
import { reviewApi } from './api/reviewApi.js';
import { vocabularyApi } from './api/vocabularyApi.js';
import { recordApi } from './api/recordApi.js';
import { databaseApi } from './api/databaseApi.js';
import { decideOn } from './decide.js';
import { designApi } from './api/designApi.js';
import { peerReviewApi } from './api/peerReviewApi.js';
import { verdictOn } from './verdictOn.js';
import type { store } from './api/store.js';

type Dispatch = typeof store.dispatch;

/** What is sent to the server so that something is as it was, or again as it became. */
export type Doing =
  | { kind: 'decide'; review: string; record: string; design: string | null; from: Decision; to: Decision }
  | { kind: 'judge design'; record: string; from: string | null; to: string | null }
  | { kind: 'settle heading'; from: NewSettlement['verdict']; step: NewSettlement }
  | { kind: 'judge point'; review: string; id: string; point: string; body: PointJudgement }
  | { kind: 'settle comment'; review: string; id: string; comment: string; body: CommentSettling }
  | { kind: 'put review away'; review: string; away: boolean }
  | { kind: 'take filter away'; id: string; version: number; removed: boolean }
  | { kind: 'budget calls'; database: string; budget: CallBudget }
  | { kind: 'say of database'; said: DatabaseSettings }
  | { kind: 'take database away'; database: string; away: boolean };

/**
 * @returns the version of what was changed, where the way back has to name it
 * @throws what the server refused, or that the same was changed since
 */
export async function does(doing: Doing, dispatch: Dispatch): Promise<number | null> {
  switch (doing.kind) {
    case 'decide':
      await decideAgain(doing, dispatch);
      return null;
    case 'judge design': {
      const { record: id, from, to: design } = doing;
      const { judged } = await dispatch(recordApi.endpoints.record.initiate(id, FRESH)).unwrap();
      expectSame(judged?.design ?? null, from);
      await dispatch(designApi.endpoints.judgeDesign.initiate({ id, design })).unwrap();
      return null;
    }
    case 'settle heading': {
      const { from, step } = doing;
      const settled = await dispatch(vocabularyApi.endpoints.crosswalk.initiate(undefined, FRESH)).unwrap();
      expectSame(verdictOn(settled, step), from);
      await dispatch(vocabularyApi.endpoints.settle.initiate(step)).unwrap();
      return null;
    }
    case 'judge point': {
      const { kind: _kind, ...judged } = doing;
      await dispatch(peerReviewApi.endpoints.judgePoint.initiate(judged)).unwrap();
      return null;
    }
    case 'settle comment': {
      const { kind: _kind, ...settled } = doing;
      await dispatch(peerReviewApi.endpoints.settleComment.initiate(settled)).unwrap();
      return null;
    }
    case 'put review away': {
      const { review: id, away: putAway } = doing;
      const { version } = await dispatch(reviewApi.endpoints.review.initiate(id, FRESH)).unwrap();
      await dispatch(reviewApi.endpoints.changeReview.initiate({ id, version, putAway })).unwrap();
      return null;
    }
    case 'take filter away': {
      const { id, version, removed } = doing;
      const change = designApi.endpoints.changeFilter.initiate({ id, version, change: { removed } });
      return (await dispatch(change).unwrap()).version;
    }
    case 'budget calls': {
      const { database: id, budget } = doing;
      await dispatch(databaseApi.endpoints.changeBudget.initiate({ id, budget })).unwrap();
      return null;
    }
    case 'say of database':
      await dispatch(databaseApi.endpoints.changeDatabase.initiate(doing.said)).unwrap();
      return null;
    case 'take database away': {
      const { database, away } = doing;
      if (away) await dispatch(databaseApi.endpoints.removeDatabase.initiate(database)).unwrap();
      else await dispatch(databaseApi.endpoints.restoreDatabase.initiate(database)).unwrap();
      return null;
    }
  }
}

/** As it stands now, and not as the page knows it. */
const FRESH = { forceRefetch: true, subscribe: false } as const;

function expectSame(now: string | null, before: string | null): void {
  if (now !== before) throw new Error(`it is ${now ?? 'undone'} now`);
}

async function decideAgain(
  { review, record: id, design, from, to }: Extract<Doing, { kind: 'decide' }>,
  dispatch: Dispatch,
): Promise<void> {
  const { decision, version } = await dispatch(recordApi.endpoints.record.initiate(id, FRESH)).unwrap();
  expectSame(decision, from);
  const { problem } = await dispatch(decideOn(review, { id, decision, version, design }, to));
  if (problem !== null) throw new Error(problem.title);
}
