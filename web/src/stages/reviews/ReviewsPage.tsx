import { useState, type FormEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, problemOf } from '../../app/api.js';
import { formatCount } from '../../parts/Count.js';
import { Mark } from '../../parts/Mark.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** All reviews, and the way to begin another. */
export function ReviewsPage() {
  const { data: reviews, error } = api.useReviewsQuery(undefined, { refetchOnMountOrArgChange: true });
  const [addReview, adding] = api.useAddReviewMutation();
  const [title, setTitle] = useState('');
  const navigate = useNavigate();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const added = await addReview(title);
    if (added.data) await navigate(`/reviews/${added.data.id}/question`);
  };
  return (
    <main className="h-full overflow-auto">
      <div className="mx-auto flex max-w-2xl flex-col gap-6 px-4 py-16">
        <Mark />
        <h1 className="text-xl font-bold">Reviews</h1>
        {error !== undefined && reviews === undefined && <ProblemNote problem={problemOf(error)} />}
        <ul className="rule divide-y divide-[var(--rule)] border-y">
          {(reviews ?? []).map((review) => (
            <li key={review.id}>
              <Link
                to={`/reviews/${review.id}/question`}
                className="hover:bg-base-300 flex items-baseline justify-between gap-6 px-2 py-3"
              >
                <span>
                  <span className="font-semibold">{review.title}</span>
                  <span className="quiet block">
                    {review.sentence === '' ? 'No question written yet.' : review.sentence}
                  </span>
                </span>
                <span className="quiet count text-sm whitespace-nowrap">
                  {review.unread > 0 ? `${formatCount(review.unread)} unread` : ''}
                </span>
              </Link>
            </li>
          ))}
        </ul>
        <form onSubmit={(event) => void submit(event)} className="flex flex-col gap-2">
          <label htmlFor="review-title" className="small-head">
            Begin another review
          </label>
          <div className="flex gap-2">
            <input
              id="review-title"
              className="input flex-1"
              placeholder="A short title"
              value={title}
              onChange={(event) => setTitle(event.target.value)}
            />
            <button className="btn btn-primary">Begin</button>
          </div>
          {adding.error !== undefined && <ProblemNote problem={problemOf(adding.error)} />}
        </form>
      </div>
    </main>
  );
}
