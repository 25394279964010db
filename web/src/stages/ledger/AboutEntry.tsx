import { isRun, type LedgerEntry } from '@even-lantern/core';
import { format } from 'date-fns';
import { useState } from 'react';
import { AddNote, CorrectEntry } from './AddToEntry.js';

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
      {adding === 'correction' && (
        <CorrectEntry entry={entry.content.entry} onAdded={() => setAdding(null)} />
      )}
      {about.length === 0 && adding === null && (
        <p className="quiet text-sm">
          None. The entry stays as it is; your addition becomes an entry of its own.
        </p>
      )}
      <ul>
        {about.map(({ content, hash }) => (
          <li key={hash} className="rule border-t py-1 text-[0.8125rem]">
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
