import { counted } from '@even-lantern/core';
import type { Schedule, ScheduleChange } from '@even-lantern/contract';
import { format } from 'date-fns';
import { Copy, Rss } from 'lucide-react';
import { useState } from 'react';
import { copyText } from '../../../parts/copyText.js';
import { problemOf } from '../../../review/api/api.js';
import { scheduleApi } from '../../../review/api/scheduleApi.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { ChangeRecurrence } from './ChangeRecurrence.js';
import { recurrenceInWords } from './recurrenceWords.js';
import { Occurrences } from './Occurrences.js';

/** One schedule: when it runs next, how it is changed, paused and ended, and what it brought. */
export function ScheduleItem({ reviewId, schedule }: { reviewId: string; schedule: Schedule }) {
  const [change, { error, isLoading }] = scheduleApi.useChangeScheduleMutation();
  const [see] = scheduleApi.useSeeScheduleMutation();
  const [changing, setChanging] = useState(false);
  const { id, version, state, nextAt, entries, feed, unseen } = schedule;
  const to = async (edit: ScheduleChange) => {
    const answer = await change({ review: reviewId, id, version, change: edit });
    if (answer.data !== undefined) setChanging(false);
  };
  const address = `${window.location.origin}${feed}`;
  const copy = () => {
    copyText(
      address,
      'Copied the address of the feed. Whoever has it can read what is new.',
      'Copy the address of the link instead.',
    );
  };
  const names = entries.map(({ databaseName }) => databaseName).join(', ');
  return (
    <article
      aria-label={`Schedule of ${names}`}
      className="rule flex flex-col gap-2 border-b pb-2 last:border-b-0"
    >
      <div className="flex flex-wrap items-baseline gap-x-3 gap-y-1">
        <b>{names}</b>
        <span>{recurrenceInWords(schedule)}</span>
        <span className="quiet">
          {state === 'active' && nextAt !== null && `next ${format(nextAt, 'd MMM yyyy HH:mm')}`}
          {state === 'paused' && 'paused'}
          {state === 'ended' && 'ended'}
        </span>
        {unseen > 0 && <b className="moved">{counted(unseen, 'new record')}</b>}
        <span className="ml-auto flex flex-wrap gap-2">
          {unseen > 0 && (
            <button className="btn btn-xs btn-quiet" onClick={() => void see({ review: reviewId, id })}>
              Seen
            </button>
          )}
          <button
            className="btn btn-xs btn-quiet"
            aria-expanded={changing}
            onClick={() => setChanging(!changing)}
          >
            Change
          </button>
          {state === 'active' ? (
            <button
              className="btn btn-xs btn-quiet"
              disabled={isLoading}
              onClick={() => void to({ state: 'paused' })}
            >
              Pause
            </button>
          ) : (
            <button
              className="btn btn-xs btn-quiet"
              disabled={isLoading}
              onClick={() => void to({ state: 'active' })}
            >
              {state === 'paused' ? 'Go on' : 'Begin again'}
            </button>
          )}
          {state !== 'ended' && (
            <button
              className="btn btn-xs btn-quiet"
              disabled={isLoading}
              onClick={() => void to({ state: 'ended' })}
            >
              End
            </button>
          )}
          <button className="btn btn-xs btn-quiet" onClick={copy}>
            <Copy className="h-3.5 w-3.5" aria-hidden="true" /> Feed address
          </button>
          <a className="btn btn-xs btn-quiet" href={feed} target="_blank" rel="noreferrer">
            <Rss className="h-3.5 w-3.5" aria-hidden="true" /> Feed
          </a>
        </span>
      </div>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {changing && (
        <ChangeRecurrence schedule={schedule} onChange={(recurrence) => void to({ recurrence })} />
      )}
      <Occurrences reviewId={reviewId} schedule={schedule} />
    </article>
  );
}
