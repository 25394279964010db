import { Link } from 'react-router';
import { useDatabaseChoice } from './useDatabaseChoice.js';
import { useReview } from './useReview.js';
import { DatabaseStateNote } from '../parts/DatabaseStateNote.js';

/** Why there are no counts, or only earlier ones, and how to go on; nothing while the database answers. */
export function NoDatabase() {
  const { review, database } = useReview();
  const { failed, loading } = useDatabaseChoice();
  const [first] = failed;
  if (database !== null) return <DatabaseStateNote database={database} />;
  if (loading) return null;
  return (
    <p role="status" className="border-warning border-l-[3px] pl-2">
      {first === undefined ? 'No database is known.' : `${first.name} does not answer: ${first.reason}`} What
      you wrote is kept, and counts return when it answers. Meanwhile, choose another database above, or see{' '}
      <Link className="link" to={`/reviews/${review.id}/databases`}>
        where to search
      </Link>
      .
    </p>
  );
}
