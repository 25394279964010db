import { formatCount } from '@even-lantern/core';
import type { ReviewElement } from '@even-lantern/contract';
import { termsOfElement } from '../../review/lanes.js';
import { useRehearsal } from '../../review/useRehearsal.js';
import { useReview } from '../../review/useReview.js';

/** An outcome or comparison that leaves less than this share is worth a second thought. */
const NARROW_SHARE = 0.9;

/** What searching on an element does to the count: with it, and without it. */
export function ElementEffect({ element }: { element: ReviewElement }) {
  const { review } = useReview();
  const { data } = useRehearsal();
  if (!element.searched || data === undefined) return null;
  if (termsOfElement(review, element.id).length === 0) {
    return <p className="quiet text-xs">No terms in its lane yet.</p>;
  }
  const withIt = data.whole.hits;
  const without = data.withoutElements[element.id];
  if (withIt === null || without == null || without.hits === null) return null;
  const lost = without.hits - withIt;
  return (
    <p className="text-xs" aria-label="What it does to the count">
      <span className="count">
        <b>{formatCount(withIt)}</b> with it, {formatCount(without.hits)} without
      </span>
      {withIt < without.hits * NARROW_SHARE && (element.key === 'O' || element.key === 'C') && (
        <span className="problem block">
          It costs {formatCount(lost)} records. Search on it only if you must.
        </span>
      )}
    </p>
  );
}
