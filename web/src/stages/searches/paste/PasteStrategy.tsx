import {
  arrangedDocument,
  arrangeStrategy,
  chosenOf,
  counted,
  elementShape,
  linesThatFit,
  readPastedLines,
} from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { X } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { problemOf } from '../../../review/api/api.js';
import { ownLineApi } from '../../../review/api/ownLineApi.js';
import { useReview } from '../../../review/useReview.js';
import { GuideLink } from '../../../parts/GuideLink.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { ROLE_TEXT } from '../lines/sheetLines.js';
import { Lane, type LaneChoice } from './PastedLane.js';
import { languageThatFits, languagesOf } from './pastedLanguages.js';

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
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<string | null>(null);
  const [choices, setChoices] = useState<Readonly<Record<number, LaneChoice>>>({});
  const [without, setWithout] = useState<ReadonlySet<number>>(new Set());
  const [read, { error, isLoading }] = ownLineApi.useReadStrategyMutation();
  // Reading a long text must not hold up whoever types it.
  const settled = useDeferredValue(text);
  const languages = useMemo(() => languagesOf(databases), [databases]);
  const language = languages.find(({ id }) => id === chosen) ?? languageThatFits(settled, languages);
  const lines = useMemo(() => readPastedLines(settled, language), [settled, language]);
  const arranged = useMemo(() => arrangeStrategy(lines), [lines]);
  const unread = lines.filter(({ error: why }) => why !== null);
  const wrong = unread.filter(({ follows }) => follows === null);
  const following = unread.filter(({ follows }) => follows !== null).map(({ number }) => number);
  const choiceOf = (i: number): LaneChoice => ({
    taken: true,
    name: arranged.lanes[i]?.name ?? '',
    element: null,
    ...choices[i],
  });
  const chosenParts = {
    lanes: arranged.lanes.map((_, i) => choiceOf(i).taken),
    ownLines: arranged.ownLines.map((_, i) => !without.has(i)),
  };
  const fits = linesThatFit(arranged, chosenParts);
  const taken = chosenOf(arranged, chosenParts);
  const add = async () => {
    const kept = arranged.lanes.map((_, i) => choiceOf(i)).filter((choice) => choice.taken);
    const lanes = taken.lanes.map((lane, i) => ({ ...lane, name: kept[i]?.name.trim() || lane.name }));
    const document = arrangedDocument(
      '',
      { ...taken, lanes },
      (lane) => kept[lanes.indexOf(lane)]?.element ?? null,
    );
    const result = await read({ review: review.id, strategy: document });
    if (result.data === undefined) return;
    const { terms, present, ownLines } = result.data;
    const there = present === 0 ? '' : `; ${counted(present, 'term')} were there already`;
    const own = counted(ownLines, 'line of your own', 'lines of your own');
    const what = ownLines === 0 ? '' : ` and ${own}`;
    toast(`Added ${counted(terms, 'term')}${what}${there}. Ctrl Z takes it back.`);
    onClose();
  };
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
              className="textarea h-[46vh] w-full resize-y font-mono text-[12.5px] leading-6"
              autoFocus
              spellCheck={false}
              maxLength={LONGEST_PASTED}
              value={text}
              placeholder={'1. "night shift*"\n2. nurse*\n3. 1 or 2\n4. light or lamp*\n5. 3 and 4'}
              onChange={({ target }) => {
                setText(target.value);
                setChoices({});
                setWithout(new Set());
              }}
            />
          </label>
          <label className="flex items-center gap-2 text-sm">
            Written for
            <select
              className="select select-sm w-64"
              value={language.id}
              onChange={({ target }) => setChosen(target.value)}
            >
              {languages.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
            {chosen === null && lines.length > 0 && <span className="quiet text-xs">fits best</span>}
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
          {wrong.length > 0 && (
            <ul aria-label="Lines that cannot be read" className="flex flex-col gap-1 text-sm">
              {wrong.map(({ number, text: said, error: why }) => (
                <li key={number} className="problem">
                  <span className="font-mono text-xs">
                    {number} {said.slice(0, 60)}
                  </span>{' '}
                  At {(why?.at ?? 0) + 1}: {why?.message}
                </li>
              ))}
              {following.length > 0 && (
                <li className="quiet">
                  {following.length === 1 ? 'Line' : 'Lines'} {following.join(', ')}{' '}
                  {following.length === 1 ? 'refers' : 'refer'} to what cannot be read.
                </li>
              )}
            </ul>
          )}
          {arranged.lanes.map((lane, i) => (
            <Lane
              key={i}
              lane={lane}
              choice={choiceOf(i)}
              elements={review.elements.map(({ id, key, text: says }) => ({
                id,
                key,
                name: says.trim() === '' ? elementShape(key).name : says,
              }))}
              onChange={(choice) => setChoices({ ...choices, [i]: choice })}
            />
          ))}
          {arranged.ownLines.length > 0 && (
            <ul aria-label="Lines of your own" className="flex flex-col">
              {arranged.ownLines.map(({ line, role }, i) => (
                <li key={i} className="rule border-b py-1">
                  <label className="flex cursor-pointer items-baseline gap-2">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-xs self-center"
                      checked={!without.has(i) && fits[i] === true}
                      disabled={fits[i] !== true}
                      onChange={({ target }) => {
                        const next = new Set(without);
                        if (target.checked) next.delete(i);
                        else next.add(i);
                        setWithout(next);
                      }}
                    />
                    <span className="min-w-0 flex-1 truncate font-mono text-xs">
                      {line} {lines.find(({ number }) => number === line)?.text}
                    </span>
                    <span className="quiet text-xs">
                      {fits[i] === true ? ROLE_TEXT[role] : 'refers to what is not taken'}
                    </span>
                  </label>
                </li>
              ))}
            </ul>
          )}
          {error !== undefined && <ProblemNote problem={problemOf(error)} />}
          <button
            className="btn btn-primary self-start"
            disabled={taken.lanes.length + taken.ownLines.length === 0 || isLoading || settled !== text}
            onClick={() => void add()}
          >
            Add {counted(taken.lanes.length, 'lane')}
            {taken.ownLines.length > 0 && ` and ${counted(taken.ownLines.length, 'line')}`}
          </button>
        </div>
      </div>
    </section>
  );
}
