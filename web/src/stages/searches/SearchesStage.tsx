import { PenLine, Play, X } from 'lucide-react';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useSearchParams } from 'react-router';
import { toast } from 'sonner';
import { api, problemOf } from '../../app/api.js';
import { lanesOfReview } from '../../app/lanes.js';
import { useRehearsal } from '../../app/useRehearsal.js';
import { useReview } from '../../app/useReview.js';
import { ElementTile } from '../../parts/ElementTile.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { Count } from '../../parts/Count.js';
import { NoDatabase } from '../../parts/NoDatabase.js';
import { focusNeighbour } from '../../parts/focusNeighbour.js';
import { InAll } from './InAll.js';
import { LinePane } from './LinePane.js';
import { ReasonsMissing } from './ReasonsMissing.js';
import { RunProgress } from './RunProgress.js';
import { SideBySide } from './SideBySide.js';
import { releaseText } from '../../parts/release.js';
import { ToSettle } from './ToSettle.js';
import { useRun } from './useRun.js';

/** In place of another database beside this one: all of them. */
const IN_ALL = 'all';

/** The numbered lines with their counts, the string as the database gets it, and the run for the record. */
export function SearchesStage() {
  const { review, database } = useReview();
  const { data: rehearsal, error, isFetching, refetch } = useRehearsal();
  const run = useRun(review.id, database?.id ?? null);
  const translating = api.useTranslationQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null },
  );
  const translation = translating.data?.database === database?.id ? translating.data : undefined;
  const { databases = [], failed = [] } = api.useDatabasesQuery().data ?? {};
  const [params, setParams] = useSearchParams();
  const others = databases.filter(({ id }) => id !== database?.id);
  const inAll = params.get('beside') === IN_ALL;
  const beside = others.find(({ id }) => id === params.get('beside'));
  const showBeside = (id: string | null) =>
    setParams((before) => {
      if (id === null) before.delete('beside');
      else before.set('beside', id);
      return before;
    });
  const [chosen, setChosen] = useState<number | null>(null);
  const [editing, setEditing] = useState(false);
  const [asked, setAsked] = useState<{ database: string; release: string } | null>(null);
  // What was chosen for one database says nothing of another.
  const earlier =
    asked !== null && asked.database === database?.id && asked.release !== database.release
      ? asked.release
      : undefined;
  const lanes = lanesOfReview(review);
  const lines = rehearsal?.lines ?? [];
  const line = lines.find(({ number }) => number === chosen) ?? lines.at(-1);
  const problems = rehearsal?.problems ?? [];
  const translated = translation?.lines.find(({ number }) => number === line?.number);
  const [asking, setAsking] = useState(false);
  const unreasoned = review.limits.filter(
    ({ id, on, reason }) => on && reason === '' && lines.some(({ limitId }) => limitId === id),
  );
  const start = () => {
    if (run.busy) return;
    if (unreasoned.length > 0) setAsking(true);
    else void run.start(earlier);
  };
  const copyText = (text: string, name: string) => {
    navigator.clipboard.writeText(text).then(
      () => toast(`Copied ${name}.`),
      () => toast.error('The browser does not allow copying. Select the string and copy it by hand.'),
    );
  };
  const copy = () => {
    if (translated !== undefined) copyText(translated.sent, `the string of L${translated.number}`);
  };
  useHotkeys('r', start);
  useHotkeys('alt+c', copy, { enabled: beside === undefined && !inAll });
  useHotkeys('e', () => setEditing(true), { preventDefault: true });

  return (
    <div className="flex flex-col gap-3 px-5 py-3">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <div className="flex items-baseline gap-3">
          <h1 className="text-[17px] font-bold">Searches</h1>
          <p className="quiet">{isFetching && 'Counting …'}</p>
          <Link className="link" to="../databases" relative="path">
            Where to search
          </Link>
        </div>
        <div className="flex flex-wrap items-center gap-2">
          {others.length > 0 && (
            <ChoiceMenu
              label="Another database beside this one"
              text={
                inAll
                  ? 'Counts in all databases'
                  : beside === undefined
                    ? 'Beside another database'
                    : `Beside ${beside.name}`
              }
              side="right"
              {...(beside === undefined ? {} : { chosen: beside.id })}
              choices={[
                { id: IN_ALL, name: 'Counts in all databases', detail: 'every line in each' },
                ...others.map(({ id, name, release }) => ({ id, name, detail: releaseText(release) })),
              ]}
              onChoose={showBeside}
            />
          )}
          {(beside !== undefined || inAll) && (
            <button className="btn btn-quiet btn-sm" onClick={() => showBeside(null)}>
              <X className="h-4 w-4" aria-hidden="true" /> One alone
            </button>
          )}
          {database !== null && database.releases.length > 1 && (
            <ChoiceMenu
              label="Release to run against"
              text={earlier === undefined ? 'Present release' : `Against release ${earlier}`}
              side="right"
              chosen={earlier ?? database.release}
              choices={[...database.releases].reverse().map((release) => ({
                id: release,
                name: release,
                detail:
                  release === database.release
                    ? 'present; counts come from it'
                    : 'earlier: a run repeats what was found then',
              }))}
              onChoose={(release) => setAsked({ database: database.id, release })}
            />
          )}
          <button
            className="btn btn-primary"
            onClick={start}
            disabled={run.busy || database === null || lines.length === 0}
          >
            <Play className="h-4 w-4" aria-hidden="true" /> Run and log{' '}
            <kbd className="font-mono text-xs font-normal">R</kbd>
          </button>
        </div>
      </div>
      <NoDatabase />
      {asking && unreasoned.length > 0 && (
        <ReasonsMissing
          limits={unreasoned}
          onGiven={() => {
            setAsking(false);
            void run.start(earlier);
          }}
          onCancel={() => setAsking(false)}
        />
      )}
      <RunProgress run={run} />
      {error !== undefined && (
        <ProblemNote problem={problemOf(error)}>
          <button className="btn btn-sm btn-quiet mt-1" onClick={() => void refetch()}>
            Try again
          </button>
        </ProblemNote>
      )}
      {database !== null && (
        <ToSettle
          problems={problems.filter(
            ({ line: key }) => !editing || key === undefined || key !== translated?.key,
          )}
          review={review}
          database={database}
          onMend={(key) => {
            const number = translation?.lines.find((each) => each.key === key)?.number;
            if (number === undefined) return;
            setChosen(number);
            setEditing(true);
          }}
        />
      )}
      {rehearsal !== undefined && lines.length === 0 && problems.length === 0 && (
        <p className="quiet">There is nothing to search yet.</p>
      )}
      {inAll && <InAll review={review} databases={databases} failed={failed} />}
      {database !== null && beside !== undefined && (
        <SideBySide reviewId={review.id} databases={[database, beside]} onCopy={copyText} />
      )}
      <div
        className={`grid gap-6 lg:grid-cols-[minmax(0,1.1fr)_minmax(0,1fr)] ${beside === undefined && !inAll ? '' : 'hidden'}`}
      >
        <div role="grid" aria-label="Lines">
          {lines.map((each, i) => {
            const lane = lanes.find(({ id }) => id === each.laneId);
            const before = lines[i - 1];
            const first =
              each.kind === 'limit'
                ? before?.kind !== 'limit'
                : each.kind !== 'lane' && before?.laneId !== each.laneId;
            return (
              <div key={each.number} role="row" onKeyDown={focusNeighbour}>
                {first && (
                  <div role="gridcell" className="flex items-center gap-2 pt-3 pb-1 font-bold">
                    {lane === undefined ? null : <ElementTile element={lane.element?.key ?? null} />}
                    {lane !== undefined ? lane.name : each.kind === 'limit' ? 'Limits' : 'All concepts'}
                  </div>
                )}
                <div role="gridcell">
                  <button
                    className={`rule flex w-full cursor-pointer items-baseline gap-3 border-b border-l-[3px] px-2 py-1.5 text-left ${
                      each.kind === 'term' ? '' : 'bg-base-300 font-bold'
                    } ${line?.number === each.number ? 'border-l-base-content' : 'border-l-transparent'}`}
                    aria-pressed={line?.number === each.number}
                    onClick={() => {
                      setChosen(each.number);
                      setEditing(false);
                    }}
                    onFocus={({ target }) => {
                      // By keys the lines are looked through one after the other.
                      if (target.matches(':focus-visible') && !editing) setChosen(each.number);
                    }}
                  >
                    <span className="quiet w-9 shrink-0 font-mono text-xs font-normal">L{each.number}</span>
                    <span className="line-clamp-3 min-w-0 flex-1 break-words" title={each.description}>
                      {translation?.lines.find(({ number }) => number === each.number)?.written != null && (
                        <PenLine className="mr-1 inline h-3.5 w-3.5" aria-label="Written by hand:" />
                      )}
                      {each.description}
                    </span>
                    <span className={isFetching ? 'quiet' : undefined}>
                      <Count hits={each.hits} error={each.error} />
                    </span>
                  </button>
                  {each.changes.length > 0 && (
                    <p className="quiet pl-14 text-xs first-letter:uppercase">{each.changes.join('; ')}</p>
                  )}
                  {each.error !== null && database?.reached !== 'hand' && (
                    <p className="problem pl-14 text-xs">{each.error}</p>
                  )}
                </div>
              </div>
            );
          })}
        </div>
        {line !== undefined && database !== null && (
          <LinePane
            key={editing ? `edit ${line.number}` : 'look'}
            reviewId={review.id}
            database={database}
            line={line}
            translation={translation}
            failed={translating.error}
            editing={editing}
            onEdit={setEditing}
            onAgain={() => void translating.refetch()}
            onCopy={copy}
            onEntered={() => {
              const next = lines.find(({ number, hits }) => number > line.number && hits === null);
              if (next !== undefined) setChosen(next.number);
            }}
          />
        )}
      </div>
    </div>
  );
}
