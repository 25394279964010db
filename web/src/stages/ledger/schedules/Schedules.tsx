import { counted } from '@even-lantern/core';
import type {
  Occurrence,
  OccurrencePart,
  Recurrence,
  Schedule,
  ScheduleChange,
} from '@even-lantern/contract';
import { format } from 'date-fns';
import { Copy, Mail, Rss } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { copyText } from '../../../parts/copyText.js';
import { problemOf } from '../../../review/api/api.js';
import { scheduleApi } from '../../../review/api/scheduleApi.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { RecurrenceFields } from './RecurrenceFields.js';
import { recurrenceInWords } from './recurrenceWords.js';

/** The schedules of a review: when they run, what they brought, and where that is told. */
export function Schedules({ reviewId, schedules }: { reviewId: string; schedules: readonly Schedule[] }) {
  const open = schedules.filter(({ state }) => state !== 'ended');
  const ended = schedules.filter(({ state }) => state === 'ended');
  return (
    <section aria-label="Schedules" className="rule bg-base-200 mb-3 flex flex-col gap-2 rounded border p-3">
      {schedules.length === 0 && (
        <p>
          Nothing runs on a schedule yet. Open a run below and choose <i>Run on a schedule</i>: then you learn
          of new records as they enter the database.
        </p>
      )}
      {open.map((schedule) => (
        <One key={schedule.id} reviewId={reviewId} schedule={schedule} />
      ))}
      {ended.length > 0 && (
        <details>
          <summary className="quiet cursor-pointer">{counted(ended.length, 'schedule')} ended</summary>
          {ended.map((schedule) => (
            <One key={schedule.id} reviewId={reviewId} schedule={schedule} />
          ))}
        </details>
      )}
    </section>
  );
}

function One({ reviewId, schedule }: { reviewId: string; schedule: Schedule }) {
  const [change, { error, isLoading }] = scheduleApi.useChangeScheduleMutation();
  const [see] = scheduleApi.useSeeScheduleMutation();
  const [changing, setChanging] = useState(false);
  const { id, version, state, nextAt, entries, occurrences, feed, unseen } = schedule;
  const to = async (wanted: ScheduleChange) => {
    const answer = await change({ review: reviewId, id, version, change: wanted });
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
      {changing && <Change schedule={schedule} onChange={(recurrence) => void to({ recurrence })} />}
      {occurrences.length === 0 ? (
        <p className="quiet text-[13px]">It has not been due yet.</p>
      ) : (
        <ul className="text-[13px]">
          {occurrences.map((occurrence) => (
            <li key={occurrence.dueAt} className="flex flex-wrap items-baseline gap-x-3">
              <span className="quiet w-36">{format(occurrence.dueAt, 'd MMM yyyy HH:mm')}</span>
              <span className={occurrence.seen ? '' : 'font-bold'}>{broughtText(occurrence)}</span>
              {occurrence.missed > 0 && (
                <span className="quiet">
                  {counted(occurrence.missed, 'earlier time')} went by while the program was not running
                </span>
              )}
              {occurrence.parts.map((part) => (
                <Part key={part.databaseName} reviewId={reviewId} part={part} />
              ))}
              {occurrence.parts.every(({ status }) => status === 'done' || status === 'failed') && (
                <a
                  className="link flex items-center gap-1"
                  href={`/api/schedules/${id}/mails/${occurrence.dueAt}.eml`}
                  download
                >
                  <Mail className="h-3.5 w-3.5" aria-hidden="true" /> Draft of a mail
                </a>
              )}
            </li>
          ))}
        </ul>
      )}
    </article>
  );
}

function Change({ schedule, onChange }: { schedule: Schedule; onChange: (value: Recurrence) => void }) {
  const { every, weekday, day, time, timeZone } = schedule;
  const [value, setValue] = useState({ every, weekday, day, time, timeZone });
  return (
    <form
      aria-label="Change the schedule"
      className="flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        onChange(value);
      }}
    >
      <RecurrenceFields value={value} onChange={setValue} />
      <button className="btn btn-sm btn-primary">Change it</button>
    </form>
  );
}

function broughtText({ parts, fresh }: Occurrence): string {
  if (parts.some(({ status }) => status === 'running')) return 'running now';
  return fresh === 0 ? 'nothing new' : counted(fresh, 'new record');
}

function Part({ reviewId, part }: { reviewId: string; part: OccurrencePart }) {
  const { databaseName, status, entry, trouble, againAt } = part;
  if (entry !== null) {
    return (
      <Link className="link" to={`/reviews/${reviewId}/ledger/${entry}`}>
        {databaseName}, entry {entry}
      </Link>
    );
  }
  if (status === 'running') return <span className="moved">{databaseName}</span>;
  return (
    <span className="problem">
      {databaseName}: {trouble ?? 'waits'}{' '}
      {againAt === null ? 'Not tried any more.' : `Tried again ${format(againAt, 'd MMM HH:mm')}.`}
    </span>
  );
}
