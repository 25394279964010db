import { useId, useState, type FormEvent } from 'react';
import type { Problem } from '@even-lantern/contract';
import { ProblemNote } from './ProblemNote.js';

interface LineFormProps {
  label: string;
  button: string;
  initial?: string;
  placeholder?: string;
  autoComplete?: string;
  autoFocus?: boolean;
  /** why the last text was refused; what was typed stays */
  problem: Problem | null;
  onSubmit: (text: string) => void | Promise<void>;
  onCancel?: () => void;
}

/** Asks for one line of text. Escape gives up, where giving up is possible. */
export function LineForm({
  label,
  button,
  initial = '',
  problem,
  onSubmit,
  onCancel,
  ...field
}: LineFormProps) {
  const id = useId();
  const [text, setText] = useState(initial);
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void onSubmit(text);
  };
  return (
    <form onSubmit={submit} className="flex flex-col gap-2">
      <label htmlFor={id} className="small-head">
        {label}
      </label>
      <div className="flex gap-2">
        <input
          {...field}
          id={id}
          className="input min-w-0 flex-1"
          value={text}
          onChange={(event) => setText(event.target.value)}
          onKeyDown={(event) => {
            if (event.key === 'Escape') onCancel?.();
          }}
        />
        <button className="btn btn-primary">{button}</button>
        {onCancel !== undefined && (
          <button type="button" className="btn btn-quiet" onClick={onCancel}>
            Cancel
          </button>
        )}
      </div>
      {problem !== null && <ProblemNote problem={problem} />}
    </form>
  );
}
