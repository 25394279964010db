import { useState } from 'react';

/** The reason for a change of the ladder, without which it is not kept. */
export function ReasonOfMove({
  onSave,
  onCancel,
}: {
  onSave: (reason: string) => void;
  onCancel: () => void;
}) {
  const [reason, setReason] = useState('');
  return (
    <form
      className="border-l-accent sticky left-0 flex max-w-[calc(100vw-3.5rem)] flex-wrap items-center gap-2 border-l-[3px] bg-[var(--live)] px-3 py-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') onSave(reason.trim());
      }}
    >
      <label className="flex min-w-64 flex-1 items-center gap-2">
        <span className="whitespace-nowrap">Why is the ladder changed?</span>
        <input
          className="input input-sm min-w-0 flex-1"
          autoFocus
          maxLength={1000}
          placeholder="Because …"
          value={reason}
          onChange={({ target }) => setReason(target.value)}
        />
      </label>
      <button className="btn btn-primary btn-sm" disabled={reason.trim() === ''}>
        Keep the change
      </button>
      <button type="button" className="btn btn-quiet btn-sm" onClick={onCancel}>
        Leave it as it was
      </button>
    </form>
  );
}
