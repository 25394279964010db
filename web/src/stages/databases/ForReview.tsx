import { counted, recommend, type Advice, type QuestionType, type Recommendation } from '@even-lantern/core';
import type { DatabaseProfile, Overlap, Rehearsal } from '@even-lantern/contract';
import { Link } from 'react-router';
import { databaseApi } from '../../review/api/databaseApi.js';
import { useReview } from '../../review/useReview.js';
import { Count } from '../../parts/Count.js';
import { Choose } from './Choose.js';
import { OfAdded } from './OfAdded.js';
import { Release } from './Release.js';

/** How many of what the review finds in all stand in one database, and in it alone. */
export type FoundIn = Overlap['databases'][string];

export const QUESTIONS: Readonly<Record<QuestionType, string>> = {
  intervention: 'what an intervention does',
  exposure: 'what an exposure does',
  experience: 'how people live through something',
};

export const ADVICE: Readonly<Record<Advice, string>> = {
  begin: 'Recommended',
  add: 'Worth adding',
  consider: 'Worth considering',
  'little use': 'Of little use here',
};

/** Whether to search a database for a question of this type, as far as is known by now. */
export function recommendationFor(
  { about }: DatabaseProfile,
  type: QuestionType,
  overlap: FoundIn | undefined,
): Recommendation {
  const { works = null, elsewhere = null } = overlap ?? {};
  const found = works === null || elsewhere === null ? null : { works, onlyHere: works - elsewhere };
  return recommend(about?.suits[type] ?? null, found);
}

interface ForReviewProps {
  database: DatabaseProfile;
  rehearsal: Rehearsal | undefined;
  overlap: FoundIn | undefined;
  comparing: boolean;
}

/** What the strategy of the review finds in a database, and whether it is searched. */
export function ForReview({ database, rehearsal, overlap, comparing }: ForReviewProps) {
  const { review } = useReview();
  const { data: choices = [] } = databaseApi.useDatabaseChoicesQuery(review.id);
  const choice = choices.find((each) => each.database === database.id);
  const hits = rehearsal?.whole.hits ?? null;
  const unsettled = new Set(rehearsal?.problems.flatMap(({ termId }) => termId ?? [])).size;
  const nothing = rehearsal?.lines.length === 0 && unsettled === 0;
  return (
    <div className="flex flex-col gap-2">
      <p className="flex items-baseline justify-between gap-3">
        <span className="quiet">
          {rehearsal === undefined
            ? 'Counting what the strategy finds …'
            : nothing
              ? 'There is nothing to search yet.'
              : 'The strategy finds'}
        </span>
        {rehearsal !== undefined && !nothing && (
          <span className="text-lg font-bold">
            <Count hits={hits} error={rehearsal.whole.error ?? null} />
          </span>
        )}
      </p>
      <NotCompared overlap={overlap} comparing={comparing} found={hits} />
      {database.reached === 'hand' && rehearsal !== undefined && hits === null && (
        <p className="text-sm">
          <Link className="link" to={`/reviews/${review.id}/searches?database=${database.id}`}>
            Enter what it finds
          </Link>
        </p>
      )}
      {unsettled > 0 && (
        <p className="quiet text-sm">
          without {counted(unsettled, 'term that is', 'terms that are')} still to settle there
        </p>
      )}
      <Choose key={choice?.at ?? ''} reviewId={review.id} database={database} choice={choice} />
      <Release database={database} />
      {database.reached !== 'shipped' && <OfAdded id={database.id} name={database.name} />}
    </div>
  );
}

/** Why it is not known how much of what is found here the other databases have too. */
function NotCompared({
  overlap,
  comparing,
  found,
}: {
  overlap: FoundIn | undefined;
  comparing: boolean;
  found: number | null;
}) {
  if (found === null || found === 0) return null;
  if (overlap === undefined) {
    return comparing ? <p className="quiet text-sm">Comparing with the others …</p> : null;
  }
  const { works, reason } = overlap;
  return works === null ? <p className="quiet text-sm">Not compared with the others: {reason}</p> : null;
}
