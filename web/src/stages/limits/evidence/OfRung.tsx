import { formatCount } from '@even-lantern/core';
import type { LimitDraft, LimitValueCounts } from '@even-lantern/contract';
import { limitApi } from '../../../review/api/limitApi.js';
import { useReview } from '../../../review/useReview.js';

const MOST = 100;

/** How many records of a rung a database holds; the counts of its designs are asked for once a database. */
export function OfRung({
  database,
  designs,
  tried,
}: {
  database: string;
  designs: readonly string[];
  tried: LimitDraft[] | undefined;
}) {
  const { review } = useReview();
  const limitId = review.limits.find(({ kind, on }) => kind === 'design' && on)?.id ?? null;
  const { data } = limitApi.useLimitValuesQuery({
    review: review.id,
    body: {
      database,
      kind: 'design',
      limitId,
      most: MOST,
      ...(tried === undefined ? {} : { limits: tried }),
    },
  });
  if (data === undefined) return <span className="quiet">…</span>;
  return <span className="count">{countsOf(data, designs)}</span>;
}

/** Each design by itself, since a record may be found by the words of two. */
function countsOf({ counted, hits }: LimitValueCounts, designs: readonly string[]): string {
  if (counted === null || hits === null) return '–';
  return designs
    .map((design) => counted.find(({ value }) => value === design)?.count)
    .map((count) => (count === undefined ? '–' : formatCount(count)))
    .join(' · ');
}
