import {
  DECISIONS,
  type Decision,
  type RecordCounts,
  type RecordPage,
  type RecordRow,
  type RecordSort,
} from '@even-lantern/contract';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { recordApi } from '../../review/api/recordApi.js';
import type { store } from '../../review/api/store.js';
import { PAGE_SIZE } from '../../review/decide.js';

type State = ReturnType<typeof store.getState>;

/** The records of a review as one long list, of which pages are fetched as they are needed. */
export function useRecordPages(
  review: string,
  sort: RecordSort,
  decision: Decision | 'any',
  /** a design to which the list is narrowed, and how many records that leaves; null for all */
  narrowed: { design: string; total: number | null } | null,
) {
  const design = narrowed?.design;
  const dispatch = useDispatch<typeof store.dispatch>();
  const [needed, setNeeded] = useState<readonly number[]>([0]);
  const argument = useCallback(
    (page: number) => ({
      review,
      sort,
      decision,
      ...(design === undefined ? {} : { design }),
      offset: page * PAGE_SIZE,
      limit: PAGE_SIZE,
    }),
    [review, sort, decision, design],
  );
  const subscriptions = useRef(new Map<string, { unsubscribe(): void }>());
  useEffect(() => {
    setNeeded([0]);
    const open = subscriptions.current;
    return () => {
      for (const subscription of open.values()) subscription.unsubscribe();
      open.clear();
    };
  }, [argument]);
  useEffect(() => {
    for (const page of needed) {
      const query = argument(page);
      const key = JSON.stringify(query);
      if (!subscriptions.current.has(key)) {
        subscriptions.current.set(key, dispatch(recordApi.endpoints.records.initiate(query)));
      }
    }
  }, [needed, argument, dispatch]);

  const first = recordApi.useRecordsQuery(argument(0));
  const { data: counts } = recordApi.useRecordCountsQuery(review);
  const selectors = useMemo(
    () => needed.map((page) => recordApi.endpoints.records.select(argument(page))),
    [needed, argument],
  );
  const loaded = useSelector(
    (state: State) => selectors.map((select) => select(state).data),
    (a, b) => a.length === b.length && a.every((page, i) => page === b[i]),
  );
  const total =
    narrowed === null ? (counts === undefined ? 0 : totalOf(counts, decision)) : (narrowed.total ?? 0);
  const need = useCallback((at: number) => {
    const page = Math.floor(Math.max(0, at) / PAGE_SIZE);
    setNeeded((pages) => (pages.includes(page) ? pages : [...pages, page]));
  }, []);

  return useMemo(() => {
    const pages = new Map<number, RecordPage>();
    needed.forEach((page, i) => {
      const data = loaded[i];
      if (data !== undefined) pages.set(page, data);
    });
    if (first.data !== undefined) pages.set(0, first.data);
    const positions = new Map<string, number>();
    for (const [page, { rows }] of pages)
      rows.forEach((row, i) => positions.set(row.id, page * PAGE_SIZE + i));
    return {
      total,
      counts: first.data === undefined ? null : (counts ?? null),
      error: first.data === undefined ? first.error : undefined,
      row: (at: number): RecordRow | undefined => pages.get(Math.floor(at / PAGE_SIZE))?.rows[at % PAGE_SIZE],
      positionOf: (id: string | null): number | null => (id === null ? null : (positions.get(id) ?? null)),
      need,
    };
  }, [needed, loaded, first.data, first.error, counts, total, need]);
}

/** How many records are in a list. */
function totalOf(counts: RecordCounts, decision: Decision | 'any'): number {
  const decisions = decision === 'any' ? DECISIONS : [decision];
  return decisions.reduce((sum, each) => sum + counts[each], 0);
}

export type RecordPages = ReturnType<typeof useRecordPages>;
