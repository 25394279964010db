import { counted } from '@even-lantern/core';
import type { Occurrence, OccurrencePart, Schedule } from '@even-lantern/contract';
import { format } from 'date-fns';
import { Mail } from 'lucide-react';
import { Link } from 'react-router';

/** The times at which a schedule was due, the latest first, with what each brought. */
export function Occurrences({ reviewId, schedule }: { reviewId: string; schedule: Schedule }) {
  const { id, occurrences } = schedule;
  return (
    <>
      {occurrences.length === 0 ? (
        <p className="quiet text-[0.8125rem]">It has not been due yet.</p>
      ) : (
        <ul className="text-[0.8125rem]">
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
    </>
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
