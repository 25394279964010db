import { format } from 'date-fns';
import { Link } from 'react-router';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { useReview } from '../../review/useReview.js';
import { releaseText } from '../../parts/release.js';

/** The runs that found a record, with the lines that did, and the searches made elsewhere that brought it. */
export function FoundBy({ id }: { id: string }) {
  const { review } = useReview();
  const { currentData = [] } = ledgerApi.useFoundByQuery(id);
  if (currentData.length === 0) return null;
  return (
    <section aria-label="Found by">
      <h3 className="small-head">Found by</h3>
      <ul className="text-[0.8125rem]">
        {currentData.map(({ entry, release, at, rank, lines, elsewhere }) => (
          <li key={entry}>
            <Link className="link" to={`/reviews/${review.id}/ledger/${entry}`}>
              Entry {entry}
            </Link>{' '}
            <span className="quiet">
              {format(at, 'd MMM yyyy')}, {elsewhere ?? releaseText(release)}, as number {rank}
            </span>
            {lines !== null && lines.length > 0 && (
              <span> through {lines.map((line) => `L${line}`).join(', ')}</span>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
