import type { DatabaseProfile, LimitDraft, LimitProfile } from '@even-lantern/contract';
import { useRef } from 'react';
import { useDatabaseChoice } from '../../review/useDatabaseChoice.js';
import { useEachProfile } from '../../review/useEach.js';
import { useEditsUnderWay } from '../../review/useEditsUnderWay.js';
import { useReview } from '../../review/useReview.js';

export interface ProfileIn {
  database: DatabaseProfile;
  /** undefined until it is counted first */
  profile: LimitProfile | undefined;
}

/** What each limit takes in each database. While new counts come, the last ones stay. */
export function useProfiles(tried: LimitDraft[] | undefined) {
  const { review, database } = useReview();
  const { databases } = useDatabaseChoice();
  const editsUnderWay = useEditsUnderWay();
  const answers = useEachProfile(
    review.id,
    databases.map(({ id }) => id),
    tried,
  );
  const last = useRef(new Map<string, LimitProfile>());
  const each = databases.map((one, i): ProfileIn => {
    const profile = answers[i]?.data;
    if (profile !== undefined) last.current.set(one.id, profile);
    return { database: one, profile: profile ?? last.current.get(one.id) };
  });
  const here = databases.findIndex(({ id }) => id === database?.id);
  const answer = answers[here];
  return {
    /** in the order of the databases */
    each,
    /** in the database at hand */
    profile: each[here]?.profile,
    error: answer?.error,
    /** whether the profile at hand is of an earlier state */
    stale: editsUnderWay || answer?.isLoading === true || answer?.data === undefined,
  };
}
