import type { DatabaseProfile } from '@even-lantern/contract';
import { Play, X } from 'lucide-react';
import { Link } from 'react-router';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { releaseText } from '../../parts/release.js';

/** In place of another database beside this one: all of them. */
export const IN_ALL = 'all';

interface SearchesHeadProps {
  counting: boolean;
  database: DatabaseProfile | null;
  others: readonly DatabaseProfile[];
  /** the database that is shown beside this one */
  beside: DatabaseProfile | null;
  inAll: boolean;
  joining: boolean;
  noLines: boolean;
  /** null until they have been looked for */
  openFindings: number | null;
  inVersions: boolean;
  /** an earlier release that a run is made against */
  earlier: string | undefined;
  busy: boolean;
  choosing: boolean;
  onLine: () => void;
  onJoin: () => void;
  onChecks: () => void;
  onVersions: () => void;
  onBeside: (id: string | null) => void;
  onRelease: (release: string) => void;
  onRun: () => void;
  onRunInSeveral: () => void;
}

/** What can be done with the strategy as a whole. */
export function SearchesHead(props: SearchesHeadProps) {
  const { counting, database, others, beside, inAll, joining, noLines, openFindings, inVersions } = props;
  const {
    earlier,
    busy,
    choosing,
    onRunInSeveral,
    onLine,
    onJoin,
    onChecks,
    onVersions,
    onBeside,
    onRelease,
    onRun,
  } = props;
  return (
    <div className="flex flex-wrap items-center justify-between gap-3">
      <div className="flex items-baseline gap-3">
        <h1 className="text-[17px] font-bold">Searches</h1>
        <p className="quiet">{counting && 'Counting …'}</p>
        <Link className="link" to="../databases" relative="path">
          Where to search
        </Link>
      </div>
      <div className="flex flex-wrap items-center gap-2">
        <button className="btn btn-quiet btn-sm" onClick={onLine} title="A line of your own">
          Line <kbd className="font-mono text-xs font-normal">N</kbd>
        </button>
        <button
          className="btn btn-quiet btn-sm"
          aria-pressed={joining}
          onClick={onJoin}
          disabled={noLines}
          title="Choose lines, and join them"
        >
          Join <kbd className="font-mono text-xs font-normal">J</kbd>
        </button>
        <button className="btn btn-quiet btn-sm" onClick={onChecks} disabled={openFindings === null}>
          Checks {openFindings ?? '…'} <kbd className="font-mono text-xs font-normal">C</kbd>
        </button>
        <button className="btn btn-quiet btn-sm" aria-pressed={inVersions} onClick={onVersions}>
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
            onChoose={onBeside}
          />
        )}
        {(beside !== null || inAll) && (
          <button className="btn btn-quiet btn-sm" onClick={() => onBeside(null)}>
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
            onChoose={onRelease}
          />
        )}
        <button className="btn btn-primary" onClick={onRun} disabled={busy || database === null || noLines}>
          <Play className="h-4 w-4" aria-hidden="true" /> Run and log{' '}
          <kbd className="font-mono text-xs font-normal">R</kbd>
        </button>
        {others.length > 0 && (
          <button
            className="btn btn-quiet btn-sm"
            aria-expanded={choosing}
            onClick={onRunInSeveral}
            disabled={noLines}
            title="Run and log in several databases, side by side"
          >
            In several <kbd className="font-mono text-xs font-normal">Shift R</kbd>
          </button>
        )}
      </div>
    </div>
  );
}
