import type { Review } from '@even-lantern/contract';
import { Rows3, Rows4 } from 'lucide-react';
import { toast } from 'sonner';
import { api, problemOf } from '../../../app/api.js';
import { useUndo } from '../../../app/undo.js';

const OTHER = { term: 'lane', lane: 'term' } as const;

/** How fine the lines are: one for each term, or one for each lane. It holds for all databases, and for what is run. */
export function LinesFor({ review: { id, linesFor } }: { review: Review }) {
  const [change, { isLoading }] = api.useChangeReviewMutation();
  const [refresh] = api.useLazyReviewQuery();
  const { remember } = useUndo();
  const put = (wanted: Review['linesFor']) => async () => {
    const { version } = await refresh(id).unwrap();
    await change({ id, version, linesFor: wanted }).unwrap();
  };
  const choose = () => {
    const wanted = OTHER[linesFor];
    put(wanted)().then(
      () => remember({ what: `chose a line for each ${wanted}`, undo: put(linesFor), redo: put(wanted) }),
      (error: unknown) => toast.error(problemOf(error).title),
    );
  };
  const Sign = linesFor === 'term' ? Rows4 : Rows3;
  return (
    <button
      className="btn btn-xs btn-quiet relative z-10"
      onClick={choose}
      disabled={isLoading}
      title={`Now there is a line for each ${linesFor}. Make it one for each ${OTHER[linesFor]}`}
    >
      <Sign className="h-3.5 w-3.5" aria-hidden="true" /> A line for each {linesFor}
    </button>
  );
}
