import { isRun, type LedgerEntry } from '@even-lantern/core';
import { format } from 'date-fns';
import { useState, type FormEvent } from 'react';
import { problemOf } from '../../review/api/api.js';
import { ledgerApi } from '../../review/api/ledgerApi.js';
import { useReview } from '../../review/useReview.js';
import { ProblemNote } from '../../parts/ProblemNote.js';

const zone = () => Intl.DateTimeFormat().resolvedOptions().timeZone;

/** What was noted and corrected of an entry since, and the way to add to it. */
export function AboutEntry({ entry, about }: { entry: LedgerEntry; about: readonly LedgerEntry[] }) {
  const [adding, setAdding] = useState<'note' | 'correction' | null>(null);
  return (
    <section aria-label="Notes and corrections" className="flex flex-col gap-2">
      <div className="flex items-center gap-3">
        <h2 className="small-head">Notes and corrections</h2>
        <button
          className="btn btn-xs btn-quiet"
          aria-expanded={adding === 'note'}
          onClick={() => setAdding(adding === 'note' ? null : 'note')}
        >
          Add a note
        </button>
        <button
          className="btn btn-xs btn-quiet"
          aria-expanded={adding === 'correction'}
          onClick={() => setAdding(adding === 'correction' ? null : 'correction')}
        >
          Correct it
        </button>
      </div>
      {adding === 'note' && <AddNote entry={entry.content.entry} onAdded={() => setAdding(null)} />}
      {adding === 'correction' && <Correct entry={entry.content.entry} onAdded={() => setAdding(null)} />}
      {about.length === 0 && adding === null && (
        <p className="quiet text-sm">
          None. The entry stays as it is; your addition becomes an entry of its own.
        </p>
      )}
      <ul>
        {about.map(({ content, hash }) => (
          <li key={hash} className="rule border-t py-1 text-[13px]">
            {content.kind === 'correction' && (
              <p>
                <b>{content.what}:</b> <del className="quiet">{content.was}</del>{' '}
                <ins className="font-semibold no-underline">{content.is}</ins>
              </p>
            )}
            {!isRun(content) && content.text !== '' && <p>{content.text}</p>}
            {!isRun(content) && (
              <p className="quiet">
                Entry {content.entry}, {content.by}, {format(content.at, 'd MMM yyyy HH:mm')}
              </p>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function AddNote({ entry, onAdded }: { entry: number; onAdded: () => void }) {
  const { review } = useReview();
  const [text, setText] = useState('');
  const [add, { error, isLoading }] = ledgerApi.useNoteEntryMutation();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await add({ review: review.id, body: { about: entry, text, timeZone: zone() } });
    if (answer.data !== undefined) onAdded();
  };
  return (
    <form className="flex flex-col gap-2" onSubmit={(event) => void submit(event)}>
      <textarea
        className="textarea w-full text-sm"
        aria-label="Note"
        rows={2}
        autoFocus
        value={text}
        onChange={({ target }) => setText(target.value)}
      />
      <button className="btn btn-sm btn-primary self-start" disabled={isLoading}>
        Add the note
      </button>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
    </form>
  );
}

function Correct({ entry, onAdded }: { entry: number; onAdded: () => void }) {
  const { review } = useReview();
  const [parts, setParts] = useState({ what: '', was: '', is: '', text: '' });
  const [correct, { error, isLoading }] = ledgerApi.useCorrectEntryMutation();
  const submit = async (event: FormEvent) => {
    event.preventDefault();
    const body = { about: entry, ...parts, timeZone: zone() };
    const answer = await correct({ review: review.id, body });
    if (answer.data !== undefined) onAdded();
  };
  const field = (name: keyof typeof parts, label: string, autoFocus = false) => (
    <label className="flex flex-col gap-1">
      <span className="small-head">{label}</span>
      <input
        className="input input-sm w-full"
        autoFocus={autoFocus}
        value={parts[name]}
        onChange={({ target }) => setParts({ ...parts, [name]: target.value })}
      />
    </label>
  );
  return (
    <form className="flex flex-col gap-2" onSubmit={(event) => void submit(event)}>
      <div className="grid gap-3 md:grid-cols-4">
        {field('what', 'What, such as “count”', true)}
        {field('was', 'What it says')}
        {field('is', 'What is right')}
        {field('text', 'How it came about')}
      </div>
      <button className="btn btn-sm btn-primary self-start" disabled={isLoading}>
        Add the correction
      </button>
      {error !== undefined && <ProblemNote problem={problemOf(error)} />}
    </form>
  );
}
