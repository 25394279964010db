import { limitText } from '@even-lantern/core';
import type { LimitChange, NewLimit, Problem, ReviewLimit } from '@even-lantern/contract';
import { toast } from 'sonner';
import { api, problemOf } from './api.js';
import { limitApi } from './limitApi.js';
import { useUndo } from './undo.js';
import { useReview } from './useReview.js';

/** Adding, changing, moving and taking away limits, each with its way back. */
export function useLimitEdits() {
  const { review } = useReview();
  const { remember } = useUndo();
  const [addLimits] = limitApi.useAddLimitsMutation();
  const [changeLimit] = limitApi.useChangeLimitMutation();
  const [refresh] = api.useLazyReviewQuery();

  const tell = async (error: unknown): Promise<void> => {
    const { title, detail, errors = [], status }: Problem = problemOf(error);
    toast.error(errors[0]?.message ?? title, { description: errors.length > 0 ? title : detail });
    if (status === 412 || status === 409) await refresh(review.id);
  };
  /** Changes a limit at the version it has now, since others may have raised it. */
  const put = async (id: string, change: LimitChange): Promise<void> => {
    const { limits } = await refresh(review.id).unwrap();
    const version = limits.find((limit) => limit.id === id)?.version;
    if (version === undefined) throw new Error('This limit is not there any more.');
    await changeLimit({ review: review.id, id, version, change }).unwrap();
  };

  return {
    /** @returns the limits as they were added, or null when they were not */
    add: async (limits: NewLimit[]): Promise<ReviewLimit[] | null> => {
      const result = await addLimits({ review: review.id, limits });
      const added = result.data;
      if (added === undefined) {
        await tell(result.error);
        return null;
      }
      const what =
        added.length === 1 && added[0] !== undefined ? limitText(added[0]) : `${added.length} limits`;
      const undo = async () => {
        for (const { id } of added) await put(id, { removed: true });
      };
      remember({ what: `added ${what}`, undo });
      return added;
    },

    /** @param what was done, as in “Undone: switched off Language English” */
    change: async (limit: ReviewLimit, change: LimitChange, what: string): Promise<Problem | null> => {
      const { id, version, values, reason, on, ways } = limit;
      const result = await changeLimit({ review: review.id, id, version, change });
      if (result.data === undefined) {
        const problem = problemOf(result.error);
        if (problem.status !== 400) await tell(result.error);
        return problem;
      }
      const after = review.limits[review.limits.findIndex((each) => each.id === id) + 1]?.id ?? null;
      const back: LimitChange = {
        ...(change.values === undefined ? {} : { values }),
        ...(change.reason === undefined ? {} : { reason }),
        ...(change.on === undefined ? {} : { on }),
        ...(change.ways === undefined ? {} : { ways }),
        ...(change.before === undefined ? {} : { before: after }),
      };
      remember({ what: `${what} ${limitText(limit)}`, undo: () => put(id, back) });
      return null;
    },

    remove: async (limit: ReviewLimit): Promise<void> => {
      const { id, version } = limit;
      const result = await changeLimit({ review: review.id, id, version, change: { removed: true } });
      if (result.data === undefined) {
        await tell(result.error);
        return;
      }
      // What is brought back has not been in the review meanwhile, but its version is known.
      const { version: now } = result.data;
      const undo = async () => {
        await changeLimit({ review: review.id, id, version: now, change: { removed: false } }).unwrap();
      };
      remember({ what: `took away ${limitText(limit)}`, undo });
      toast(`Took away ${limitText(limit)}. Ctrl Z brings it back.`);
    },
  };
}
