import type { NewOwnLine, OwnLineChange, Problem, ReviewOwnLine } from '@even-lantern/contract';
import { toast } from 'sonner';
import { problemOf } from './api/api.js';
import { reviewApi } from './api/reviewApi.js';
import { ownLineApi } from './api/ownLineApi.js';
import { useReview } from './useReview.js';

/** Adding, changing, moving, merging, splitting and taking away lines of one’s own. The server keeps each as a step. */
export function useOwnLineEdits() {
  const { review } = useReview();
  const [addLines] = ownLineApi.useAddOwnLinesMutation();
  const [changeLine] = ownLineApi.useChangeOwnLineMutation();
  const [mergeLines] = ownLineApi.useMergeOwnLinesMutation();
  const [splitLine] = ownLineApi.useSplitOwnLineMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();

  const tell = async (error: unknown): Promise<Problem> => {
    const problem = problemOf(error);
    const { title, detail, errors = [], status } = problem;
    toast.error(errors[0]?.message ?? title, { description: errors.length > 0 ? title : detail });
    if (status === 412 || status === 409 || status === 404) await refresh(review.id);
    return problem;
  };
  const told = async (
    result: { data?: ReviewOwnLine[]; error?: unknown },
    what: string,
  ): Promise<boolean> => {
    if (result.data === undefined) {
      await tell(result.error);
      return false;
    }
    toast(`${what.charAt(0).toUpperCase()}${what.slice(1)}. Ctrl Z takes it back.`);
    return true;
  };

  return {
    /** @returns the line as it was added, or null when it was not */
    add: async (line: NewOwnLine, before: string | null = null): Promise<ReviewOwnLine | null> => {
      const result = await addLines({ review: review.id, body: { lines: [line], before } });
      const [added] = result.data ?? [];
      if (added === undefined) {
        await tell(result.error);
        return null;
      }
      return added;
    },

    change: async (line: ReviewOwnLine, change: OwnLineChange): Promise<Problem | null> => {
      const send = (version: number) => changeLine({ review: review.id, id: line.id, version, change });
      let result = await send(line.version);
      if (result.data === undefined) {
        const { status, current } = problemOf(result.error);
        const now = current as ReviewOwnLine | undefined;
        // Somebody, such as oneself a moment ago, changed something else of the line: that stays, and so does this.
        if (status === 412 && now !== undefined && untouched(line, now, change))
          result = await send(now.version);
      }
      if (result.data === undefined) {
        const problem = problemOf(result.error);
        if (problem.status !== 412) await tell(result.error);
        else await refresh(review.id);
        return problem;
      }
      return null;
    },

    remove: async (line: ReviewOwnLine, name: string): Promise<void> => {
      const { id, version } = line;
      const result = await changeLine({ review: review.id, id, version, change: { removed: true } });
      if (result.data === undefined) {
        await tell(result.error);
        return;
      }
      toast(`Took away ${name}. Ctrl Z brings it back.`);
    },

    merge: async (line: ReviewOwnLine, other: ReviewOwnLine, operator: 'and' | 'or', what: string) => {
      const body = { other: other.id, version: other.version, operator };
      return told(await mergeLines({ review: review.id, id: line.id, version: line.version, body }), what);
    },

    split: async (line: ReviewOwnLine, what: string) =>
      told(await splitLine({ review: review.id, id: line.id, version: line.version }), what),
  };
}

export type OwnLineEdits = ReturnType<typeof useOwnLineEdits>;

/** Whether what a change is about is still as it was when the change was made. */
function untouched(seen: ReviewOwnLine, now: ReviewOwnLine, change: OwnLineChange): boolean {
  return (['role', 'on', 'text', 'note'] as const).every(
    (part) => change[part] === undefined || seen[part] === now[part],
  );
}
