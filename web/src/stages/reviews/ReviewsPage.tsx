import { formatCount } from '@even-lantern/core';
import type { ReviewSummary } from '@even-lantern/contract';
import { Pencil } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, problemOf } from '../../app/api.js';
import { PersonMenu } from '../../app/PersonMenu.js';
import { LineForm } from '../../parts/LineForm.js';
import { Mark } from '../../parts/Mark.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** All reviews, and the way to begin another. */
export function ReviewsPage() {
  const { data: reviews, error } = api.useReviewsQuery(undefined, { refetchOnMountOrArgChange: true });
  const [addReview, adding] = api.useAddReviewMutation();
  const navigate = useNavigate();
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto flex max-w-2xl flex-col gap-6 px-4 py-16">
        <div className="flex justify-between">
          <Mark />
          <PersonMenu />
        </div>
        <h1 className="text-xl font-bold">Reviews</h1>
        {error !== undefined && reviews === undefined && <ProblemNote problem={problemOf(error)} />}
        <ul className="rule divide-y divide-[var(--rule)] border-y">
          {(reviews ?? []).map((review) => (
            <ReviewRow key={review.id} review={review} />
          ))}
        </ul>
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
        <Link className="link self-start" to="/vocabularies">
          Vocabularies and crosswalk
        </Link>
      </div>
    </main>
  );
}

function ReviewRow({ review }: { review: ReviewSummary }) {
  const [renaming, setRenaming] = useState(false);
  const [changeReview, changing] = api.useChangeReviewMutation();
  if (renaming) {
    return (
      <li className="px-2 py-3">
        <LineForm
          label={`New title of “${review.title}”`}
          button="Rename"
          initial={review.title}
          autoFocus
          problem={changing.error === undefined ? null : problemOf(changing.error)}
          onSubmit={async (title) => {
            const changed = await changeReview({ id: review.id, version: review.version, title });
            if (changed.data) setRenaming(false);
          }}
          onCancel={() => setRenaming(false)}
        />
      </li>
    );
  }
  return (
    <li className="hover:bg-base-300 flex items-baseline gap-2 px-2">
      <Link to={`/reviews/${review.id}/question`} className="flex min-w-0 flex-1 items-baseline gap-6 py-3">
        <span className="min-w-0 flex-1">
          <span className="font-semibold">{review.title}</span>
          <span className="quiet block">
            {review.sentence === '' ? 'No question written yet.' : review.sentence}
          </span>
        </span>
        <span className="quiet count text-sm whitespace-nowrap">
          {review.unread > 0 ? `${formatCount(review.unread)} unread` : ''}
        </span>
      </Link>
      <button
        className="btn btn-ghost btn-xs btn-square"
        onClick={() => setRenaming(true)}
        aria-label={`Rename “${review.title}”`}
        title="Rename"
      >
        <Pencil className="h-4 w-4" />
      </button>
    </li>
  );
}
