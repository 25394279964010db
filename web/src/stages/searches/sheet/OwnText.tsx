import { ownKey, readShownText, textToKeep, textToShow, writingsIn } from '@even-lantern/core';
import type { DatabaseProfile, ReviewOwnLine } from '@even-lantern/contract';
import { lazy, Suspense, useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { useAutosave } from '../../../review/useAutosave.js';
import { useOwnLineEdits } from '../../../review/useOwnLineEdits.js';
import { useVocabulary } from '../../../review/useVocabulary.js';
import { GuideLink } from '../../../parts/GuideLink.js';
import { EditConflict } from '../../../parts/EditConflict.js';
import { readerFor, type Finding } from '../text/readText.js';
import type { LineNames } from '../lines/sheetLines.js';

const TextEditor = lazy(() => import('../text/TextEditor.js'));

interface OwnTextProps {
  own: ReviewOwnLine;
  names: LineNames;
  /** how many lines the sheet has */
  count: number;
  database: DatabaseProfile;
  focus: boolean;
}

/** The text of an own line. What is typed is kept after a pause; numbers follow when lines move meanwhile. */
export function OwnText({ own, names, count, database, focus }: OwnTextProps) {
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
    const notes = read.ok ? read.cautions : [read.error];
    const severity = read.ok ? 'caution' : 'wrong';
    return notes.map(({ at, message }) => ({ from: at, to: at + 1, severity, message }));
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
