import type { Problem } from '@even-lantern/contract';
import { useCallback } from 'react';
import { toast } from 'sonner';
import { problemOf } from './api/api.js';
import { reviewApi } from './api/reviewApi.js';
import { useReview } from './useReview.js';

/** What a mutation of the API gives. */
type Sent<Answer> = PromiseLike<{ data?: Answer; error?: unknown }>;

/** What a notice says; the second line stands below it, smaller. */
type Notice = string | readonly [title: string, detail: string | undefined];

interface Telling<Answer> {
  /** what is said when the edit is made, and how it is taken back */
  notice?: (answer: Answer) => Notice;
  /** the states of a problem that the caller shows beside what was edited; all others are told in a notice */
  shownBeside?: readonly number[] | 'all';
}

export type Edited<Answer> = { answer: Answer; problem: null } | { answer: null; problem: Problem };

/** After these, somebody else has changed what was edited, so that the review is asked for again. */
const CHANGED_MEANWHILE = [404, 409, 412];

/** The one way in which the open review is edited: what fails is told, and what others did meanwhile is fetched. */
export function useEdit() {
  const { review } = useReview();
  const [refresh] = reviewApi.useLazyReviewQuery();

  return useCallback(
    async <Answer>(
      sent: Sent<Answer>,
      { notice, shownBeside = [] }: Telling<Answer> = {},
    ): Promise<Edited<Answer>> => {
      const { data: answer, error } = await sent;
      if (error !== undefined || answer === undefined) {
        const problem = problemOf(error);
        if (shownBeside !== 'all' && !shownBeside.includes(problem.status)) tellProblem(problem);
        if (CHANGED_MEANWHILE.includes(problem.status)) await refresh(review.id);
        return { answer: null, problem };
      }
      if (notice !== undefined) tell(notice(answer));
      return { answer, problem: null };
    },
    [refresh, review.id],
  );
}

function tell(notice: Notice): void {
  const [title, detail] = typeof notice === 'string' ? [notice] : notice;
  toast(title, { description: detail });
}

/** The first thing that is wrong with what was sent, or what happened. */
export function tellProblem({ title, detail, errors = [] }: Problem): void {
  const [first] = errors;
  toast.error(first?.message ?? title, { description: first === undefined ? detail : title });
}
