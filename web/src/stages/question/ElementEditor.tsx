import { elementShape } from '@even-lantern/core';
import type { ElementChange, ReviewElement } from '@even-lantern/contract';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { api, problemOf } from '../../app/api.js';
import { useUndo } from '../../app/undo.js';
import { useReview } from '../../app/useReview.js';
import { ElementTile } from '../../parts/ElementTile.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { ElementEffect } from './ElementEffect.js';
import { Wordings } from './Wordings.js';

const SAVE_AFTER_MS = 400;

/** One element: its text, its note, and whether it is searched on. Saved a moment after each edit. */
export function ElementEditor({ element }: { element: ReviewElement }) {
  const { review } = useReview();
  const { remember } = useUndo();
  const [changeElement, saving] = api.useChangeElementMutation();
  const [refresh] = api.useLazyReviewQuery();
  const shape = elementShape(element.key);
  const [draft, setDraft] = useState({ text: element.text, note: element.note });
  const latest = useRef(element);
  latest.current = element;
  const dirty = draft.text !== element.text || draft.note !== element.note;
  const conflict = saving.error !== undefined && problemOf(saving.error).status === 412;

  const save = async (change: ElementChange, before: ElementChange, what: string) => {
    const { id, version } = latest.current;
    const result = await changeElement({ reviewId: review.id, id, version, change });
    if (result.data === undefined) return;
    remember({
      what,
      undo: async () => {
        const present = latest.current;
        await changeElement({ reviewId: review.id, id, version: present.version, change: before }).unwrap();
        if (before.text !== undefined || before.note !== undefined)
          setDraft((draft) => ({ ...draft, ...textsOf(before) }));
      },
    });
  };

  const saveDraft = useEffectEvent(() => {
    const before = { text: element.text, note: element.note };
    void save(draft, before, `wrote ${shape.name.toLowerCase()}`);
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
    <section className="grid gap-x-6 gap-y-2 py-2 md:grid-cols-[11rem_1fr_1fr]" aria-label={shape.name}>
      <div className="flex flex-col gap-2">
        <span className="flex items-center gap-2 font-semibold">
          <ElementTile element={element.key} /> {shape.name}
        </span>
        <label className="flex cursor-pointer items-center gap-2">
          <input
            type="checkbox"
            className="toggle toggle-sm"
            checked={element.searched}
            onChange={(event) => {
              const searched = event.target.checked;
              void save(
                { searched },
                { searched: !searched },
                `${searched ? 'searched' : 'did not search'} on ${shape.name}`,
              );
            }}
          />
          search on this
        </label>
        <ElementEffect element={element} />
      </div>
      <div className="flex flex-col gap-1">
        <label className="flex flex-col gap-1">
          <span className="small-head">{shape.asks}</span>
          <textarea
            className="textarea min-h-12 w-full text-[15px]"
            rows={2}
            maxLength={2000}
            value={draft.text}
            placeholder={`such as: ${shape.example}`}
            onChange={(event) => edit({ text: event.target.value })}
          />
        </label>
        <Wordings elementId={element.id} onTake={(text) => edit({ text })} />
      </div>
      <label className="flex flex-col gap-1">
        <span className="small-head">Note</span>
        <textarea
          className="textarea min-h-12 w-full"
          rows={2}
          maxLength={10000}
          value={draft.note}
          onChange={(event) => edit({ note: event.target.value })}
        />
      </label>
      {saving.error !== undefined && (
        <div className="md:col-start-2 md:col-span-2">
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

function textsOf({ text, note }: ElementChange): { text?: string; note?: string } {
  return { ...(text === undefined ? {} : { text }), ...(note === undefined ? {} : { note }) };
}
