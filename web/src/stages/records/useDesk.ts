import { DECISIONS, type Decision, type RecordSort } from '@even-lantern/contract';
import { useEffect, useRef } from 'react';
import { useDispatch } from 'react-redux';
import { useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { useKey } from '../../parts/keys/useKey.js';
import type { store } from '../../review/api/store.js';
import { decideOn } from '../../review/decide.js';
import { useUndo } from '../../review/undo.js';
import { useReview } from '../../review/useReview.js';
import { useRecordDesigns } from './useRecordDesigns.js';
import { useRecordPages } from './useRecordPages.js';

export const SORTS: readonly [RecordSort, string][] = [
  ['relevance', 'most relevant first'],
  ['newest', 'newest first'],
  ['oldest', 'oldest first'],
];

/** What the reading desk lists, the record that is open, and how it is decided on; its keys. */
export function useDesk() {
  const { review } = useReview();
  const [params, setParams] = useSearchParams();
  const sort = SORTS.find(([name]) => name === params.get('sort'))?.[0] ?? 'relevance';
  const decision: Decision | 'any' = DECISIONS.find((each) => each === params.get('decision')) ?? 'any';
  const designs = useRecordDesigns(review.id);
  const design = params.get('design');
  const pages = useRecordPages(
    review.id,
    sort,
    decision,
    design === null ? null : { design, total: designs.numberOf(design, decision) },
  );
  const dispatch = useDispatch<typeof store.dispatch>();
  const deciding = useRef(new Set<string>());
  const { remember } = useUndo();
  const openId = params.get('record') ?? pages.row(0)?.id ?? null;
  const position = pages.positionOf(openId);

  const set = (changes: Record<string, string | null>) => {
    const next = new URLSearchParams(params);
    for (const [key, value] of Object.entries(changes)) {
      if (value === null) next.delete(key);
      else next.set(key, value);
    }
    setParams(next, { replace: true });
  };
  const openAt = (at: number) => {
    const row = pages.row(at);
    if (row !== undefined) set({ record: row.id });
    else pages.need(at);
  };
  const step = (by: number) => {
    if (position !== null) openAt(Math.max(0, Math.min(pages.total - 1, position + by)));
  };
  const judge = async (next: Decision) => {
    const row = position === null ? undefined : pages.row(position);
    // A key that is pressed twice decides once: the second would be on a version that has gone.
    if (row === undefined || position === null || deciding.current.has(row.id)) return;
    const before = row.decision;
    // Under a narrowing the record leaves the list, so the next one moves up to its place.
    const following = pages.row(position + 1) ?? pages.row(position - 1);
    deciding.current.add(row.id);
    const { decided, problem } = await dispatch(decideOn(review.id, row, next)).finally(() =>
      deciding.current.delete(row.id),
    );
    if (problem !== null || decided === null) {
      const meanwhile =
        decided === null ? problem?.detail : `It is “${decided.decision}” now. Decide again if you disagree.`;
      toast.error(problem?.title ?? '', { description: meanwhile });
      return;
    }
    const doing = { kind: 'decide', review: review.id, record: row.id, design: row.design } as const;
    remember({
      what: `${next}: ${row.title}`,
      undo: { ...doing, from: next, to: before },
      redo: { ...doing, from: before, to: next },
    });
    if (next !== 'undecided' && following !== undefined) set({ record: following.id });
  };
  useKey('records.next', () => step(1));
  useKey('records.previous', () => step(-1));
  useKey('records.keep', () => void judge('keep'));
  useKey('records.unsure', () => void judge('unsure'));
  useKey('records.set-aside', () => void judge('set aside'));
  useKey('records.undecided', () => void judge('undecided'));
  useEffect(() => {
    if (position !== null) pages.need(position + 1);
  }, [position, pages]);

  return {
    review,
    pages,
    designs,
    sort,
    decision,
    design,
    openId,
    /** the place of the open record in the list; null where it is not in it */
    position,
    judge: (next: Decision) => void judge(next),
    open: (id: string) => set({ record: id }),
    sortBy: (next: RecordSort) => set({ sort: next, record: null }),
    showDecision: (next: Decision | 'any') => set({ decision: next === 'any' ? null : next, record: null }),
    showDesign: (next: string | null) => set({ design: next, record: null }),
  };
}

export type Desk = ReturnType<typeof useDesk>;
