import type {
  NewOwnLine,
  OwnLineChange,
  OwnLinesChanged,
  Problem,
  ReviewOwnLine,
} from '@even-lantern/contract';
import { toast } from 'sonner';
import { api, problemOf } from './api.js';
import { ownLineApi } from './ownLineApi.js';
import { useUndo } from './undo.js';
import { useReview } from './useReview.js';

/** Adding, changing, moving, merging, splitting and taking away lines of one’s own, each with its way back. */
export function useOwnLineEdits() {
  const { review } = useReview();
  const { remember } = useUndo();
  const [addLines] = ownLineApi.useAddOwnLinesMutation();
  const [changeLine] = ownLineApi.useChangeOwnLineMutation();
  const [mergeLines] = ownLineApi.useMergeOwnLinesMutation();
  const [splitLine] = ownLineApi.useSplitOwnLineMutation();
  const [restoreLines] = ownLineApi.useRestoreOwnLinesMutation();
  const [refresh] = api.useLazyReviewQuery();

  const tell = async (error: unknown): Promise<Problem> => {
    const problem = problemOf(error);
    const { title, detail, errors = [], status } = problem;
    toast.error(errors[0]?.message ?? title, { description: errors.length > 0 ? title : detail });
    if (status === 412 || status === 409 || status === 404) await refresh(review.id);
    return problem;
  };
  /** Changes a line at the version it has now, since others may have raised it. */
  const put = async (id: string, change: OwnLineChange): Promise<void> => {
    const { ownLines } = await refresh(review.id).unwrap();
    const version = ownLines.find((line) => line.id === id)?.version;
    if (version === undefined) throw new Error('This line is not there any more.');
    await changeLine({ review: review.id, id, version, change }).unwrap();
  };
  const told = async (
    result: { data?: OwnLinesChanged; error?: unknown },
    what: string,
  ): Promise<boolean> => {
    const { data } = result;
    if (data === undefined) {
      await tell(result.error);
      return false;
    }
    const undo = async () => {
      await restoreLines({ review: review.id, body: data.before }).unwrap();
    };
    remember({ what, undo });
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
      remember({ what: 'added a line', undo: () => put(added.id, { removed: true }) });
      return added;
    },

    /** @param what was done, as in “Undone: switched off a line” */
    change: async (line: ReviewOwnLine, change: OwnLineChange, what: string): Promise<Problem | null> => {
      const { id, version, role, on, text, note } = line;
      const result = await changeLine({ review: review.id, id, version, change });
      if (result.data === undefined) {
        const problem = problemOf(result.error);
        if (problem.status !== 412) await tell(result.error);
        else await refresh(review.id);
        return problem;
      }
      const after = review.ownLines[review.ownLines.findIndex((each) => each.id === id) + 1]?.id ?? null;
      const back: OwnLineChange = {
        ...(change.role === undefined ? {} : { role }),
        ...(change.on === undefined ? {} : { on }),
        ...(change.text === undefined ? {} : { text }),
        ...(change.note === undefined ? {} : { note }),
        ...(change.before === undefined ? {} : { before: after }),
      };
      remember({ what, undo: () => put(id, back) });
      return null;
    },

    remove: async (line: ReviewOwnLine, name: string): Promise<void> => {
      const { id, version } = line;
      const result = await changeLine({ review: review.id, id, version, change: { removed: true } });
      if (result.data === undefined) {
        await tell(result.error);
        return;
      }
      // What is brought back has not been in the review meanwhile, but its version is known.
      const { version: now } = result.data;
      const undo = async () => {
        await changeLine({ review: review.id, id, version: now, change: { removed: false } }).unwrap();
      };
      remember({ what: `took away ${name}`, undo });
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
