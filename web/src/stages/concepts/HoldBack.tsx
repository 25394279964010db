import type { ReviewTerm } from '@even-lantern/contract';
import { CirclePause, CirclePlay } from 'lucide-react';
import { useState } from 'react';
import { LineForm } from '../../parts/LineForm.js';
import { useTermEdits } from '../../review/useTermEdits.js';

const REASONS = ['too broad', 'wrong sense', 'adds nothing'];

/** Keeps a term without searching it, with the reason, which is reported later. */
export function HoldBack({ term, asksWhy }: { term: ReviewTerm; asksWhy: boolean }) {
  const { holdBack } = useTermEdits();
  const [open, setOpen] = useState(asksWhy);
  if (term.heldBack !== null) {
    return (
      <div className="rule bg-base-300 flex flex-col gap-2 rounded border p-2">
        <p>
          <b>Held back:</b> {term.heldBack}. It is kept here but not searched.
        </p>
        <button className="btn btn-sm btn-quiet self-start" onClick={() => void holdBack(term, null)}>
          <CirclePlay className="h-4 w-4" aria-hidden="true" /> Search it again
        </button>
      </div>
    );
  }
  if (!open) {
    return (
      <button className="btn btn-sm btn-quiet self-start" onClick={() => setOpen(true)}>
        <CirclePause className="h-4 w-4" aria-hidden="true" /> Hold back
      </button>
    );
  }
  return (
    <div className="rule flex w-full flex-col gap-2 rounded border p-2">
      <p className="small-head">Why is it not to be searched?</p>
      <div className="flex flex-wrap gap-2">
        {REASONS.map((reason) => (
          <button key={reason} className="btn btn-sm btn-quiet" onClick={() => void holdBack(term, reason)}>
            {reason}
          </button>
        ))}
      </div>
      <LineForm
        label="Or in your own words"
        button="Hold back"
        problem={null}
        onSubmit={async (reason) => {
          if (reason.trim() !== '') await holdBack(term, reason.trim());
        }}
        onCancel={() => setOpen(false)}
      />
    </div>
  );
}
