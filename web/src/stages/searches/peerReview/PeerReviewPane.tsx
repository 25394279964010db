import { peerReviewProgress, type LineKey } from '@even-lantern/core';
import type { PeerReview } from '@even-lantern/contract';
import { format } from 'date-fns';
import { X } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { problemOf } from '../../../review/api/api.js';
import { peerReviewApi } from '../../../review/api/peerReviewApi.js';
import { useReview } from '../../../review/useReview.js';
import { GuideLink } from '../../../parts/GuideLink.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import type { LineInHand } from './lineInHand.js';
import { Checklist } from './Checklist.js';
import { Comments } from './Comments.js';
import { Ending } from './Ending.js';

/** Others may comment at the same time. */
const POLLING_MS = 4000;

interface PeerReviewPaneProps {
  /** the line that is looked at, as it stands; null for none */
  line: LineInHand | null;
  nameOf: (key: string) => string | null;
  onGo: (key: LineKey) => void;
  /** shows the versions, to compare */
  onVersions: () => void;
  onClose: () => void;
}

/** The strategy looked over by a second person: points to judge, comments on lines, and what it comes to. */
export function PeerReviewPane({ line, nameOf, onGo, onVersions, onClose }: PeerReviewPaneProps) {
  const { review } = useReview();
  const { data: list, error } = peerReviewApi.usePeerReviewsQuery(review.id, {
    refetchOnMountOrArgChange: true,
    pollingInterval: POLLING_MS,
  });
  const [shown, setShown] = useState<string | null>(null);
  const [formOpen, setFormOpen] = useState(false);
  const peer = list?.find(({ id }) => id === shown) ?? list?.[0];
  return (
    <section aria-label="Peer review" className="flex flex-col gap-3">
      <div className="flex items-center justify-between gap-2">
        <h2 className="small-head" tabIndex={-1} id="peer-review">
          Peer review
        </h2>
        <span className="text-xs">
          <GuideLink to="searches#peer-review">how it goes</GuideLink>
        </span>
        <button className="btn btn-ghost btn-xs ml-auto" onClick={onClose}>
          <X className="h-3.5 w-3.5" aria-hidden="true" /> Close{' '}
          <kbd className="font-mono font-normal">P</kbd>
        </button>
      </div>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
      {list === undefined && error === undefined && <p className="quiet">Looking …</p>}
      {list !== undefined && (peer === undefined || formOpen) && (
        <Asking first={list.length === 0} onAsked={() => setFormOpen(false)} />
      )}
      {list !== undefined && peer !== undefined && !formOpen && (
        <>
          {list.length > 1 && (
            <p className="flex flex-wrap gap-x-3 text-xs">
              {list.map(({ id, number }) => (
                <button
                  key={id}
                  className={id === peer.id ? 'font-bold' : 'link'}
                  aria-pressed={id === peer.id}
                  onClick={() => setShown(id)}
                >
                  Peer review {number}
                </button>
              ))}
            </p>
          )}
          <About peer={peer} onVersions={onVersions} />
          <Checklist key={`points ${peer.id}`} peer={peer} />
          <Comments key={`comments ${peer.id}`} peer={peer} line={line} nameOf={nameOf} onGo={onGo} />
          <Ending key={`end ${peer.id}`} peer={peer} />
          <p className="flex flex-wrap gap-x-4 text-xs">
            <a className="link" href={`/api/peer-reviews/${peer.id}/report.md`} download>
              As Markdown
            </a>
            <button
              className="link"
              onClick={() => {
                setShown(null);
                setFormOpen(true);
              }}
            >
              Ask for another
            </button>
          </p>
        </>
      )}
    </section>
  );
}

function About({ peer, onVersions }: { peer: PeerReview; onVersions: () => void }) {
  const { asked, version, changedSince, points } = peer;
  const { judged, open } = peerReviewProgress(peer);
  return (
    <div className="flex flex-col gap-1 text-sm">
      <p>
        {asked.person} asked on {format(new Date(asked.at), 'd MMM yyyy')} to look over <b>{version}</b>:{' '}
        {judged} of {points.length} points judged, {open === 1 ? '1 comment' : `${open} comments`} open.
      </p>
      {asked.text !== '' && <p className="border-l-2 pl-2 whitespace-pre-wrap italic">{asked.text}</p>}
      {changedSince && (
        <p className="quiet">
          The strategy has changed since.{' '}
          <button className="link" onClick={onVersions}>
            Compare it with the versions
          </button>
        </p>
      )}
    </div>
  );
}

function Asking({ first, onAsked }: { first: boolean; onAsked: () => void }) {
  const { review } = useReview();
  const [ask, { error, isLoading }] = peerReviewApi.useAskForPeerReviewMutation();
  const [note, setNote] = useState('');
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await ask({ review: review.id, body: { note } });
    if (answer.data !== undefined) onAsked();
  };
  return (
    <form className="flex flex-col gap-2" onSubmit={(event) => void submit(event)}>
      {first && (
        <p className="text-sm">
          Before you run a strategy, a second person checks it point by point. The present strategy is kept
          for that, and you can go on working.
        </p>
      )}
      <label className="flex flex-col gap-1">
        <span className="small-head">What to look at especially (optional)</span>
        <textarea
          className="textarea textarea-sm w-full"
          rows={2}
          maxLength={5000}
          value={note}
          onChange={({ target }) => setNote(target.value)}
        />
      </label>
      <span className="flex gap-2">
        <button className="btn btn-sm btn-primary" disabled={isLoading}>
          Ask for a peer review
        </button>
        {!first && (
          <button type="button" className="btn btn-sm btn-quiet" onClick={onAsked}>
            Cancel
          </button>
        )}
      </span>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
    </form>
  );
}
