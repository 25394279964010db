import { Link } from 'react-router';
import { useReview } from '../../review/useReview.js';

export function EntryLink({ entry }: { entry: number }) {
  const { review } = useReview();
  return (
    <Link className="link" to={`/reviews/${review.id}/ledger/${entry}`}>
      entry {entry}
    </Link>
  );
}
