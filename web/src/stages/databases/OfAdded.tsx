import { Link, useNavigate, useParams } from 'react-router';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { useReview } from '../../review/useReview.js';
import { useUndo } from '../../review/undo.js';

interface OfAddedProps {
  id: string;
  name: string;
}

/** What can be done with a database that was added, whether it answers or not. */
export function OfAdded({ id, name }: OfAddedProps) {
  const { review } = useReview();
  return (
    <p className="flex gap-1">
      <Link
        className="btn btn-quiet btn-xs"
        to={`/reviews/${review.id}/databases/${id}/change`}
        aria-label={`Change what is said of ${name}`}
      >
        Change
      </Link>
      <TakeAway id={id} name={name} />
    </p>
  );
}

/** Takes a database that was added from the list; undo brings it back with all that was entered. */
function TakeAway({ id, name }: OfAddedProps) {
  const [remove, { isLoading }] = databaseApi.useRemoveDatabaseMutation();
  const { remember } = useUndo();
  const { review } = useReview();
  // From its own page, which is gone then, the way leads back to the list.
  const { database } = useParams();
  const navigate = useNavigate();
  const takeAway = () => {
    remove(id)
      .unwrap()
      .then(() => {
        const put = (away: boolean) => ({ kind: 'take database away', database: id, away }) as const;
        remember({ what: `took ${name} from the list`, undo: put(false), redo: put(true) });
        toast(`Took ${name} from the list. What was run in it stays in the ledger.`);
        if (database !== undefined) return navigate(`/reviews/${review.id}/databases`);
      })
      .catch((error: unknown) => toast.error(problemOf(error).title));
  };
  return (
    <button className="btn btn-quiet btn-xs self-start" onClick={takeAway} disabled={isLoading}>
      Take it from the list
    </button>
  );
}
