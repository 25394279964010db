import { counted } from '@even-lantern/core';
import { useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { reviewApi } from '../../review/api/reviewApi.js';
import { PersonMenu } from '../../review/PersonMenu.js';
import { usePageTitle } from '../../parts/usePageTitle.js';
import { LineForm } from '../../parts/LineForm.js';
import { Mark } from '../../parts/Mark.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { ReviewRow } from './ReviewRow.js';
import { TakePackage } from './TakePackage.js';

/** All reviews and where each stands, and the way to begin another. */
export function ReviewsPage() {
  usePageTitle('Reviews');
  const { data: reviews, error } = reviewApi.useReviewsQuery(undefined, { refetchOnMountOrArgChange: true });
  const [addReview, adding] = reviewApi.useAddReviewMutation();
  const navigate = useNavigate();
  const atWork = (reviews ?? []).filter(({ putAwayAt }) => putAwayAt === null);
  const away = (reviews ?? []).filter(({ putAwayAt }) => putAwayAt !== null);
  const head = useRef<HTMLHeadingElement>(null);
  const toHead = () => head.current?.focus();
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto flex max-w-4xl flex-col gap-6 px-4 py-12">
        <div className="flex justify-between">
          <Mark />
          <PersonMenu />
        </div>
        <h1 ref={head} tabIndex={-1} className="text-xl font-bold outline-none">
          Reviews
        </h1>
        {error !== undefined && reviews === undefined && <ProblemNote problem={problemOf(error)} />}
        {reviews === undefined && error === undefined && <p className="quiet">Fetching the reviews …</p>}
        {reviews !== undefined && atWork.length === 0 && (
          <p className="quiet">
            {away.length === 0
              ? 'No review yet. Begin one below: a short title is enough, the question comes next.'
              : 'All reviews are put away. Bring one back, or begin another.'}
          </p>
        )}
        {atWork.length > 0 && (
          <ul aria-label="Reviews at work" className="rule divide-y divide-[var(--rule)] border-y">
            {atWork.map((review) => (
              <ReviewRow key={review.id} review={review} onGone={toHead} />
            ))}
          </ul>
        )}
        <LineForm
          label="Begin another review"
          button="Begin"
          placeholder="A short title"
          problem={adding.error === undefined ? null : problemOf(adding.error)}
          onSubmit={async (title) => {
            const added = await addReview(title);
            if (added.data) await navigate(`/reviews/${added.data.id}/question`);
          }}
        />
        <TakePackage />
        {away.length > 0 && (
          <details>
            <summary className="cursor-pointer font-semibold">
              {counted(away.length, 'review')} put away
            </summary>
            <ul aria-label="Reviews put away" className="rule mt-2 divide-y divide-[var(--rule)] border-y">
              {away.map((review) => (
                <ReviewRow key={review.id} review={review} onGone={toHead} />
              ))}
            </ul>
          </details>
        )}
        <p className="flex gap-6">
          <Link className="link" to="/vocabularies">
            Vocabularies and crosswalk
          </Link>
          <Link className="link" to="/guide">
            Guide
          </Link>
        </p>
      </div>
    </main>
  );
}
