import type { DatabaseProfile } from '@even-lantern/contract';
import { Play, X } from 'lucide-react';
import { Link } from 'react-router';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { releaseText } from '../../parts/release.js';
import { goToChecks } from './checks/ChecksPane.js';
import type { RunHere } from './runs/useRunHere.js';
import type { ChosenLine } from './sheet/useChosenLine.js';
import type { SheetState } from './sheet/useSheet.js';
import { IN_ALL, type SheetPanes } from './useSheetPanes.js';

interface SearchesHeadProps {
  sheet: SheetState;
  chosen: ChosenLine;
  running: RunHere;
  panes: SheetPanes;
  others: readonly DatabaseProfile[];
  /** the database that is shown beside this one */
  beside: DatabaseProfile | null;
}

/** What can be done with the strategy as a whole. */
export function SearchesHead({ sheet, chosen, running, panes, others, beside }: SearchesHeadProps) {
  const { database, checks } = sheet;
  const { inAll, inVersions, showBeside, showPane } = panes;
  const { earlier } = running;
  const noLines = sheet.lines.length === 0;
  const openFindings = checks.findings?.filter(({ accepted }) => accepted === null).length;
  return (
    <div className="flex flex-wrap items-center justify-between gap-3">
      <div className="flex items-baseline gap-3">
        <h1 className="text-[1.0625rem] font-bold">Searches</h1>
        <p className="quiet">{sheet.rehearsing.isFetching && 'Counting …'}</p>
        <Link className="link" to="../databases" relative="path">
          Where to search
        </Link>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <button
          className="btn btn-primary"
          onClick={running.start}
          disabled={running.busy || database === null || noLines}
        >
          <Play className="h-4 w-4" aria-hidden="true" /> Run and log{' '}
          <kbd className="font-mono text-xs font-normal">R</kbd>
        </button>
        {others.length > 0 && (
          <button
            className="btn btn-quiet btn-sm"
            aria-expanded={running.inSeveral}
            onClick={running.toggleSeveral}
            disabled={noLines}
            title="Run and log in several databases, side by side"
          >
            In several <kbd className="font-mono text-xs font-normal">Shift R</kbd>
          </button>
        )}
        <button
          className="btn btn-quiet btn-sm"
          onClick={() => void chosen.addLine()}
          title="A line of your own"
        >
          Line <kbd className="font-mono text-xs font-normal">N</kbd>
        </button>
        <button
          className="btn btn-quiet btn-sm"
          aria-pressed={chosen.joining !== null}
          onClick={chosen.toggleJoining}
          disabled={noLines}
          title="Choose lines, and join them"
        >
          Join <kbd className="font-mono text-xs font-normal">J</kbd>
        </button>
        <button className="btn btn-quiet btn-sm" onClick={goToChecks} disabled={openFindings === undefined}>
          Checks {openFindings ?? '…'} <kbd className="font-mono text-xs font-normal">C</kbd>
        </button>
        <button
          className="btn btn-quiet btn-sm"
          aria-pressed={inVersions}
          onClick={() => showPane('versions', !inVersions)}
        >
          Versions <kbd className="font-mono text-xs font-normal">V</kbd>
        </button>
        {others.length > 0 && (
          <ChoiceMenu
            label="Another database beside this one"
            text={
              inAll
                ? 'Counts in all databases'
                : beside === null
                  ? 'Beside another database'
                  : `Beside ${beside.name}`
            }
            side="right"
            {...(beside === null ? {} : { chosen: beside.id })}
            choices={[
              { id: IN_ALL, name: 'Counts in all databases', detail: 'every line in each' },
              ...others.map(({ id, name, release }) => ({ id, name, detail: releaseText(release) })),
            ]}
            onChoose={showBeside}
          />
        )}
        {(beside !== null || inAll) && (
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
            onChoose={running.chooseRelease}
          />
        )}
      </div>
    </div>
  );
}
