import type { Review } from '@even-lantern/contract';
import { Rows3, Rows4 } from 'lucide-react';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { reviewApi } from '../../../review/api/reviewApi.js';

const OTHER = { term: 'lane', lane: 'term' } as const;

/** How fine the lines are: one for each term, or one for each lane. It holds for all databases, and for what is run. */
export function LinesFor({ review: { id, linesFor } }: { review: Review }) {
  const [change, { isLoading }] = reviewApi.useChangeReviewMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();
  const choose = async () => {
    try {
      const { version } = await refresh(id).unwrap();
      await change({ id, version, linesFor: OTHER[linesFor] }).unwrap();
    } catch (error) {
      toast.error(problemOf(error).title);
    }
  };
  const Sign = linesFor === 'term' ? Rows4 : Rows3;
  return (
    <button
      className="btn btn-xs btn-quiet relative z-10"
      onClick={() => void choose()}
      disabled={isLoading}
      title={`Now there is a line for each ${linesFor}. Make it one for each ${OTHER[linesFor]}`}
    >
      <Sign className="h-3.5 w-3.5" aria-hidden="true" /> A line for each {linesFor}
    </button>
  );
}
