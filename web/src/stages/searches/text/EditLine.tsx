import { writingsIn } from '@even-lantern/core';
import type { DatabaseProfile, TranslatedLine } from '@even-lantern/contract';
import { lazy, Suspense, useMemo, useState } from 'react';
import { problemOf } from '../../../review/api/api.js';
import { strategyApi } from '../../../review/api/strategyApi.js';
import { useVocabulary } from '../../../review/useVocabulary.js';
import { EditConflict } from '../../../parts/EditConflict.js';
import { useFocusBack } from '../../../parts/useFocusBack.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { WhatItMeans, WhatLanesGive } from './AboutLine.js';
import { readerFor, readText } from './readText.js';
import { WhatIsLost, type Proposed } from './WhatIsLost.js';
import { theirsIn, useLineWriting } from './useLineWriting.js';
import { Radio } from '../../../parts/Radio.js';

const TextEditor = lazy(() => import('./TextEditor.js'));

interface EditLineProps {
  reviewId: string;
  database: DatabaseProfile;
  line: TranslatedLine;
  onDone: () => void;
}

/** A line written by hand: the text, what it means, and what the lanes would give. */
export function EditLine({ reviewId, database, line, onDone }: EditLineProps) {
  useFocusBack('stage');
  const tree = useVocabulary(database.vocabulary?.id ?? '');
  const [language, setLanguage] = useState(line.written?.language ?? 'own');
  const [text, setText] = useState(line.written?.text ?? line.sent);
  const autosave = useLineWriting(reviewId, database.id, line);
  const theirs = autosave.problem?.status === 412 ? theirsIn(autosave.problem) : null;

  const reader = useMemo(() => readerFor(database, tree, language), [database, tree, language]);
  const writings = useMemo(
    () => writingsIn(language === 'own' ? reader.dialect : null, reader.context),
    [reader, language],
  );
  const reading = useMemo(() => readText(text, reader), [text, reader]);
  const wrong = reading.findings.filter(({ severity }) => severity === 'wrong');
  const cautions = reading.findings.filter(({ severity }) => severity === 'caution');

  const change = (next: string) => {
    if (next === text) return;
    setText(next);
    setProposed(null);
    autosave.save({ text: next, language });
  };
  const [convert, converting] = strategyApi.useConvertLineMutation();
  const [proposed, setProposed] = useState<Proposed | null>(null);
  const put = (other: 'own' | 'cql', newText: string) => {
    setProposed(null);
    setLanguage(other);
    setText(newText);
    if (line.written !== null || newText !== line.lanes?.[other])
      autosave.save({ text: newText, language: other });
  };
  /**
   * In the other language, as the server prints it with the database's whole vocabulary. What would be lost is shown
   * first; what cannot be read stays as it is for whoever mends it.
   */
  const writeIn = async (other: 'own' | 'cql') => {
    const answer = await convert({
      review: reviewId,
      conversion: { database: database.id, language, text, to: other },
    });
    if (answer.data === undefined) return;
    const { text: newText, losses } = answer.data;
    if (newText === null) put(other, text);
    else if (losses.length === 0) put(other, newText);
    else setProposed({ to: other, text: newText, losses });
  };
  const takeLanes = () => {
    autosave.save({ text: null, language }, 'at once');
    onDone();
  };
  const ownName = database.dialect === null ? null : `${database.name}’s own`;
  return (
    <section aria-label={`L${line.number} as text`} className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        {ownName !== null && (
          <fieldset className="flex gap-4 text-sm">
            <legend className="sr-only">Language</legend>
            {(['own', 'cql'] as const).map((each) => (
              <Radio
                key={each}
                className="items-center"
                name="language"
                checked={language === each}
                onChoose={() => void writeIn(each)}
              >
                {each === 'own' ? ownName : 'CQL'}
              </Radio>
            ))}
          </fieldset>
        )}
        <button className="btn btn-quiet btn-xs" onClick={onDone}>
          Done <kbd className="font-mono font-normal">Esc</kbd>
        </button>
      </div>
      {converting.error !== undefined && <ProblemNote problem={problemOf(converting.error)} />}
      {proposed !== null && (
        <WhatIsLost
          proposed={proposed}
          database={database}
          onChange={() => put(proposed.to, proposed.text)}
          onLeave={() => setProposed(null)}
        />
      )}
      <Suspense fallback={<p className="quiet">Opening the editor …</p>}>
        <TextEditor
          key={language}
          label={`L${line.number} as text`}
          text={text}
          quote={quoteOf(writings)}
          writings={writings}
          headings={tree?.vocabulary.headings ?? []}
          findings={(typed) => readText(typed, reader).findings}
          onChange={change}
          onLeave={onDone}
        />
      </Suspense>
      {autosave.problem !== null && (
        <EditConflict
          problem={autosave.problem}
          theirs={
            <>
              Theirs:{' '}
              <span className="font-mono text-xs">{theirs?.text ?? line.lanes?.[language] ?? ''}</span>
            </>
          }
          onKeepMine={autosave.keepMine}
          onTakeTheirs={() => {
            autosave.takeTheirs();
            setLanguage(theirs?.language ?? language);
            setText(theirs?.text ?? line.lanes?.[language] ?? line.sent);
          }}
        />
      )}
      {wrong.map(({ from, message }) => (
        <p key={message} role="alert" className="problem">
          At {from + 1}: {message} Your text is kept; until you mend it, the program searches what the lanes
          give.
        </p>
      ))}
      {cautions.map(({ from, message }) => (
        <p key={message} className="border-warning border-l-[3px] pl-2">
          At {from + 1}: {message}
        </p>
      ))}
      {reading.query !== null && (
        <WhatItMeans query={reading.query} counted={line.written?.text === text ? line : null} />
      )}
      {line.lanes !== null && text !== line.lanes[language] && (
        <WhatLanesGive text={text} lanes={line.lanes} language={language} onTake={takeLanes} />
      )}
    </section>
  );
}

function quoteOf(writings: ReturnType<typeof writingsIn>): '"' | "'" {
  return writings.find(({ holds }) => holds === 'words')?.before.endsWith("'") === true ? "'" : '"';
}
