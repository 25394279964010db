import { counted } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { Link } from 'react-router';
import { useRationed, type Rationed } from '../app/useRationed.js';
import { useReview } from '../app/useReview.js';

/** Says how many counts a database was not asked for, and asks for them when somebody wants them. */
export function RationedNote({ database, parts }: { database: DatabaseProfile; parts: readonly Rationed[] }) {
  const { review } = useReview();
  const { left, counting, start, stop } = useRationed(parts);
  const perSecond = database.budget?.perSecond ?? null;
  if (left === 0 || perSecond === null) return null;
  const seconds = Math.ceil(left / perSecond);
  return (
    <p className="quiet flex flex-wrap items-center gap-x-3 gap-y-1 py-1 text-sm" role="status">
      {counting ? (
        <>
          Counting: {counted(left, 'count')} to go, about {counted(seconds, 'second')}.
          <button className="btn btn-quiet btn-xs" onClick={stop}>
            Stop
          </button>
        </>
      ) : (
        <>
          <span>
            {counted(left, 'count')} {left === 1 ? 'is' : 'are'} not asked for yet: {database.name} may be{' '}
            <Link className="link" to={`/reviews/${review.id}/databases/${database.id}`}>
              asked {perSecond === 1 ? 'once' : `${perSecond} times`} a second
            </Link>
            .
          </span>
          <button className="btn btn-quiet btn-xs" onClick={start}>
            Count {left === 1 ? 'it' : 'them'}, about {counted(seconds, 'second')}
          </button>
        </>
      )}
    </p>
  );
}
