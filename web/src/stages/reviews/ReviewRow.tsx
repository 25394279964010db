import { counted, formatCount, type ReviewStage } from '@even-lantern/core';
import type { ReviewSummary } from '@even-lantern/contract';
import { format } from 'date-fns';
import { Archive, ArchiveRestore, Pencil, Trash2, PackageCheck } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { reviewApi } from '../../review/api/reviewApi.js';
import { useUndo } from '../../review/undo.js';
import { LineForm } from '../../parts/LineForm.js';
import { DeleteReview } from './DeleteReview.js';

const STAGES: Readonly<Record<ReviewStage, string>> = {
  question: 'at the question',
  concepts: 'at the concepts',
  searches: 'at the searches',
  records: 'at the records',
};
const STATUS = { running: 'running now', complete: '', interrupted: 'interrupted' } as const;

/** A review: its question, where it stands, and what can be done with it as a whole. */
export function ReviewRow({ review, onGone }: { review: ReviewSummary; onGone: () => void }) {
  const { id, title, version, sentence, stage, putAwayAt, trouble } = review;
  const [doing, setDoing] = useState<'rename' | 'delete' | null>(null);
  const { remember } = useUndo();
  const [changeReview, changing] = reviewApi.useChangeReviewMutation();
  const isAway = putAwayAt !== null;
  const putAway = async (away: boolean) => {
    const result = await changeReview({ id, version, putAway: away });
    if (result.data === undefined) {
      toast.error(problemOf(result.error).title);
      return;
    }
    const what = away ? `put ${title} away` : `brought ${title} back`;
    const put = (away: boolean) => ({ kind: 'put review away', review: id, away }) as const;
    remember({ what, undo: put(!away), redo: put(away) });
    toast(away ? `Put “${title}” away. Nothing in it is lost.` : `Brought “${title}” back.`);
    onGone();
  };
  if (doing === 'rename') {
    return (
      <li className="px-2 py-3">
        <LineForm
          label={`New title of “${title}”`}
          button="Rename"
          initial={title}
          autoFocus
          problem={changing.error === undefined ? null : problemOf(changing.error)}
          onSubmit={async (written) => {
            const changed = await changeReview({ id, version, title: written });
            if (changed.data) setDoing(null);
          }}
          onCancel={() => setDoing(null)}
        />
      </li>
    );
  }
  return (
    <li className="px-2">
      <div className="hover:bg-base-300 -mx-2 flex items-start gap-2 px-2">
        <Link to={`/reviews/${id}/${stage}`} className="flex min-w-0 flex-1 flex-col gap-0.5 py-3">
          <span className="font-semibold">{title}</span>
          {trouble === null ? (
            <>
              <span className="quiet">{sentence === '' ? 'No question written yet.' : sentence}</span>
              <Standing review={review} />
            </>
          ) : (
            <span className="problem">
              Something that is kept of this review cannot be read: {trouble} Nothing of it was changed, and
              the other reviews work as before.
            </span>
          )}
        </Link>
        <span className="flex gap-1 pt-3">
          <Doing label={`Rename “${title}”`} title="Rename" onClick={() => setDoing('rename')}>
            <Pencil className="h-4 w-4" />
          </Doing>
          <a
            className="btn btn-ghost btn-xs btn-square"
            href={`/api/reviews/${id}/package.zip`}
            download
            aria-label={`Save “${title}” as one file`}
            title="Save as one file"
          >
            <PackageCheck className="h-4 w-4" />
          </a>
          <Doing
            label={isAway ? `Bring “${title}” back` : `Put “${title}” away`}
            title={isAway ? 'Bring back' : 'Put away'}
            onClick={() => void putAway(!isAway)}
          >
            {isAway ? <ArchiveRestore className="h-4 w-4" /> : <Archive className="h-4 w-4" />}
          </Doing>
          <Doing label={`Delete “${title}”`} title="Delete" onClick={() => setDoing('delete')}>
            <Trash2 className="h-4 w-4" />
          </Doing>
        </span>
      </div>
      {doing === 'delete' && <DeleteReview review={review} onGone={onGone} onCancel={() => setDoing(null)} />}
    </li>
  );
}

/** Where it stands, in one line. */
function Standing({ review }: { review: ReviewSummary }) {
  const { stage, lanes, unread, lastRun, lastChange, createdAt } = review;
  const run =
    lastRun === null
      ? 'nothing run yet'
      : [
          `last run ${day(lastRun.at)} in ${lastRun.databaseName}`,
          lastRun.hits === null ? '' : `: ${counted(lastRun.hits, 'record')}`,
          STATUS[lastRun.status] === '' ? '' : ` (${STATUS[lastRun.status]})`,
        ].join('');
  const last =
    lastChange === null
      ? `begun ${day(createdAt)}`
      : `${lastChange.person}, ${format(new Date(lastChange.at), 'd MMM yyyy HH:mm')}`;
  const parts = [
    ...(lanes === 0 ? [] : [counted(lanes, 'lane')]),
    ...(stage === 'question' ? [] : [run]),
    ...(unread === 0 ? [] : [`${formatCount(unread)} unread`]),
    last,
  ];
  return (
    <span className="flex flex-wrap gap-x-3 text-xs">
      <b>{STAGES[stage]}</b>
      {parts.map((part) => (
        <span key={part} className="quiet">
          {part}
        </span>
      ))}
    </span>
  );
}

function day(at: string): string {
  return format(new Date(at), 'd MMM yyyy');
}

function Doing({
  label,
  title,
  onClick,
  children,
}: {
  label: string;
  title: string;
  onClick: () => void;
  children: React.ReactNode;
}) {
  return (
    <button className="btn btn-ghost btn-xs btn-square" onClick={onClick} aria-label={label} title={title}>
      {children}
    </button>
  );
}
