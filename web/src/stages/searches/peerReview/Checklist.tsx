import { JUDGEMENT_NAMES, JUDGEMENTS, type JudgedPoint, type Judgement } from '@even-lantern/core';
import type { PeerReview } from '@even-lantern/contract';
import { format } from 'date-fns';
import { CircleCheck, CircleDashed, Lightbulb, TriangleAlert } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { peerReviewApi } from '../../../review/api/peerReviewApi.js';
import { usePerson } from '../../../review/api/person.js';
import { useUndo } from '../../../review/undo.js';
import { useReview } from '../../../review/useReview.js';
import { Radio } from '../../../parts/Radio.js';

const SIGNS = { fine: CircleCheck, suggestion: Lightbulb, change: TriangleAlert } as const;

/** The points to judge. Whoever asked sees what was judged. */
export function Checklist({ peer }: { peer: PeerReview }) {
  const { person } = usePerson();
  const isOwn = peer.askedById === person.id;
  const judges = !isOwn && peer.finished === null;
  return (
    <section aria-label="Points" className="flex flex-col">
      <h3 className="small-head">Points</h3>
      {isOwn && peer.finished === null && (
        <p className="quiet py-1 text-sm">
          Somebody else judges these: your reviewer gives their name at the top right. You can answer their
          comments.
        </p>
      )}
      <ul>
        {peer.points.map((point) => (
          <li key={point.id} className="rule border-b py-2" data-point={point.id}>
            {judges ? <ToJudge peer={peer} point={point} /> : <Judged point={point} />}
          </li>
        ))}
      </ul>
    </section>
  );
}

function Judged({ point: { name, asks, judgement, note, person, at } }: { point: JudgedPoint }) {
  const Sign = judgement === null ? CircleDashed : SIGNS[judgement];
  return (
    <div className="flex flex-col gap-0.5">
      <p className="flex items-baseline gap-2" title={asks}>
        <Sign className="h-3.5 w-3.5 shrink-0 self-center" aria-hidden="true" />
        <b className="flex-1">{name}</b>
        <span className="quiet text-xs">
          {judgement === null ? 'not judged yet' : JUDGEMENT_NAMES[judgement]}
        </span>
      </p>
      {note !== '' && <p className="pl-5.5 text-sm whitespace-pre-wrap">{note}</p>}
      {at !== '' && (
        <p className="quiet pl-5.5 text-xs">
          {person}, {format(new Date(at), 'd MMM yyyy')}
        </p>
      )}
    </div>
  );
}

function ToJudge({ peer, point }: { peer: PeerReview; point: JudgedPoint }) {
  const { review } = useReview();
  const { remember } = useUndo();
  const [judge] = peerReviewApi.useJudgePointMutation();
  const [note, setNote] = useState(point.note);
  // What was taken back, or changed by somebody else, is what stands in the field.
  const [kept, setKept] = useState(point.note);
  if (kept !== point.note) {
    setKept(point.note);
    setNote(point.note);
  }
  const send = async (judgement: Judgement | null, note: string) => {
    if (judgement === point.judgement && note === point.note) return;
    const of = { review: review.id, id: peer.id, point: point.id };
    const answer = await judge({ ...of, body: { judgement, note } });
    if (answer.error !== undefined) {
      const { title, detail } = problemOf(answer.error);
      toast.error(title, { description: detail });
      return;
    }
    const doing = { kind: 'judge point', ...of } as const;
    remember({
      what: `judged ${point.name.toLowerCase()}`,
      undo: { ...doing, body: { judgement: point.judgement, note: point.note } },
      redo: { ...doing, body: { judgement, note } },
    });
  };
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="font-bold">{point.name}</legend>
      <p className="quiet text-sm">{point.asks}</p>
      <span className="flex flex-wrap gap-x-4 gap-y-1 text-sm">
        {JUDGEMENTS.map((judgement) => (
          <Radio
            key={judgement}
            className="items-center"
            name={`${peer.id} ${point.id}`}
            checked={point.judgement === judgement}
            onChoose={() => void send(judgement, note)}
          >
            {JUDGEMENT_NAMES[judgement]}
          </Radio>
        ))}
      </span>
      <textarea
        className="textarea textarea-sm field-sizing-content min-h-8 w-full"
        rows={1}
        maxLength={5000}
        aria-label={`Why: ${point.name}`}
        placeholder="why, and what to do about it"
        value={note}
        onChange={({ target }) => setNote(target.value)}
        onBlur={() => void send(point.judgement, note.trim())}
      />
    </fieldset>
  );
}
