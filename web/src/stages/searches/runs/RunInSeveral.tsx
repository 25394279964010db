import { counted, formatCount } from '@even-lantern/core';
import type { DatabaseProfile, StrategyTotal } from '@even-lantern/contract';
import { Play, X } from 'lucide-react';
import { useId, useState, type FormEvent } from 'react';
import { releaseText } from '../../../parts/release.js';
import { useFocusBack } from '../../../parts/useFocusBack.js';
import { databaseApi } from '../../../review/api/databaseApi.js';
import type { RunsState } from '../../../review/useRuns.js';

/** What searches are usually run for. */
const PURPOSES = [
  'First look',
  'Search of the review',
  'Update of the search',
  'Check against known records',
];

/** Chooses the databases in which the strategy is run, side by side, and says what for. */
export function RunInSeveral({
  reviewId,
  databases,
  totals,
  present,
  runs,
  onClose,
}: {
  reviewId: string;
  databases: readonly DatabaseProfile[];
  /** as the tabs show them, in the order of the databases */
  totals: readonly (StrategyTotal | undefined)[];
  /** the database whose sheet is shown */
  present: string | null;
  runs: RunsState;
  onClose: () => void;
}) {
  const { data: choices } = databaseApi.useDatabaseChoicesQuery(reviewId);
  // Where nobody chose yet, it is the databases that the review is to be searched in.
  const searched = choices?.flatMap(({ database, chosen }) => (chosen ? [database] : [])) ?? [];
  const [ticked, setTicked] = useState<string[] | null>(null);
  const kept = ticked ?? (searched.length > 0 ? searched : present === null ? [] : [present]);
  const [purpose, setPurpose] = useState('');
  const [note, setNote] = useState('');
  const listId = useId();
  useFocusBack('stage');
  const chosen = databases.filter(({ id }) => kept.includes(id));
  const start = async (event: FormEvent) => {
    event.preventDefault();
    if (chosen.length === 0) return;
    const started = await runs.startTogether({ databases: chosen.map(({ id }) => id), purpose, note });
    if (started) onClose();
  };
  return (
    <section
      aria-label="Run in several databases"
      className="rule bg-base-200 rounded border p-3"
      onKeyDown={(event) => {
        if (event.key === 'Escape') onClose();
      }}
    >
      <form className="flex flex-col gap-3" onSubmit={(event) => void start(event)}>
        <div className="flex items-baseline justify-between gap-3">
          <h2 className="font-bold">Run and log, side by side</h2>
          <button
            type="button"
            className="btn btn-ghost btn-xs btn-square"
            onClick={onClose}
            aria-label="Close"
          >
            <X className="h-4 w-4" />
          </button>
        </div>
        <fieldset className="flex flex-col">
          <legend className="sr-only">Databases</legend>
          {databases.map(({ id, name, release, state }, i) => {
            const total = totals[i];
            const problems = total?.problems.filter(({ aside }) => aside !== true).length ?? 0;
            return (
              <label
                key={id}
                className="rule flex cursor-pointer items-center gap-3 border-t py-1 first-of-type:border-t-0"
              >
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={kept.includes(id)}
                  autoFocus={i === 0}
                  onChange={({ target }) =>
                    setTicked(target.checked ? [...kept, id] : kept.filter((each) => each !== id))
                  }
                />
                <span className="flex-1">
                  {name} <span className="quiet">{releaseText(release)}</span>
                </span>
                {state === 'away' && <span className="problem">does not answer</span>}
                {runs.busyIn(id) && <span className="moved">running now</span>}
                {problems > 0 && <span className="text-warning">{problems} to settle</span>}
                <span className="count w-20 text-right">
                  {total?.remains.hits == null ? '–' : formatCount(total.remains.hits)}
                </span>
              </label>
            );
          })}
        </fieldset>
        <div className="grid gap-3 md:grid-cols-2">
          <label className="flex flex-col gap-1">
            <span className="small-head">What for (goes into the entry)</span>
            <input
              className="input input-sm w-full"
              value={purpose}
              list={listId}
              maxLength={200}
              onChange={({ target }) => setPurpose(target.value)}
            />
            <datalist id={listId}>
              {PURPOSES.map((each) => (
                <option key={each} value={each} />
              ))}
            </datalist>
          </label>
          <label className="flex flex-col gap-1">
            <span className="small-head">Note</span>
            <input
              className="input input-sm w-full"
              value={note}
              maxLength={4000}
              onChange={({ target }) => setNote(target.value)}
            />
          </label>
        </div>
        <div className="flex items-center gap-3">
          <button className="btn btn-primary btn-sm" disabled={chosen.length === 0}>
            <Play className="h-4 w-4" aria-hidden="true" /> Run in {counted(chosen.length, 'database')}
          </button>
          <span className="quiet">
            The program keeps the strategy as a version, so all of them run the same one, whatever anyone
            edits meanwhile.
          </span>
        </div>
      </form>
    </section>
  );
}
