import { counted, formatCount, foundLine } from '@even-lantern/core';
import type { DatabaseProfile, RehearsedLine, ReviewTerm, Translation } from '@even-lantern/contract';
import { format } from 'date-fns';
import { Copy, PenLine } from 'lucide-react';
import { problemOf } from '../../review/api/api.js';
import { OwnString } from '../../parts/OwnString.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { releaseText } from '../../parts/release.js';
import { ByHand } from './ByHand.js';
import { TermActions } from './sheet/TermActions.js';
import { EditLine } from './text/EditLine.js';
import { Losses, Understood } from './TranslatedLine.js';

interface LinePaneProps {
  reviewId: string;
  database: DatabaseProfile;
  line: RehearsedLine;
  /** the term that the line is; null for other lines */
  term: ReviewTerm | null;
  /** undefined until it comes */
  translation: Translation | undefined;
  /** why it does not come */
  failed: unknown;
  editing: boolean;
  onEdit: (editing: boolean) => void;
  onAgain: () => void;
  onCopy: () => void;
  /** leaves out of the whole what the line finds; null where that makes no sense */
  onLeaveOut: (() => void) | null;
  /** called when a count was entered by hand */
  onEntered: () => void;
}

/** One line as the database gets it: the string, what is lost, what it understood; or the string being written. */
export function LinePane(props: LinePaneProps) {
  const { reviewId, database, line, term, translation, failed, editing } = props;
  const { onEdit, onAgain, onCopy, onLeaveOut, onEntered } = props;
  const translated = translation?.lines.find(({ number }) => number === line.number);
  return (
    <section aria-label="String" className="flex flex-col gap-3">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 className="small-head">
          L{line.number} as {database.name} gets it
        </h2>
        {!editing && (
          <span className="flex flex-wrap gap-1">
            {onLeaveOut !== null && (
              <button
                className="btn btn-ghost btn-xs"
                onClick={onLeaveOut}
                title="A line of your own leaves out of the whole what this one finds"
              >
                Leave out
              </button>
            )}
            <button
              className="btn btn-ghost btn-xs"
              onClick={() => onEdit(true)}
              disabled={translated === undefined}
            >
              <PenLine className="h-3.5 w-3.5" aria-hidden="true" /> Edit as text{' '}
              <kbd className="font-mono font-normal">E</kbd>
            </button>
            <button className="btn btn-ghost btn-xs" onClick={onCopy} disabled={translated === undefined}>
              <Copy className="h-3.5 w-3.5" aria-hidden="true" /> Copy{' '}
              <kbd className="font-mono font-normal">Alt C</kbd>
            </button>
          </span>
        )}
      </div>
      {term !== null && !editing && <TermActions key={term.id} term={term} />}
      {translation === undefined || translated === undefined ? (
        <Translating error={failed} onAgain={onAgain} />
      ) : editing ? (
        <EditLine reviewId={reviewId} database={database} line={translated} onDone={() => onEdit(false)} />
      ) : (
        <>
          <pre
            tabIndex={0}
            aria-label="The string"
            className="rule bg-base-100 rounded-box shrink-0 overflow-auto max-lg:max-h-[40vh] border p-3 font-mono text-[0.78125rem] leading-6 break-words whitespace-pre-wrap"
            data-testid="string"
          >
            <OwnString text={translated.sent} losses={translated.losses} />
          </pre>
          {translated.written !== null && (
            <p className="quiet text-sm">
              Written by hand by {translated.written.person},{' '}
              {format(new Date(translated.written.at), 'd MMM yyyy HH:mm')}
              {translated.written.problem === null
                ? '.'
                : ', but it cannot be read yet. This is what the lanes give.'}
              {translated.written.problem === null &&
                translated.lanes !== null &&
                translated.lanes.hits !== null && (
                  <> The lanes would give a line that finds {formatCount(translated.lanes.hits)}.</>
                )}
            </p>
          )}
          {(translated.written?.cautions ?? []).map(({ at, message }) => (
            <p key={message} className="border-warning border-l-[3px] pl-2 text-sm">
              At {at + 1}: {message}
            </p>
          ))}
          {database.reached === 'hand' && (
            <ByHand
              key={translated.sent}
              database={database.id}
              line={translated}
              isLast={foundLine(translation.lines)?.number === translated.number}
              onEntered={onEntered}
            />
          )}
          <section aria-label="What is lost" className="flex flex-col gap-1">
            <h3 className="small-head">What it cannot say</h3>
            <Losses losses={translated.losses} changes={translated.changes} />
            {translated.intended.hits !== null && translated.intended.hits !== translated.hits && (
              <p className="quiet">
                With nothing lost the line would find {formatCount(translated.intended.hits)}.
              </p>
            )}
          </section>
          {database.reached !== 'hand' && (
            <section aria-label="What it understood" className="flex flex-col gap-1">
              <h3 className="small-head">What it understood</h3>
              <Understood line={translated} translation={translation} />
            </section>
          )}
        </>
      )}
      <p className="quiet">
        {line.hits === null ? (
          'Not counted.'
        ) : (
          <>
            Finds <b className="text-base-content">{counted(line.hits, 'record')}</b> in {database.name},{' '}
            {releaseText(translation?.release ?? database.release)}. Rehearsed only; nothing is logged until
            you run it.
          </>
        )}
      </p>
    </section>
  );
}

function Translating({ error, onAgain }: { error: unknown; onAgain: () => void }) {
  if (error === undefined) return <p className="quiet">Translating …</p>;
  return (
    <ProblemNote problem={problemOf(error)}>
      <button className="btn btn-sm btn-quiet mt-1" onClick={onAgain}>
        Try again
      </button>
    </ProblemNote>
  );
}
