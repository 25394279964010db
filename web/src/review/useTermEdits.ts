import {
  counted,
  describeTerm,
  linesReferredTo,
  termKey,
  type TermContent,
  type TermOrigin,
} from '@even-lantern/core';
import type { Problem, ReviewTerm, TermChange } from '@even-lantern/contract';
import { toast } from 'sonner';
import { problemOf } from './api/api.js';
import { reviewApi } from './api/reviewApi.js';
import { termApi } from './api/termApi.js';
import { useReview } from './useReview.js';

const SHOWN_MS = 2500;

/** Brings a term that is on screen into view, and marks it for a moment. */
function showTerm(id: string): void {
  const row = document.querySelector(`[data-term="${CSS.escape(id)}"]`);
  row?.scrollIntoView({ block: 'nearest' });
  row?.classList.add('shown-here');
  setTimeout(() => row?.classList.remove('shown-here'), SHOWN_MS);
}

/** Adding, changing, moving, holding back and taking out terms. The server keeps each as a step that can be taken back. */
export function useTermEdits() {
  const { review } = useReview();
  const [addTerm] = termApi.useAddTermMutation();
  const [changeTerm] = termApi.useChangeTermMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();

  /** @returns the problem, when the change was not made */
  const edit = async (term: ReviewTerm, change: TermChange): Promise<Problem | null> => {
    const result = await changeTerm({ reviewId: review.id, id: term.id, version: term.version, change });
    return result.data === undefined ? problemOf(result.error) : null;
  };

  const tell = (problem: Problem | null): boolean => {
    if (problem !== null) toast.error(problem.title, { description: problem.detail });
    return problem === null;
  };

  return {
    /** @returns what is wrong with the first that was not added, or null */
    async add(
      laneId: string,
      contents: TermContent | readonly TermContent[],
      origin: TermOrigin,
    ): Promise<string | null> {
      const list = Array.isArray(contents) ? (contents as readonly TermContent[]) : [contents as TermContent];
      // All of them are one edit.
      const together = crypto.randomUUID();
      let failed: string | null = null;
      const there: ReviewTerm[] = [];
      for (const content of list) {
        const result = await addTerm({
          reviewId: review.id,
          term: { laneId, content, origin },
          edit: together,
        });
        if (result.data !== undefined) continue;
        const { status, title, current } = problemOf(result.error);
        failed = title;
        if (status !== 409 || current === undefined) break;
        there.push(current as ReviewTerm); // the lane holds it already, which need not keep the others out
      }
      const [already] = there;
      if (already !== undefined) showTerm(already.id);
      if (there.length > 0 && list.length > 1) {
        toast(`${counted(there.length, 'term')} were in the lane already.`);
        failed = null;
      }
      return failed;
    },

    async remove(term: ReviewTerm): Promise<void> {
      const { text } = describeTerm(term.content);
      if (!tell(await edit(term, { removed: true }))) return;
      const used = review.ownLines.some((line) => linesReferredTo(line.text).includes(termKey(term.id)));
      const description = used ? 'A line of your own refers to it, and cannot be counted now.' : undefined;
      toast(`Took out ${text}. Ctrl Z puts it back.`, { description });
    },

    change: (term: ReviewTerm, content: TermContent) => edit(term, { content }),

    /** @param reason why it is kept without being searched; null searches it again */
    holdBack: async (term: ReviewTerm, reason: string | null): Promise<boolean> =>
      tell(await edit(term, { heldBack: reason })),

    move: async (term: ReviewTerm, laneId: string): Promise<boolean> => tell(await edit(term, { laneId })),

    /** Fetches the review anew, after somebody else changed it. */
    refresh: async () => {
      await refresh(review.id).unwrap();
    },
  };
}
