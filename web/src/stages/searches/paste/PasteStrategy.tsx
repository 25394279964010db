import { counted, elementShape } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { X } from 'lucide-react';
import { GuideLink } from '../../../parts/GuideLink.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { problemOf } from '../../../review/api/api.js';
import { useReview } from '../../../review/useReview.js';
import { Lane } from './PastedLane.js';
import { PastedOwnLines } from './PastedOwnLines.js';
import { UnreadLines } from './UnreadLines.js';
import { usePastedStrategy } from './usePastedStrategy.js';

const LONGEST_PASTED = 500_000;

/** A strategy that somebody pasted as a whole, read line by line, to be confirmed as lanes and own lines. */
export function PasteStrategy({
  databases,
  onClose,
}: {
  databases: readonly DatabaseProfile[];
  onClose: () => void;
}) {
  const { review } = useReview();
  const pasted = usePastedStrategy(databases, onClose);
  const { lines, unread, arranged, taken, error } = pasted;
  return (
    <section aria-label="A pasted strategy" className="rule flex flex-col gap-3 border-b pb-4">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="font-bold">A strategy from elsewhere</h2>
        <span className="text-xs">
          <GuideLink to="searches#a-pasted-strategy">how it is read</GuideLink>
        </span>
        <button className="btn btn-ghost btn-xs ml-auto" onClick={onClose}>
          <X className="h-3.5 w-3.5" aria-hidden="true" /> Close
        </button>
      </div>
      <div className="grid gap-6 lg:grid-cols-2">
        <div className="flex flex-col gap-2">
          <label className="flex flex-col gap-1">
            <span className="small-head">Paste all of it, line by line</span>
            <textarea
              className="textarea h-[46vh] w-full resize-y font-mono text-[0.78125rem] leading-6"
              autoFocus
              spellCheck={false}
              maxLength={LONGEST_PASTED}
              value={pasted.text}
              placeholder={'1. "night shift*"\n2. nurse*\n3. 1 or 2\n4. light or lamp*\n5. 3 and 4'}
              onChange={({ target }) => pasted.write(target.value)}
            />
          </label>
          <label className="flex items-center gap-2 text-sm">
            Written for
            <select
              className="select select-sm w-64"
              value={pasted.language.id}
              onChange={({ target }) => pasted.chooseLanguage(target.value)}
            >
              {pasted.languages.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
            {pasted.languageFits && <span className="quiet text-xs">fits best</span>}
          </label>
        </div>
        <div className="flex flex-col gap-3 lg:max-h-[56vh] lg:overflow-auto lg:pr-2" aria-live="polite">
          {lines.length === 0 ? (
            <p className="quiet">
              The lanes and own lines appear here, so that you can check them before anything is added.
            </p>
          ) : (
            <p>
              {lines.length - unread.length} of {counted(lines.length, 'line')} can be read
              {arranged.lanes.length + arranged.ownLines.length > 0 && (
                <>
                  : {counted(arranged.lanes.length, 'lane')}
                  {arranged.ownLines.length > 0 &&
                    ` and ${counted(arranged.ownLines.length, 'line of your own', 'lines of your own')}`}
                  .
                </>
              )}
            </p>
          )}
          <UnreadLines {...pasted} />
          {arranged.lanes.map((lane, i) => (
            <Lane
              key={i}
              lane={lane}
              choice={pasted.choiceOf(i)}
              elements={review.elements.map(({ id, key, text: says }) => ({
                id,
                key,
                name: says.trim() === '' ? elementShape(key).name : says,
              }))}
              onChange={(choice) => pasted.choose(i, choice)}
            />
          ))}
          <PastedOwnLines {...pasted} />
          {error !== undefined && <ProblemNote problem={problemOf(error)} />}
          <button className="btn btn-primary self-start" disabled={!pasted.ready} onClick={pasted.add}>
            Add {counted(taken.lanes.length, 'lane')}
            {taken.ownLines.length > 0 && ` and ${counted(taken.ownLines.length, 'line')}`}
          </button>
        </div>
      </div>
    </section>
  );
}
