import type { NewOwnLine, OwnLineChange, Problem, ReviewOwnLine } from '@even-lantern/contract';
import { problemOf } from './api/api.js';
import { ownLineApi } from './api/ownLineApi.js';
import { useEdit } from './useEdit.js';
import { useReview } from './useReview.js';

/** Adding, changing, moving, merging, splitting and taking away lines of one’s own. The server keeps each as a step. */
export function useOwnLineEdits() {
  const { review } = useReview();
  const edit = useEdit();
  const [addLines] = ownLineApi.useAddOwnLinesMutation();
  const [changeLine] = ownLineApi.useChangeOwnLineMutation();
  const [mergeLines] = ownLineApi.useMergeOwnLinesMutation();
  const [splitLine] = ownLineApi.useSplitOwnLineMutation();
  const send = (id: string, version: number, change: OwnLineChange) =>
    changeLine({ review: review.id, id, version, change });
  const changed = (what: string) => () =>
    `${what.charAt(0).toUpperCase()}${what.slice(1)}. Ctrl Z takes it back.`;

  return {
    /** @returns the line as it was added, or null when it was not */
    add: async (line: NewOwnLine, before: string | null = null): Promise<ReviewOwnLine | null> =>
      (await edit(addLines({ review: review.id, body: { lines: [line], before } }))).answer?.[0] ?? null,

    /** @returns why it was not changed; that somebody else changed the same is shown beside it */
    change: async (line: ReviewOwnLine, change: OwnLineChange): Promise<Problem | null> => {
      const { id, version } = line;
      const first = await send(id, version, change);
      const refused = first.data === undefined ? problemOf(first.error) : null;
      const now = refused?.status === 412 ? (refused.current as ReviewOwnLine | undefined) : undefined;
      // Somebody, such as oneself a moment ago, changed something else of the line: that stays, and so does this.
      const again = now !== undefined && untouched(line, now, change);
      return (
        await edit(again ? send(id, now.version, change) : Promise.resolve(first), { shownBeside: [412] })
      ).problem;
    },

    remove: async ({ id, version }: ReviewOwnLine, name: string): Promise<void> => {
      await edit(send(id, version, { removed: true }), {
        notice: () => `Took away ${name}. Ctrl Z brings it back.`,
      });
    },

    merge: async (line: ReviewOwnLine, other: ReviewOwnLine, operator: 'and' | 'or', what: string) => {
      const body = { other: other.id, version: other.version, operator };
      const sent = mergeLines({ review: review.id, id: line.id, version: line.version, body });
      return (await edit(sent, { notice: changed(what) })).problem === null;
    },

    split: async ({ id, version }: ReviewOwnLine, what: string) => {
      const sent = splitLine({ review: review.id, id, version });
      return (await edit(sent, { notice: changed(what) })).problem === null;
    },
  };
}

export type OwnLineEdits = ReturnType<typeof useOwnLineEdits>;

/** Whether what a change is about is still as it was when the change was made. */
function untouched(seen: ReviewOwnLine, now: ReviewOwnLine, change: OwnLineChange): boolean {
  return (['role', 'on', 'text', 'note'] as const).every(
    (part) => change[part] === undefined || seen[part] === now[part],
  );
}
