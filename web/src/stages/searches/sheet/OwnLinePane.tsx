import {
  linesReferredTo,
  OWN_LINE_ROLES,
  ownKey,
  readShownText,
  splitText,
  textToKeep,
  textToShow,
  writingsIn,
  type OwnLineRole,
} from '@even-lantern/core';
import type { DatabaseProfile, RehearsedLine, ReviewOwnLine } from '@even-lantern/contract';
import { format } from 'date-fns';
import { lazy, Suspense, useEffect, useEffectEvent, useId, useMemo, useRef, useState } from 'react';
import { useAutosave } from '../../../review/useAutosave.js';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { useVocabulary } from '../../../review/useVocabulary.js';
import { ChoiceMenu } from '../../../parts/ChoiceMenu.js';
import { GuideLink } from '../../../parts/GuideLink.js';
import { EditConflict } from '../../../parts/EditConflict.js';
import { readerFor, type Finding } from '../text/readText.js';
import { lineNames, ownLineName, type LineNames } from '../lines/sheetLines.js';

const TextEditor = lazy(() => import('../text/TextEditor.js'));

const ROLES: Readonly<Record<OwnLineRole, [name: string, about: string]>> = {
  looks: ['Only looks', 'it is counted, and no more'],
  narrows: ['Narrows', 'only what it finds stays'],
  adds: ['Adds', 'what it finds comes to the whole'],
  leavesOut: ['Leaves out', 'what it finds goes'],
};

interface OwnLinePaneProps {
  own: ReviewOwnLine;
  ownLines: readonly ReviewOwnLine[];
  lines: readonly RehearsedLine[];
  database: DatabaseProfile;
  /** whether the text takes the focus */
  writing: boolean;
  /** asked to be taken away, though others use it */
  leaving: boolean;
  onLeave: () => void;
  onStay: () => void;
  onRemoved: () => void;
}

/** A line of one’s own: what part it takes, its text, its note, and what can be done with it. */
export function OwnLinePane(props: OwnLinePaneProps) {
  const { own, ownLines, lines, database, writing, leaving, onLeave, onStay, onRemoved } = props;
  const edits = useOwnLineEdits();
  const names = useMemo(() => lineNames(lines), [lines]);
  const name = ownLineName(own, names);
  const users = usersOf(own, ownLines).map((each) => ownLineName(each, names));
  const others = ownLines.filter(({ id }) => id !== own.id);
  const at = ownLines.findIndex(({ id }) => id === own.id);
  const [note, setNote] = useState(own.note);
  const noteId = useId();
  const remove = () => {
    void edits.remove(own, name);
    onRemoved();
  };
  return (
    <section aria-label="Line of your own" className="flex flex-col gap-3">
      <fieldset className="grid grid-cols-2 gap-x-3 gap-y-1">
        <legend className="small-head pb-1">What it does to the whole</legend>
        {OWN_LINE_ROLES.map((role) => (
          <label key={role} className="flex cursor-pointer items-start gap-1.5 text-sm leading-tight">
            <input
              type="radio"
              className="radio radio-xs mt-0.5"
              name={`role of ${own.id}`}
              checked={own.role === role}
              onChange={() => void edits.change(own, { role })}
            />
            <span>
              {ROLES[role][0]}
              <span className="quiet block text-xs">{ROLES[role][1]}</span>
            </span>
          </label>
        ))}
      </fieldset>
      <OwnText
        key={own.id}
        own={own}
        names={names}
        count={lines.length}
        database={database}
        focus={writing}
      />
      <div>
        <label htmlFor={noteId} className="small-head">
          Note
        </label>
        <input
          id={noteId}
          className="input input-sm w-full"
          value={note}
          maxLength={1000}
          placeholder="such as: too many animals"
          onChange={({ target }) => setNote(target.value)}
          onBlur={() => {
            if (note.trim() !== own.note) void edits.change(own, { note });
          }}
          onKeyDown={({ key, currentTarget }) => {
            if (key === 'Enter' || key === 'Escape') currentTarget.blur();
          }}
        />
      </div>
      {leaving && users.length > 0 && (
        <div role="alert" className="border-warning flex flex-col gap-1 border-l-[3px] pl-2">
          <p>
            {users.join(' and ')} {users.length === 1 ? 'uses' : 'use'} this line and could not be counted
            without it.
          </p>
          <p className="flex gap-2">
            <button className="btn btn-sm btn-quiet" onClick={remove}>
              Take it away all the same
            </button>
            <button className="btn btn-sm btn-primary" onClick={onStay} autoFocus>
              Leave it
            </button>
          </p>
        </div>
      )}
      <div className="flex flex-wrap gap-1">
        <button className="btn btn-quiet btn-xs" onClick={() => void edits.change(own, { on: !own.on })}>
          {own.on ? 'Switch off' : 'Switch on'} <kbd className="font-mono font-normal">X</kbd>
        </button>
        <button
          className="btn btn-quiet btn-xs"
          disabled={at <= 0}
          onClick={() => void edits.change(own, { before: ownLines[at - 1]?.id ?? null })}
        >
          Move up
        </button>
        <button
          className="btn btn-quiet btn-xs"
          disabled={at === ownLines.length - 1}
          onClick={() => void edits.change(own, { before: ownLines[at + 2]?.id ?? null })}
        >
          Move down
        </button>
        {splitText(own.text) !== null && (
          <button className="btn btn-quiet btn-xs" onClick={() => void edits.split(own, `split ${name}`)}>
            Split
          </button>
        )}
        {others.length > 0 && (
          <ChoiceMenu
            label="Merge with another line"
            text="Merge with"
            className="btn-xs"
            choices={others.flatMap((other) =>
              (['or', 'and'] as const).map((operator) => ({
                id: `${operator} ${other.id}`,
                name: `${name} ${operator} ${ownLineName(other, names)}`,
                detail: operator === 'or' ? 'what either finds' : 'what both find',
              })),
            )}
            onChoose={(choice) => {
              const [operator = '', id] = choice.split(' ');
              const other = others.find((each) => each.id === id);
              if (other === undefined) return;
              const what = `merged ${name} with ${ownLineName(other, names)}`;
              void edits.merge(own, other, operator === 'and' ? 'and' : 'or', what);
            }}
          />
        )}
        <button className="btn btn-quiet btn-xs" onClick={() => (users.length > 0 ? onLeave() : remove())}>
          Take away <kbd className="font-mono font-normal">Del</kbd>
        </button>
      </div>
      {users.length > 0 && !leaving && <p className="quiet text-xs">Used by {users.join(', ')}.</p>}
      <p className="quiet text-xs">
        Changed by {own.changedBy}, {format(new Date(own.changedAt), 'd MMM yyyy HH:mm')}.
      </p>
    </section>
  );
}

/** The own lines that refer to one. */
export function usersOf(own: ReviewOwnLine, ownLines: readonly ReviewOwnLine[]): ReviewOwnLine[] {
  return ownLines.filter(({ text }) => linesReferredTo(text).includes(ownKey(own.id)));
}

interface OwnTextProps {
  own: ReviewOwnLine;
  names: LineNames;
  /** how many lines the sheet has */
  count: number;
  database: DatabaseProfile;
  focus: boolean;
}

/** The text of an own line. What is typed is kept after a pause; numbers follow when lines move meanwhile. */
function OwnText({ own, names, count, database, focus }: OwnTextProps) {
  const edits = useOwnLineEdits();
  const tree = useVocabulary(database.vocabulary?.id ?? '');
  const reader = useMemo(() => readerFor(database, tree, 'cql'), [database, tree]);
  const writings = useMemo(() => writingsIn(null, reader.context), [reader]);
  const [text, setText] = useState(() => textToShow(own.text, names.numberOf));
  const vocabulary = database.vocabulary?.id ?? null;
  const autosave = useAutosave<string>(async (shown, over) => {
    const kept = textToKeep(shown, names.keyOf, vocabulary);
    if (kept === own.text) return null;
    return edits.change(over === null ? own : { ...own, version: over }, { text: kept });
  });

  // What stands here is said by the numbers that the lines have now.
  const before = useRef(names);
  useEffect(() => {
    if (before.current === names) return;
    const { keyOf } = before.current;
    before.current = names;
    setText((shown) => textToShow(textToKeep(shown, keyOf, null), names.numberOf));
  }, [names]);
  // What somebody else wrote, or was undone, is shown as long as nothing is being typed.
  const showKept = useEffectEvent(() => {
    if (!autosave.waits()) setText(textToShow(own.text, names.numberOf));
  });
  useEffect(() => showKept(), [own.text]);

  const findings = (shown: string): Finding[] => {
    if (shown.trim() === '') return [];
    const read = readShownText(shown, reader.context, (number) => number <= count);
    const told = read.ok ? read.cautions : [read.error];
    const severity = read.ok ? 'caution' : 'wrong';
    return told.map(({ at, message }) => ({ from: at, to: at + 1, severity, message }));
  };
  const [finding] = findings(text);
  return (
    <div className="flex flex-col gap-1">
      <p className="small-head flex justify-between">
        What it says
        <GuideLink to="searches#lines-of-your-own" label="How lines are written, in the guide">
          how
        </GuideLink>
      </p>
      <Suspense fallback={<p className="quiet">Opening the editor …</p>}>
        <TextEditor
          label="What the line says"
          text={text}
          quote={'"'}
          writings={writings}
          headings={tree?.vocabulary.headings ?? []}
          findings={findings}
          autoFocus={focus}
          onChange={(next) => {
            if (next === text) return;
            setText(next);
            autosave.save(next);
          }}
          onLeave={() => {
            autosave.flush();
            document.querySelector<HTMLElement>(`[data-line="${CSS.escape(ownKey(own.id))}"]`)?.focus();
          }}
        />
      </Suspense>
      {finding === undefined ? (
        <p className="quiet text-xs">
          L4 is line 4; in quotation marks, “L4” is a word. Join with and, or, not.
        </p>
      ) : (
        <p
          className={
            finding.severity === 'wrong' ? 'problem text-sm' : 'border-warning border-l-[3px] pl-2 text-sm'
          }
        >
          At {finding.from + 1}: {finding.message}
          {finding.severity === 'wrong' && ' It is kept as it is.'}
        </p>
      )}
      {autosave.problem !== null && (
        <EditConflict
          problem={autosave.problem}
          theirs={
            <>
              Theirs: <span className="font-mono text-xs">{textToShow(own.text, names.numberOf)}</span>
            </>
          }
          onKeepMine={autosave.keepMine}
          onTakeTheirs={() => {
            autosave.takeTheirs();
            setText(textToShow(own.text, names.numberOf));
          }}
        />
      )}
    </div>
  );
}
