import type { LineKey } from '@even-lantern/core';
import type { NewPeerComment, PeerComment, PeerReview } from '@even-lantern/contract';
import { format } from 'date-fns';
import { MessageSquare } from 'lucide-react';
import { useState, type FormEvent } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { isPressed } from '../../../parts/keys/useKey.js';
import { peerReviewApi } from '../../../review/api/peerReviewApi.js';
import { useUndo } from '../../../review/undo.js';
import { useReview } from '../../../review/useReview.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import type { LineInHand } from './lineInHand.js';

interface CommentsProps {
  peer: PeerReview;
  line: LineInHand | null;
  /** what a line is called now; null for one that is not there any more */
  nameOf: (key: string) => string | null;
  onGo: (key: LineKey) => void;
}

/** What was said of lines and of the whole, open ones first; and a comment to be written on the line that is looked at. */
export function Comments({ peer, line, nameOf, onGo }: CommentsProps) {
  const open = peer.comments.filter(({ settled }) => settled === null);
  const settled = peer.comments.filter((each) => each.settled !== null);
  const [onWhole, setOnWhole] = useState(false);
  const about = onWhole || line === null ? { place: '', about: '' } : { place: line.key, about: line.about };
  return (
    <section aria-label="Comments" className="flex flex-col gap-2">
      <h3 className="small-head">Comments</h3>
      {peer.comments.length === 0 && <p className="quiet text-sm">None yet.</p>}
      <ul>
        {[...open, ...settled].map((comment) => (
          <Comment key={comment.id} peer={peer} comment={comment} nameOf={nameOf} onGo={onGo} />
        ))}
      </ul>
      {peer.finished === null && (
        <Writing
          peer={peer}
          label={onWhole || line === null ? 'Comment on the whole strategy' : `Comment on ${line.name}`}
          button="Comment"
          comment={{ ...about, answers: null }}
        >
          {line !== null && (
            <label className="flex cursor-pointer items-center gap-1.5 text-xs">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={onWhole}
                onChange={({ target }) => setOnWhole(target.checked)}
              />
              on the whole strategy instead
            </label>
          )}
        </Writing>
      )}
    </section>
  );
}

interface CommentProps extends Omit<CommentsProps, 'line'> {
  comment: PeerComment;
}

function Comment({ peer, comment, nameOf, onGo }: CommentProps) {
  const { id, place, about, text, person, at, answers, settled } = comment;
  const { review } = useReview();
  const { remember } = useUndo();
  const [settle] = peerReviewApi.useSettleCommentMutation();
  const [answering, setAnswering] = useState(false);
  const now = place === '' ? null : nameOf(place);
  const change = async (settled: boolean) => {
    const put = (settled: boolean) => ({ review: review.id, id: peer.id, comment: id, body: { settled } });
    const answer = await settle(put(settled));
    if (answer.error !== undefined) {
      toast.error(problemOf(answer.error).title);
      return;
    }
    remember({
      what: settled ? 'settled a comment' : 'opened a comment again',
      undo: { kind: 'settle comment', ...put(!settled) },
      redo: { kind: 'settle comment', ...put(settled) },
    });
  };
  return (
    <li className={`rule flex flex-col gap-1 border-b py-2 text-sm ${settled === null ? '' : 'quiet'}`}>
      <p className="flex items-baseline gap-2">
        <MessageSquare className="h-3.5 w-3.5 shrink-0 self-center" aria-hidden="true" />
        <span className="min-w-0 flex-1 truncate font-mono text-xs" title={about}>
          {about === '' ? 'The whole strategy' : about}
        </span>
        {now !== null ? (
          <button className="link font-mono text-xs" onClick={() => onGo(place as LineKey)}>
            {now}
          </button>
        ) : (
          place !== '' && <span className="quiet text-xs">not there any more</span>
        )}
      </p>
      <Said text={text} person={person} at={at} />
      {answers.map((answer) => (
        <div key={`${answer.at} ${answer.person}`} className="border-l-2 pl-2">
          <Said {...answer} />
        </div>
      ))}
      {answering ? (
        <Writing
          peer={peer}
          label="Answer"
          button="Answer"
          comment={{ place, about, answers: id }}
          onWritten={() => setAnswering(false)}
        />
      ) : (
        <p className="flex flex-wrap gap-x-3 text-xs">
          <button className="link" onClick={() => setAnswering(true)}>
            answer
          </button>
          <button className="link" onClick={() => change(settled === null)}>
            {settled === null ? 'settle' : 'open again'}
          </button>
          {settled !== null && (
            <span>
              settled by {settled.person}, {format(new Date(settled.at), 'd MMM HH:mm')}
            </span>
          )}
        </p>
      )}
    </li>
  );
}

function Said({ text, person, at }: { text: string; person: string; at: string }) {
  return (
    <div>
      <p className="whitespace-pre-wrap">{text}</p>
      <p className="quiet text-xs">
        {person}, {format(new Date(at), 'd MMM HH:mm')}
      </p>
    </div>
  );
}

interface WritingProps {
  peer: PeerReview;
  label: string;
  button: string;
  comment: Omit<NewPeerComment, 'text'>;
  onWritten?: () => void;
  children?: React.ReactNode;
}

/** A remark being written. Ctrl Enter sends it. */
function Writing({ peer, label, button, comment, onWritten, children }: WritingProps) {
  const { review } = useReview();
  const [send, { error, isLoading }] = peerReviewApi.useCommentMutation();
  const [text, setText] = useState('');
  const submit = async (event?: FormEvent) => {
    event?.preventDefault();
    if (text.trim() === '' || isLoading) return;
    const answer = await send({ review: review.id, id: peer.id, body: { ...comment, text } });
    if (answer.data === undefined) return;
    setText('');
    onWritten?.();
  };
  return (
    <form className="flex flex-col gap-1" onSubmit={(event) => void submit(event)}>
      <label className="flex flex-col gap-1">
        <span className="text-xs font-bold">{label}</span>
        <textarea
          className="textarea textarea-sm field-sizing-content min-h-8 w-full"
          rows={1}
          maxLength={5000}
          value={text}
          autoFocus={comment.answers !== null}
          onChange={({ target }) => setText(target.value)}
          onKeyDown={(event) => {
            if (isPressed('searches.send-comment', event)) void submit();
            if (event.key === 'Escape') onWritten?.();
          }}
        />
      </label>
      <span className="flex items-center gap-3">
        <button className="btn btn-xs btn-quiet" disabled={isLoading || text.trim() === ''}>
          {button}
        </button>
        {children}
      </span>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
    </form>
  );
}
