import type { Decision, DesignCounts } from '@even-lantern/contract';
import { useEffect, useRef, useState } from 'react';
import { useDispatch } from 'react-redux';
import { api } from '../../review/api/api.js';
import { recordApi } from '../../review/api/recordApi.js';
import type { store } from '../../review/api/store.js';
import { useDesigns } from '../../review/useDesigns.js';

/** How often it is asked how far the work is. */
const ASKED_EVERY_MS = 700;

/** The study designs of a review’s records, which are worked out as soon as somebody asks for them. */
export function useRecordDesigns(review: string) {
  const dispatch = useDispatch<typeof store.dispatch>();
  const designs = useDesigns();
  const [polling, setPolling] = useState(true);
  const { data } = recordApi.useDesignCountsQuery(review, { pollingInterval: polling ? ASKED_EVERY_MS : 0 });
  const working = data !== undefined && data.pending > 0 && data.trouble === null;
  const before = useRef(false);
  useEffect(() => {
    // What is listed was fetched before its designs were known.
    if (before.current && !working) dispatch(api.util.invalidateTags(['Records', 'RecordDesigns']));
    before.current = working;
    setPolling(working);
  }, [working, dispatch]);

  const withKinds = (design: string): ReadonlySet<string> =>
    new Set([design, ...(designs?.tree.below(design) ?? [])]);
  return {
    counts: data ?? null,
    /** how many records there are of a design with its kinds; null while they are worked out */
    numberOf: (design: string, decision: Decision | 'any'): number | null =>
      data === undefined || data.pending > 0 ? null : numberOf(data, withKinds(design), decision),
    /** the designs that some record has, by the groups they stand in */
    groups:
      designs?.groups.map(({ group, designs: each }) => ({
        group,
        designs: each.map(({ label }) => label),
      })) ?? [],
  };
}

export type RecordDesigns = ReturnType<typeof useRecordDesigns>;

function numberOf(
  { designs }: DesignCounts,
  chosen: ReadonlySet<string>,
  decision: Decision | 'any',
): number {
  const own = designs.filter(({ design }) => chosen.has(design));
  return own.reduce((sum, { records }) => sum + (decision === 'any' ? all(records) : records[decision]), 0);
}

function all(records: Readonly<Record<Decision, number>>): number {
  return Object.values(records).reduce((sum, each) => sum + each, 0);
}
