import { counted, elementShape } from '@even-lantern/core';
import type { ElementChange, ReviewElement } from '@even-lantern/contract';
import { useState } from 'react';
import { questionApi } from '../../review/api/questionApi.js';
import { useAutosave } from '../../review/useAutosave.js';
import { useEdit } from '../../review/useEdit.js';
import { useReview } from '../../review/useReview.js';
import { ElementTile } from '../../parts/ElementTile.js';
import { EditConflict } from '../../parts/EditConflict.js';
import { ElementEffect } from './ElementEffect.js';
import { Wordings } from './Wordings.js';

/** One element: its text, its note, and whether it is searched on. Saved a moment after each edit. */
export function ElementEditor({
  element,
  proposed,
}: {
  element: ReviewElement;
  /** concepts of its text that are neither lanes nor on the shelf */
  proposed: number;
}) {
  const { review } = useReview();
  const edit = useEdit();
  const [changeElement] = questionApi.useChangeElementMutation();
  const shape = elementShape(element.key);
  const own = review.lanes.filter(({ elementId, terms }) => elementId === element.id && terms.length > 0);
  const [noteOpen, setNoteOpen] = useState(false);
  const kept = { text: element.text, note: element.note };
  const [draft, setDraft] = useState(kept);
  const send = (change: ElementChange, version = element.version) =>
    changeElement({ review: review.id, id: element.id, version, change });
  const autosave = useAutosave<typeof draft>(
    async (written, over) => (await edit(send(written, over ?? undefined), { shownBeside: 'all' })).problem,
  );
  // What was written elsewhere comes in, unless somebody is writing here.
  const [seen, setSeen] = useState(kept);
  if (seen.text !== kept.text || seen.note !== kept.note) {
    setSeen(kept);
    if (draft.text === seen.text && draft.note === seen.note) setDraft(kept);
  }

  const write = (change: Partial<typeof draft>) => {
    const written = { ...draft, ...change };
    setDraft(written);
    autosave.save(written);
  };

  return (
    <section
      className="grid items-start gap-x-4 gap-y-1 py-1.5 md:grid-cols-[8.5rem_1fr_10rem_2.5rem]"
      aria-label={shape.name}
    >
      <span className="flex items-center gap-2 pt-1 font-semibold" title={shape.asks}>
        <ElementTile element={element.key} /> {shape.name}
      </span>
      <div className="flex min-w-0 flex-col gap-1">
        <textarea
          className="textarea field-sizing-content min-h-8 w-full resize-none px-2 py-1 text-[0.9375rem]"
          rows={1}
          maxLength={2000}
          aria-label={shape.asks}
          value={draft.text}
          placeholder={`such as: ${shape.example}`}
          onChange={(event) => write({ text: event.target.value })}
        />
        {draft.text.length >= 2000 && (
          <p className="problem text-xs">An element holds 2000 characters. Put the rest into its note.</p>
        )}
        {noteOpen ? (
          <textarea
            className="textarea field-sizing-content min-h-10 w-full text-sm"
            aria-label={`Note on ${shape.name}`}
            maxLength={10000}
            value={draft.note}
            onChange={(event) => write({ note: event.target.value })}
          />
        ) : (
          draft.note !== '' && <p className="quiet truncate px-2 text-xs">{draft.note}</p>
        )}
        <Wordings elementId={element.id} onTake={(text) => write({ text })} />
      </div>
      <div className="pt-1.5 text-xs md:text-right">
        <p>
          {own.length > 0 && counted(own.length, 'lane')}
          {own.length > 0 && proposed > 0 && ', '}
          {proposed > 0 && <span className="quiet">{proposed} proposed</span>}
          <button
            type="button"
            className="link pl-3"
            aria-expanded={noteOpen}
            aria-label={`Note on ${shape.name}, ${noteOpen ? 'close' : 'open'}`}
            onClick={() => setNoteOpen(!noteOpen)}
          >
            note
          </button>
        </p>
        <ElementEffect element={element} />
      </div>
      <label className="cursor-pointer pt-1.5 md:justify-self-end">
        <input
          type="checkbox"
          className="toggle toggle-sm"
          aria-label={`Search on ${shape.name}`}
          checked={element.searched}
          onChange={(event) => void edit(send({ searched: event.target.checked }))}
        />
      </label>
      {autosave.problem !== null && (
        <div className="md:col-start-2 md:col-span-3">
          <EditConflict
            problem={autosave.problem}
            theirs={<>Theirs: “{element.text}”</>}
            onKeepMine={autosave.keepMine}
            onTakeTheirs={() => {
              autosave.takeTheirs();
              setDraft(kept);
            }}
          />
        </div>
      )}
    </section>
  );
}
