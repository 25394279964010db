import { limitText } from '@even-lantern/core';
import type { ReviewLimit } from '@even-lantern/contract';
import { Play } from 'lucide-react';
import { useState } from 'react';
import { useLimitEdits } from '../../review/useLimitEdits.js';

interface ReasonsMissingProps {
  /** limits that are applied and say no reason */
  limits: readonly ReviewLimit[];
  onGiven: () => void;
  onCancel: () => void;
}

/** Before a search is logged, each limit is asked for its reason; then the search goes on by itself. */
export function ReasonsMissing({ limits, onGiven, onCancel }: ReasonsMissingProps) {
  const edits = useLimitEdits();
  const [reasons, setReasons] = useState<Record<string, string>>({});
  const [saving, setSaving] = useState(false);
  const given = limits.every(({ id }) => (reasons[id] ?? '').trim() !== '');
  const save = async () => {
    if (!given || saving) return;
    setSaving(true);
    const problems = [];
    for (const limit of limits) {
      problems.push(await edits.change(limit, { reason: (reasons[limit.id] ?? '').trim() }));
    }
    setSaving(false);
    if (problems.every((problem) => problem === null)) onGiven();
  };
  return (
    <form
      aria-label="Reasons of limits"
      className="border-l-[3px] border-l-accent flex flex-col gap-2 bg-[var(--live)] px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
      onKeyDown={(event) => {
        if (event.key === 'Escape') onCancel();
      }}
    >
      <p>
        <b>Before this is logged:</b> why{' '}
        {limits.length === 1 ? 'is there this limit' : 'are there these limits'}? The reason goes into the
        ledger and the report.
      </p>
      {limits.map((limit, i) => (
        <label key={limit.id} className="flex flex-wrap items-center gap-x-3 gap-y-1">
          <span className="w-64 max-w-full">{limitText(limit)}</span>
          <input
            className="input input-sm min-w-48 flex-1"
            autoFocus={i === 0}
            maxLength={1000}
            placeholder="Because …"
            value={reasons[limit.id] ?? ''}
            onChange={({ target }) => setReasons({ ...reasons, [limit.id]: target.value })}
          />
        </label>
      ))}
      <div className="flex gap-2">
        <button className="btn btn-primary btn-sm" disabled={!given || saving}>
          <Play className="h-4 w-4" aria-hidden="true" /> Run and log
        </button>
        <button type="button" className="btn btn-quiet btn-sm" onClick={onCancel}>
          Not now
        </button>
      </div>
    </form>
  );
}
