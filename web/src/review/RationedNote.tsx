import { counted } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { Link } from 'react-router';
import { useRationed, type Rationed } from './useRationed.js';
import { useReview } from './useReview.js';

/**
 * Says how many counts are not there yet. Those of a slow database come by themselves; one that may be asked only so much
 * is asked when somebody wants them.
 */
export function RationedNote({ database, parts }: { database: DatabaseProfile; parts: readonly Rationed[] }) {
  const { review } = useReview();
  const perSecond = database.budget?.perSecond ?? null;
  const { left, counting, start, stop } = useRationed(parts, perSecond === null);
  if (left === 0) return null;
  const time = perSecond === null ? '' : `, about ${counted(Math.ceil(left / perSecond), 'second')}`;
  return (
    <p className="quiet flex flex-wrap items-center gap-x-3 gap-y-1 py-1 text-sm" role="status">
      {counting ? (
        <>
          Counting: {counted(left, 'count')} to go{time}.{perSecond === null && ` ${database.name} is slow.`}
          <button className="btn btn-quiet btn-xs" onClick={stop}>
            Stop
          </button>
        </>
      ) : (
        <>
          <span>
            {counted(left, 'count')} {left === 1 ? 'is' : 'are'} not there yet
            {perSecond !== null && (
              <>
                : {database.name} may be{' '}
                <Link className="link" to={`/reviews/${review.id}/databases/${database.id}`}>
                  asked {perSecond === 1 ? 'once' : `${perSecond} times`} a second
                </Link>
              </>
            )}
            .
          </span>
          <button className="btn btn-quiet btn-xs" onClick={start}>
            Count {left === 1 ? 'it' : 'them'}
            {time}
          </button>
        </>
      )}
    </p>
  );
}
