import { counted, elementShape } from '@even-lantern/core';
import type { ElementChange, ReviewElement } from '@even-lantern/contract';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { problemOf } from '../../review/api/api.js';
import { reviewApi } from '../../review/api/reviewApi.js';
import { useReview } from '../../review/useReview.js';
import { ElementTile } from '../../parts/ElementTile.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { ElementEffect } from './ElementEffect.js';
import { Wordings } from './Wordings.js';

const SAVE_AFTER_MS = 400;

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
  const [changeElement, saving] = reviewApi.useChangeElementMutation();
  const [refresh] = reviewApi.useLazyReviewQuery();
  const shape = elementShape(element.key);
  const own = review.lanes.filter(({ elementId, terms }) => elementId === element.id && terms.length > 0);
  const [noteOpen, setNoteOpen] = useState(false);
  const [draft, setDraft] = useState({ text: element.text, note: element.note });
  // What was written elsewhere comes in, unless somebody is writing here.
  const [seen, setSeen] = useState({ text: element.text, note: element.note });
  if (seen.text !== element.text || seen.note !== element.note) {
    setSeen({ text: element.text, note: element.note });
    if (draft.text === seen.text && draft.note === seen.note)
      setDraft({ text: element.text, note: element.note });
  }
  const latest = useRef(element);
  latest.current = element;
  const dirty = draft.text !== element.text || draft.note !== element.note;
  const conflict = saving.error !== undefined && problemOf(saving.error).status === 412;

  const save = async (change: ElementChange) => {
    const { id, version } = latest.current;
    await changeElement({ reviewId: review.id, id, version, change });
  };

  const saveDraft = useEffectEvent(() => {
    void save(draft);
  });
  useEffect(() => {
    if (!dirty || saving.isLoading || saving.isError) return;
    const timer = setTimeout(() => saveDraft(), SAVE_AFTER_MS);
    return () => clearTimeout(timer);
    // Each further edit starts the wait anew.
  }, [draft, dirty, saving.isLoading, saving.isError]);

  const edit = (change: Partial<typeof draft>) => {
    setDraft({ ...draft, ...change });
    if (saving.isError && !conflict) saving.reset();
  };
  const takeTheirs = async () => {
    const fresh = await refresh(review.id).unwrap();
    const theirs = fresh.elements.find(({ id }) => id === element.id);
    if (theirs) setDraft({ text: theirs.text, note: theirs.note });
    saving.reset();
  };
  const keepMine = async () => {
    await refresh(review.id).unwrap();
    saving.reset();
  };
  const theirs = conflict ? (problemOf(saving.error).current as ReviewElement) : null;

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
          className="textarea field-sizing-content min-h-8 w-full resize-none px-2 py-1 text-[15px]"
          rows={1}
          maxLength={2000}
          aria-label={shape.asks}
          value={draft.text}
          placeholder={`such as: ${shape.example}`}
          onChange={(event) => edit({ text: event.target.value })}
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
            onChange={(event) => edit({ note: event.target.value })}
          />
        ) : (
          draft.note !== '' && <p className="quiet truncate px-2 text-xs">{draft.note}</p>
        )}
        <Wordings elementId={element.id} onTake={(text) => edit({ text })} />
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
          onChange={(event) => void save({ searched: event.target.checked })}
        />
      </label>
      {saving.error !== undefined && (
        <div className="md:col-start-2 md:col-span-3">
          <ProblemNote problem={problemOf(saving.error)}>
            {theirs !== null ? (
              <span className="flex flex-col gap-2 pt-1">
                <span className="text-base-content">Theirs: “{theirs.text}”</span>
                <span className="flex gap-2">
                  <button className="btn btn-sm btn-quiet" onClick={() => void keepMine()}>
                    Keep mine
                  </button>
                  <button className="btn btn-sm btn-quiet" onClick={() => void takeTheirs()}>
                    Take theirs
                  </button>
                </span>
              </span>
            ) : (
              <button className="btn btn-sm btn-quiet mt-1" onClick={() => saving.reset()}>
                Try again
              </button>
            )}
          </ProblemNote>
        </div>
      )}
    </section>
  );
}
