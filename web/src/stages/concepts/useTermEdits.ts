import { describeTerm, type TermContent, type TermOrigin } from '@even-lantern/core';
import type { ReviewTerm } from '@even-lantern/contract';
import { toast } from 'sonner';
import { api, problemOf } from '../../app/api.js';
import { useUndo } from '../../app/undo.js';
import { useReview } from '../../app/useReview.js';

/** Adding, changing and taking out terms, each with its way back. */
export function useTermEdits() {
  const { review } = useReview();
  const { remember } = useUndo();
  const [addTerm] = api.useAddTermMutation();
  const [changeTerm] = api.useChangeTermMutation();
  const [refresh] = api.useLazyReviewQuery();

  /** The version a term is at now, since others may have raised it. */
  const versionOf = async (id: string): Promise<number | null> => {
    const fresh = await refresh(review.id).unwrap();
    return fresh.elements.flatMap(({ terms }) => terms).find((term) => term.id === id)?.version ?? null;
  };

  return {
    async add(elementId: string, content: TermContent, origin: TermOrigin): Promise<string | null> {
      const result = await addTerm({ reviewId: review.id, term: { elementId, content, origin } });
      if (result.data === undefined) return problemOf(result.error).title;
      const { id } = result.data;
      remember({
        what: `added ${describeTerm(content).text}`,
        undo: async () => {
          const version = await versionOf(id);
          if (version !== null) await changeTerm({ id, version, change: { removed: true } }).unwrap();
        },
      });
      return null;
    },

    async remove(term: ReviewTerm): Promise<void> {
      const { text } = describeTerm(term.content);
      const result = await changeTerm({ id: term.id, version: term.version, change: { removed: true } });
      if (result.data === undefined) {
        const { title, detail } = problemOf(result.error);
        toast.error(title, { description: detail });
        return;
      }
      const { version } = result.data;
      const undo = async () => {
        await changeTerm({ id: term.id, version, change: { removed: false } }).unwrap();
      };
      remember({ what: `took out ${text}`, undo });
      toast(`Took out ${text}. Ctrl Z puts it back.`);
    },

    /** @returns the problem, when the change was not made */
    async change(term: ReviewTerm, content: TermContent): Promise<ReturnType<typeof problemOf> | null> {
      const result = await changeTerm({ id: term.id, version: term.version, change: { content } });
      if (result.data === undefined) return problemOf(result.error);
      remember({
        what: `changed ${describeTerm(term.content).text}`,
        undo: async () => {
          const version = await versionOf(term.id);
          if (version !== null)
            await changeTerm({ id: term.id, version, change: { content: term.content } }).unwrap();
        },
      });
      return null;
    },

    /** Fetches the review anew, after somebody else changed it. */
    refresh: async () => {
      await refresh(review.id).unwrap();
    },
  };
}
