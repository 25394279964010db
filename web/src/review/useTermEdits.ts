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
import { termApi } from './api/termApi.js';
import { useEdit } from './useEdit.js';
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
  const edit = useEdit();
  const [addTerm] = termApi.useAddTermMutation();
  const [changeTerm] = termApi.useChangeTermMutation();
  const send = ({ id, version }: ReviewTerm, change: TermChange) =>
    changeTerm({ review: review.id, id, version, change });

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
          review: review.id,
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
      const used = review.ownLines.some((line) => linesReferredTo(line.text).includes(termKey(term.id)));
      const detail = used ? 'A line of your own refers to it, and cannot be counted now.' : undefined;
      const notice = () => [`Took out ${text}. Ctrl Z puts it back.`, detail] as const;
      await edit(send(term, { removed: true }), { notice });
    },

    /** @returns why it was not changed, which is shown beside the term */
    change: async (term: ReviewTerm, content: TermContent): Promise<Problem | null> =>
      (await edit(send(term, { content }), { shownBeside: 'all' })).problem,

    /** @param reason why it is kept without being searched; null searches it again */
    holdBack: async (term: ReviewTerm, reason: string | null): Promise<boolean> =>
      (await edit(send(term, { heldBack: reason }))).problem === null,

    move: async (term: ReviewTerm, laneId: string): Promise<boolean> =>
      (await edit(send(term, { laneId }))).problem === null,
  };
}
