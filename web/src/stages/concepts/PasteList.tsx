import { counted, readPasted } from '@even-lantern/core';
import { ClipboardPaste } from 'lucide-react';
import { useMemo, useState } from 'react';
import type { ReviewLane } from '../../review/lanes.js';
import { useCandidates } from '../../review/useCandidates.js';
import { useReview } from '../../review/useReview.js';
import { useShelf } from '../../review/useShelf.js';
import { useSettled } from '../../review/useSettled.js';
import { useVocabulary } from '../../review/useVocabulary.js';
import { useTermEdits } from '../../review/useTermEdits.js';
import { BEHIND_NOT, type Row, rowsOf } from './pastedRows.js';
import { PastedRow } from './PastedRow.js';

const READ_AFTER_MS = 250;

const SHOWN = 200;

/** What has just been opened, and what comes of it, can be seen. */
const inView = (element: HTMLElement | null) => element?.scrollIntoView({ block: 'start' });

/** Paste a list of words or a piece of a published strategy: its terms are shown before any is added. */
export function PasteList({ lane }: { lane: ReviewLane }) {
  const tree = useVocabulary();
  const { database } = useReview();
  const { add } = useTermEdits();
  const { make } = useShelf();
  const [open, setOpen] = useState(false);
  const [text, setText] = useState('');
  const [switched, setSwitched] = useState<ReadonlySet<number>>(new Set());
  const [trouble, setTrouble] = useState<string | null>(null);
  const settled = useSettled(text, READ_AFTER_MS);
  const pasted = useMemo(() => readPasted(settled), [settled]);
  const rows = useMemo(
    () => rowsOf(pasted.terms.slice(0, SHOWN), lane, tree, database?.vocabulary?.id ?? ''),
    [pasted, lane, tree, database],
  );
  const contents = useMemo(() => rows.map(({ content }) => content), [rows]);
  const { counts } = useCandidates(contents, { laneId: lane.id });
  const isTaken = (row: Row, i: number) => (row.against === null) !== switched.has(i);
  const taken = rows.filter(isTaken);
  const behindNot = rows.filter(({ against }, i) => against === BEHIND_NOT && !switched.has(i));
  const addTaken = async () => {
    const contents = taken.map(({ content }) => content);
    const failed = await add(lane.id, contents, 'pasted');
    setTrouble(failed);
    if (failed !== null) return;
    setText('');
    setOpen(false);
  };
  const leaveOut = () =>
    make({
      concepts: [
        {
          elementId: null,
          name: 'left out',
          leftOut: true,
          terms: behindNot.map(({ content }) => ({ content, origin: 'pasted' })),
        },
      ],
      texts: [],
    });

  if (!open) {
    return (
      <button className="btn btn-sm btn-quiet self-start" onClick={() => setOpen(true)}>
        <ClipboardPaste className="h-4 w-4" aria-hidden="true" /> Paste a list of terms
      </button>
    );
  }
  return (
    <section ref={inView} className="flex flex-col gap-2" aria-label="Paste a list of terms">
      <label className="flex flex-col gap-1">
        <span className="small-head">A list, or a piece of a published strategy</span>
        <textarea
          className="textarea w-full font-mono text-[0.78125rem]"
          rows={5}
          autoFocus
          value={text}
          placeholder={'one term per line, or with commas, or with OR\nin whatever syntax it was published'}
          onChange={(event) => {
            setText(event.target.value);
            setSwitched(new Set());
          }}
        />
      </label>
      {pasted.cut && <p className="problem text-sm">This text is very long; only its beginning was read.</p>}
      {pasted.terms.length > SHOWN && (
        <p className="problem text-sm">
          The first {SHOWN} of {pasted.terms.length} terms are shown. Add them, then paste the rest.
        </p>
      )}
      <ul className="rule divide-y divide-[var(--rule)]">
        {rows.map((row, i) => (
          <PastedRow
            key={i}
            row={row}
            count={counts?.[i]}
            taken={isTaken(row, i)}
            onTurn={() => {
              const next = new Set(switched);
              if (!next.delete(i)) next.add(i);
              setSwitched(next);
            }}
          />
        ))}
      </ul>
      {pasted.skipped.length > 0 && (
        <details>
          <summary className="cursor-pointer text-xs">
            {counted(pasted.skipped.length, 'line')} without a term
          </summary>
          <ul className="text-xs">
            {pasted.skipped.slice(0, 50).map(({ line, text: skipped, reason }) => (
              <li key={line} className="break-words">
                line {line}, {reason}: <span className="font-mono">{skipped}</span>
              </li>
            ))}
          </ul>
        </details>
      )}
      {behindNot.length > 0 && (
        <p className="text-sm">
          {counted(behindNot.length, 'term')} stood behind NOT.{' '}
          <button className="link" onClick={() => void leaveOut()}>
            Make a lane of {behindNot.length === 1 ? 'it' : 'them'} that is left out
          </button>
        </p>
      )}
      {trouble !== null && (
        <p role="alert" className="problem text-sm">
          {trouble}
        </p>
      )}
      <div className="flex gap-2">
        <button
          className="btn btn-sm btn-primary"
          disabled={taken.length === 0}
          onClick={() => void addTaken()}
        >
          Add {counted(taken.length, 'term')}
        </button>
        <button className="btn btn-sm btn-quiet" onClick={() => setOpen(false)}>
          Cancel
        </button>
      </div>
    </section>
  );
}
