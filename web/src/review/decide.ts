import type { Decided, Decision, Problem, RecordRow } from '@even-lantern/contract';
import { problemOf } from './api/api.js';
import { reviewApi } from './api/reviewApi.js';
import { recordApi } from './api/recordApi.js';
import type { store } from './api/store.js';
import { withoutRow } from './withoutRow.js';

export const PAGE_SIZE = 100;

type State = ReturnType<typeof store.getState>;
type Dispatch = typeof store.dispatch;
type List = Parameters<typeof recordApi.endpoints.records.initiate>[0];

/**
 * Decides on a record. One decision changes its row, its place under a narrowing and two counts; nothing else that is
 * loaded is asked for again.
 * @param row as it stands before
 * @returns what to dispatch; it gives the decision as it stands, or, with the problem, as somebody else has made it
 */
export function decideOn(
  review: string,
  row: Pick<RecordRow, 'id' | 'decision' | 'version' | 'design'>,
  decision: Decision,
) {
  return async (dispatch: Dispatch, getState: () => State) => {
    const { id, version } = row;
    const answer = await dispatch(recordApi.endpoints.decide.initiate({ id, decision, version }));
    const problem: Problem | null = answer.error === undefined ? null : problemOf(answer.error);
    const decided = answer.data ?? (problem?.current as Decided | undefined) ?? null;
    if (decided !== null) {
      dispatch(recordApi.util.updateQueryData('record', id, (record) => void Object.assign(record, decided)));
      changeCounts(dispatch, review, row, decided.decision);
      for (const lists of listsOf(getState(), review)) changeLists(dispatch, getState(), lists, decided);
    }
    return { decided, problem };
  };
}

function changeCounts(
  dispatch: Dispatch,
  review: string,
  { decision: before, design }: Pick<RecordRow, 'decision' | 'design'>,
  after: Decision,
): void {
  dispatch(
    recordApi.util.updateQueryData('designCounts', review, ({ designs }) => {
      const own = designs.find((each) => each.design === design);
      if (own === undefined) return;
      own.records[before] -= 1;
      own.records[after] += 1;
    }),
  );
  dispatch(
    recordApi.util.updateQueryData('recordCounts', review, (counts) => {
      counts[before] -= 1;
      counts[after] += 1;
    }),
  );
  const unread = Number(after === 'undecided') - Number(before === 'undecided');
  dispatch(
    reviewApi.util.updateQueryData('reviews', undefined, (reviews) => {
      const own = reviews.find(({ id }) => id === review);
      if (own !== undefined) own.unread += unread;
    }),
  );
}

/** The lists of a review of which pages are loaded, each as its pages. */
function listsOf(state: State, review: string): List[][] {
  const lists = new Map<string, List[]>();
  for (const page of recordApi.util.selectCachedArgsForQuery(state, 'records')) {
    if (page.review !== review) continue;
    const key = JSON.stringify([page.sort, page.decision, page.design]);
    lists.set(key, [...(lists.get(key) ?? []), page]);
  }
  return [...lists.values()];
}

function changeLists(dispatch: Dispatch, state: State, list: readonly List[], decided: Decided): void {
  const narrowed = list[0]?.decision ?? 'any';
  const pages = new Map<number, readonly RecordRow[]>();
  for (const page of list) {
    const rows = recordApi.endpoints.records.select(page)(state).data?.rows;
    if (rows !== undefined) pages.set(page.offset / PAGE_SIZE, rows);
  }
  const at = (number: number) => list.find(({ offset }) => offset === number * PAGE_SIZE);
  const change = (number: number, rows: readonly RecordRow[]) => {
    const page = at(number);
    if (page === undefined) return;
    dispatch(recordApi.util.updateQueryData('records', page, (draft) => void (draft.rows = [...rows])));
  };
  const fetchAgain = (number: number) => {
    const page = at(number);
    if (page === undefined) return;
    void dispatch(recordApi.endpoints.records.initiate(page, { forceRefetch: true, subscribe: false }));
  };
  const holding = [...pages].find(([, rows]) => rows.some(({ id }) => id === decided.id));
  if (narrowed !== 'any' && narrowed !== decided.decision) {
    const { changed, stale } = withoutRow(pages, decided.id, PAGE_SIZE);
    for (const [number, rows] of changed) change(number, rows);
    stale.forEach(fetchAgain);
  } else if (holding !== undefined) {
    const [number, rows] = holding;
    const { decision, version } = decided;
    change(
      number,
      rows.map((row) => (row.id === decided.id ? { ...row, decision, version } : row)),
    );
  } else if (narrowed !== 'any') {
    // It comes into this list, at a place that only the server knows.
    [...pages.keys()].forEach(fetchAgain);
  }
}
