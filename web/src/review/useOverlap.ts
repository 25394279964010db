import { useState } from 'react';
import { strategyApi } from './api/strategyApi.js';
import { useReview } from './useReview.js';

/** How soon it is asked again where a database had not answered. */
const AGAIN_MS = 3000;

/** How what the strategy finds in one database is found in the others too. Where one is late it is asked again. */
export function useOverlap() {
  const { review } = useReview();
  const [late, setLate] = useState(false);
  const answer = strategyApi.useOverlapQuery(review.id, { pollingInterval: late ? AGAIN_MS : 0 });
  const isLate = Object.values(answer.currentData?.databases ?? {}).some((each) => each.late);
  if (isLate !== late) setLate(isLate);
  return { ...answer, waiting: isLate };
}
