import { formatCount, writingsIn } from '@even-lantern/core';
import type {
  DatabaseProfile,
  LineTextChange,
  Problem,
  TranslatedLine,
  TranslatedLoss,
} from '@even-lantern/contract';
import { lazy, Suspense, useMemo, useRef, useState } from 'react';
import { problemOf } from '../../../review/api/api.js';
import { strategyApi } from '../../../review/api/strategyApi.js';
import { useAutosave } from '../../../review/useAutosave.js';
import { useVocabulary } from '../../../review/useVocabulary.js';
import { Count } from '../../../parts/Count.js';
import { EditConflict } from '../../../parts/EditConflict.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { Difference } from './Difference.js';
import { PlainTree } from './PlainTree.js';
import { readerFor, readText } from './readText.js';

const TextEditor = lazy(() => import('./TextEditor.js'));

interface EditLineProps {
  reviewId: string;
  database: DatabaseProfile;
  line: TranslatedLine;
  onDone: () => void;
}

/** A line written by hand: the text, what it means, and what the lanes would give. */
export function EditLine({ reviewId, database, line, onDone }: EditLineProps) {
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
  const put = (other: 'own' | 'cql', said: string) => {
    setProposed(null);
    setLanguage(other);
    setText(said);
    if (line.written !== null || said !== line.lanes?.[other]) autosave.save({ text: said, language: other });
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
    const { text: said, losses } = answer.data;
    if (said === null) put(other, text);
    else if (losses.length === 0) put(other, said);
    else setProposed({ to: other, text: said, losses });
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
              <label key={each} className="flex cursor-pointer items-center gap-1.5">
                <input
                  type="radio"
                  className="radio radio-xs"
                  name="language"
                  checked={language === each}
                  onChange={() => void writeIn(each)}
                />
                {each === 'own' ? ownName : 'CQL'}
              </label>
            ))}
          </fieldset>
        )}
        <button className="btn btn-quiet btn-xs" onClick={onDone}>
          Done <kbd className="font-mono font-normal">Esc</kbd>
        </button>
      </div>
      {converting.error !== undefined && <ProblemNote problem={problemOf(converting.error)} />}
      {proposed !== null && (
        <section
          aria-label="What would be lost"
          className="border-warning flex flex-col gap-1 border-l-[3px] pl-2"
        >
          <p>{proposed.to === 'own' ? `${database.name}’s own language` : 'CQL'} cannot say all of this:</p>
          <ul className="list-disc pl-5">
            {proposed.losses.map((loss) => (
              <li key={`${loss.from} ${loss.lost}`}>
                {loss.lost}: {loss.instead}
                {loss.gained !== null && loss.missed !== null && (
                  <>
                    {' '}
                    (finds {formatCount(loss.gained)} more, misses {formatCount(loss.missed)})
                  </>
                )}
              </li>
            ))}
          </ul>
          <p className="flex gap-2">
            <button className="btn btn-sm btn-quiet" onClick={() => put(proposed.to, proposed.text)}>
              Change all the same
            </button>
            <button className="btn btn-sm btn-primary" onClick={() => setProposed(null)}>
              Leave it as it is
            </button>
          </p>
        </section>
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
        <section aria-label="What it means" className="flex flex-col gap-1">
          <h3 className="small-head flex justify-between gap-2">
            What it means
            {line.written?.text === text && line.written.problem === null && (
              <span className="text-base-content font-normal">
                finds <Count hits={line.hits} error={line.error} />
              </span>
            )}
          </h3>
          <div
            className="max-lg:max-h-60 max-lg:overflow-auto"
            tabIndex={0}
            role="group"
            aria-label="What it means, scrolls"
          >
            <PlainTree query={reading.query} />
          </div>
        </section>
      )}
      {line.lanes !== null && text !== line.lanes[language] && (
        <section aria-label="What the lanes give" className="flex flex-col gap-1">
          <h3 className="small-head flex items-center justify-between gap-2">
            What the lanes give
            <span className="text-base-content font-normal">
              finds <Count hits={line.lanes.hits} error={line.lanes.error} />
            </span>
          </h3>
          <pre
            className="max-h-48 overflow-auto font-mono text-xs break-words whitespace-pre-wrap"
            tabIndex={0}
          >
            <Difference text={line.lanes[language]} from={text} />
          </pre>
          <button className="btn btn-quiet btn-xs self-start" onClick={takeLanes}>
            Take what the lanes give
          </button>
        </section>
      )}
    </section>
  );
}

interface Proposed {
  to: 'own' | 'cql';
  text: string;
  losses: readonly TranslatedLoss[];
}

type Written = Pick<LineTextChange, 'text' | 'language'>;

/** The text of a line as it is kept; null for what the lanes give. */
type KeptText = Written & { version: number };

/** Saves the text of a line while it is written, each time on the version that the one before has left. */
function useLineWriting(review: string, database: string, { key, version: present }: TranslatedLine) {
  const [write] = strategyApi.useWriteLineMutation();
  const version = useRef(present);
  return useAutosave<Written>(async (written, over) => {
    const change: LineTextChange = { database, line: key, version: over ?? version.current, ...written };
    const { data, error } = await write({ review, change });
    if (data !== undefined) {
      version.current = data.version;
      return null;
    }
    const problem = problemOf(error);
    // Whichever text a person takes now, the next is made on theirs.
    if (problem.status === 412) version.current = theirsIn(problem).version;
    return problem;
  });
}

/** What somebody else has written, in the answer that refuses one’s own. */
function theirsIn({ current }: Problem): KeptText {
  return current as KeptText;
}

function quoteOf(writings: ReturnType<typeof writingsIn>): '"' | "'" {
  return writings.find(({ holds }) => holds === 'words')?.before.endsWith("'") === true ? "'" : '"';
}
