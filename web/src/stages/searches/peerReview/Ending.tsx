import { OUTCOME_NAMES, OUTCOMES, peerReviewProgress, type Outcome } from '@even-lantern/core';
import type { PeerReview } from '@even-lantern/contract';
import { format } from 'date-fns';
import { useState, type FormEvent } from 'react';
import { problemOf } from '../../../review/api/api.js';
import { peerReviewApi } from '../../../review/api/peerReviewApi.js';
import { usePerson } from '../../../review/api/person.js';
import { useReview } from '../../../review/useReview.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { Radio } from '../../../parts/Radio.js';

/** What a peer review comes to, or came to. */
export function Ending({ peer }: { peer: PeerReview }) {
  const { review } = useReview();
  const { person } = usePerson();
  const [end, { error, isLoading }] = peerReviewApi.useEndPeerReviewMutation();
  const [outcome, setOutcome] = useState<Outcome | null>(null);
  const [summary, setSummary] = useState('');
  const { judged } = peerReviewProgress(peer);
  const put = (chosen: Outcome | null) =>
    end({ review: review.id, id: peer.id, body: { outcome: chosen, summary } });
  if (peer.finished !== null) {
    const { outcome: came, text, person: by, at } = peer.finished;
    return (
      <section aria-label="What it came to" className="flex flex-col gap-1 text-sm">
        <h3 className="small-head">What it came to</h3>
        <p>
          <b className="inline-block first-letter:uppercase">{OUTCOME_NAMES[came]}</b>, {by},{' '}
          {format(new Date(at), 'd MMM yyyy HH:mm')}
        </p>
        {text !== '' && <p className="whitespace-pre-wrap">{text}</p>}
        <p>
          <button className="link text-xs" onClick={() => void put(null)} disabled={isLoading}>
            take it up again
          </button>
        </p>
      </section>
    );
  }
  if (peer.askedById === person.id) return null;
  const left = peer.points.length - judged;
  const submit = (event: FormEvent) => {
    event.preventDefault();
    if (outcome !== null) void put(outcome);
  };
  return (
    <section aria-label="What it comes to">
      <form className="flex flex-col gap-2" onSubmit={submit}>
        <h3 className="small-head">What it comes to</h3>
        <fieldset className="flex flex-wrap gap-x-4 text-sm">
          <legend className="sr-only">The strategy is</legend>
          {OUTCOMES.map((each) => (
            <Radio
              key={each}
              className="items-center"
              name={`outcome ${peer.id}`}
              checked={outcome === each}
              onChoose={() => setOutcome(each)}
            >
              {OUTCOME_NAMES[each]}
            </Radio>
          ))}
        </fieldset>
        <textarea
          className="textarea textarea-sm field-sizing-content min-h-8 w-full"
          rows={1}
          maxLength={5000}
          aria-label="In a few words"
          placeholder="in a few words"
          value={summary}
          onChange={({ target }) => setSummary(target.value)}
        />
        <span className="flex items-center gap-3">
          <button className="btn btn-sm btn-primary" disabled={outcome === null || left > 0 || isLoading}>
            Finish
          </button>
          {left > 0 && (
            <span className="quiet text-xs">
              {left === 1 ? '1 point is' : `${left} points are`} still to be judged.
            </span>
          )}
        </span>
        {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      </form>
    </section>
  );
}
