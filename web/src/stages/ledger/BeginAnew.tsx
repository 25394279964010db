import { counted } from '@even-lantern/core';
import type { LedgerEntryDetail } from '@even-lantern/contract';
import { History } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import { problemOf } from '../../review/api/api.js';
import { useReview } from '../../review/useReview.js';
import { versionApi } from '../../review/api/versionApi.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

/** Takes up the strategy of an entry again, all of it or lane by lane. What is there now is kept as a version. */
export function BeginAnew({ detail: { entry, versionId } }: { detail: LedgerEntryDetail }) {
  const { review } = useReview();
  const [open, setOpen] = useState(false);
  const number = entry.content.entry;
  if (versionId === null) {
    return (
      <p className="quiet self-center text-sm">
        This entry has no version of the strategy, so you cannot take it up from here.
      </p>
    );
  }
  return (
    <>
      <button className="btn btn-sm btn-quiet" aria-expanded={open} onClick={() => setOpen(!open)}>
        <History className="h-4 w-4" aria-hidden="true" /> Begin anew from here
      </button>
      {open && <Choice key={versionId} reviewId={review.id} versionId={versionId} entry={number} />}
    </>
  );
}

function Choice({ reviewId, versionId, entry }: { reviewId: string; versionId: string; entry: number }) {
  const { data: version, error } = versionApi.useVersionQuery({ review: reviewId, id: versionId });
  const [goBack, { error: refused, isLoading }] = versionApi.useGoBackMutation();
  const [left, setLeft] = useState<readonly string[]>([]);
  const navigate = useNavigate();
  const { review } = useReview();
  if (error !== undefined) return <ProblemNote problem={problemOf(error)} />;
  if (version === undefined) return <p className="quiet">Looking …</p>;
  // Of elements that nobody searched on there are lanes too, which hold nothing.
  const lanes = version.state.lanes.filter(({ terms }) => terms.length > 0);
  const chosen = lanes.filter(({ id }) => !left.includes(id)).map(({ id }) => id);
  const whole = chosen.length === lanes.length;
  const take = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await goBack({ review: reviewId, id: versionId, ...(whole ? {} : { lanes: chosen }) });
    if (answer.data === undefined) return;
    toast(
      whole
        ? `The strategy is as it was in entry ${entry}. Ctrl Z takes it back.`
        : `${counted(chosen.length, 'lane')} as in entry ${entry}. Ctrl Z takes it back.`,
    );
    void navigate(`/reviews/${reviewId}/searches`);
  };
  return (
    <form
      aria-label="Begin anew"
      className="rule bg-base-200 order-last flex w-full flex-col gap-2 rounded border p-3"
      onSubmit={(event) => void take(event)}
    >
      <p>
        Takes up version {version.number} of the strategy again. The present strategy stays as a version.
        {version.present && <b> The strategy is so now.</b>}
      </p>
      <fieldset className="flex flex-col gap-1">
        <legend className="small-head">
          Lanes to take up; with all of them, lines, limits and texts come too
        </legend>
        {lanes.map(({ id, name, elementId, terms }) => (
          <label key={id} className="flex cursor-pointer items-baseline gap-2">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={!left.includes(id)}
              onChange={({ target }) =>
                setLeft(target.checked ? left.filter((each) => each !== id) : [...left, id])
              }
            />
            <span>
              {name ||
                (review.elements.find((each) => each.id === elementId)?.text ?? 'A lane without a name')}{' '}
              <span className="quiet">{counted(terms.length, 'term')}</span>
            </span>
          </label>
        ))}
      </fieldset>
      <div className="flex items-center gap-3">
        <button className="btn btn-sm btn-primary" disabled={isLoading || chosen.length === 0}>
          {whole ? 'Take up the whole strategy' : `Take up ${counted(chosen.length, 'lane')}`}
        </button>
        {refused !== undefined && <ProblemNote problem={problemOf(refused)} />}
      </div>
    </form>
  );
}
