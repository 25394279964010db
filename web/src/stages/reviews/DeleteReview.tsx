import { counted } from '@even-lantern/core';
import type { ReviewHoldings, ReviewSummary } from '@even-lantern/contract';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { reviewApi } from '../../review/api/reviewApi.js';
import { LineForm } from '../../parts/LineForm.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** Tells what goes with a review, and asks for its title before it does. */
export function DeleteReview({
  review: { id, title },
  onGone,
  onCancel,
}: {
  review: ReviewSummary;
  onGone: () => void;
  onCancel: () => void;
}) {
  const { data, error } = reviewApi.useHoldingsQuery(id, { refetchOnMountOrArgChange: true });
  const [deleteReview, deleting] = reviewApi.useDeleteReviewMutation();
  return (
    <section aria-label={`Delete “${title}”`} className="flex flex-col gap-2 pb-4">
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {data === undefined ? (
        error === undefined && <p className="quiet">Looking at what it holds …</p>
      ) : (
        <p>
          <b>This cannot be undone.</b> What goes: {whatGoes(data)}. Export the ledger, the lanes and the kept
          records first if anybody may ask for them; or put the review away instead, and keep everything.
        </p>
      )}
      <LineForm
        label={`Type its title to delete it: ${title}`}
        button="Delete for good"
        autoComplete="off"
        autoFocus
        problem={deleting.error === undefined ? null : problemOf(deleting.error)}
        onSubmit={async (typed) => {
          const result = await deleteReview({ id, title: typed });
          if (result.error !== undefined) return;
          toast(`Deleted “${title}”.`);
          onGone();
        }}
        onCancel={onCancel}
      />
    </section>
  );
}

function whatGoes({ lanes, terms, onShelf, ledgerEntries, records, decided }: ReviewHoldings): string {
  const entries = ledgerEntries === 1 ? '1 ledger entry' : `${ledgerEntries} ledger entries`;
  const parts = [
    'the question',
    ...(terms === 0 ? [] : [`${counted(lanes, 'lane')} of ${counted(terms, 'term')}`]),
    ...(onShelf === 0 ? [] : [`${counted(onShelf, 'item')} on the shelf`]),
    ...(ledgerEntries === 0 ? [] : [entries]),
    ...(records === 0 ? [] : [`${counted(records, 'record')}, ${counted(decided, 'decision')}`]),
  ];
  const last = parts.pop() ?? '';
  return parts.length === 0 ? last : `${parts.join(', ')} and ${last}`;
}
