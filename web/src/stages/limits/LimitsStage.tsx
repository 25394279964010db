import { LIMIT_KINDS } from '@even-lantern/core';
import { Plus, Undo2 } from 'lucide-react';
import { useRef } from 'react';
import { useSearchParams } from 'react-router';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { DatabaseStateNote } from '../../parts/DatabaseStateNote.js';
import { useKey } from '../../parts/keys/useKey.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { problemOf } from '../../review/api/api.js';
import { NoDatabase } from '../../review/NoDatabase.js';
import { useUndo } from '../../review/undo.js';
import { useDatabaseChoice } from '../../review/useDatabaseChoice.js';
import { useReview } from '../../review/useReview.js';
import { Evidence } from './evidence/Evidence.js';
import { InAllDatabases } from './InAllDatabases.js';
import { LimitInspector } from './inspector/LimitInspector.js';
import { EVIDENCE, IN_ALL, LimitTabs } from './LimitTabs.js';
import { Profile } from './Profile.js';
import { SavePicture } from './SavePicture.js';
import { useLimitsInHand, type LimitsInHand } from './useLimitsInHand.js';
import { useProfiles } from './useProfiles.js';

/** What each limit takes away, why it is there, and what it would be to have another. */
export function LimitsStage() {
  const { database } = useReview();
  const { databases, choose } = useDatabaseChoice();
  const [params, setParams] = useSearchParams();
  const inHand = useLimitsInHand();
  const { limits, selected, tried } = inHand;
  const { each, profile, error, stale } = useProfiles(tried);
  const view = params.get('view');
  const show = (id: string) => {
    if (id !== IN_ALL && id !== EVIDENCE) return choose(id, 'view');
    setParams(
      (before) => {
        before.set('view', id);
        return before;
      },
      { replace: true },
    );
  };
  useKey('limits.close', inHand.leave);

  return (
    <div className="flex h-full min-h-0">
      <div className="flex min-w-0 flex-1 flex-col gap-2 overflow-y-auto px-5 py-3">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <div className="flex items-baseline gap-3">
            <h1 className="text-[1.0625rem] font-bold">Limits</h1>
            <p className="quiet">What each one takes away, and why it is there.</p>
          </div>
          <div className="flex flex-wrap items-center gap-2">
            <Gathering inHand={inHand} />
            {profile !== undefined && limits.length > 0 && <SavePicture profile={profile} limits={limits} />}
          </div>
        </div>
        <NoDatabase />
        <LimitTabs each={each} chosen={view ?? database?.id ?? ''} onChoose={show} />
        {database !== null && view === null && <DatabaseStateNote database={database} />}
        {error !== undefined && <ProblemNote problem={problemOf(error)} />}
        {view === EVIDENCE ? (
          <Evidence
            databases={databases}
            tried={tried}
            onLimit={(values) => inHand.begin('design', values)}
          />
        ) : view === IN_ALL ? (
          <InAllDatabases limits={limits} databases={each} />
        ) : (
          <Profile inHand={inHand} profile={profile} stale={stale} />
        )}
        <BelowProfile inHand={inHand} />
      </div>
      {selected !== undefined && view === null && (
        <LimitInspector
          key={selected.limit.id}
          inHand={selected}
          profile={profile}
          elsewhere={each.filter(({ database: { id } }) => id !== database?.id)}
          tried={tried}
          problem={inHand.problem}
          onChange={(changed) => void inHand.change(selected, changed)}
          onKeep={() => selected.tried && void inHand.keep([selected.limit])}
          onRemove={() => inHand.remove(selected)}
          onClose={() => inHand.select(null)}
        />
      )}
    </div>
  );
}

/** Limits can be gathered, and applied and counted all at once. */
function Gathering({ inHand }: { inHand: LimitsInHand }) {
  if (!inHand.gathering) {
    return (
      <button className="btn btn-quiet btn-sm" onClick={inHand.gather}>
        Gather, then apply
      </button>
    );
  }
  return (
    <>
      <button
        className="btn btn-primary btn-sm"
        disabled={inHand.gathered === 0}
        onClick={inHand.applyGathered}
      >
        Apply all {inHand.gathered}
      </button>
      <button className="btn btn-quiet btn-sm" onClick={inHand.dropGathered}>
        Stop gathering
      </button>
    </>
  );
}

/** Adding a limit, and taking the last step back. */
function BelowProfile({ inHand }: { inHand: LimitsInHand }) {
  const { undoLast } = useUndo();
  const menu = useRef<HTMLDivElement>(null);
  useKey('limits.add', () => {
    const button = menu.current?.querySelector('button');
    button?.focus();
    button?.click();
  });
  return (
    <div className="flex flex-wrap items-center gap-2 pb-2 pl-4">
      <div ref={menu} className="flex items-center gap-1">
        <ChoiceMenu
          label="Add a limit"
          text="Add a limit"
          up={inHand.limits.length > 3}
          choices={LIMIT_KINDS.map(({ id, name, about }) => ({
            id,
            name,
            detail: about.split('. ')[0] ?? about,
          }))}
          onChoose={(kind) => inHand.begin(kind)}
        />
        <kbd className="quiet font-mono text-xs">N</kbd>
      </div>
      <button className="btn btn-quiet btn-sm" onClick={undoLast}>
        <Undo2 className="h-4 w-4" aria-hidden="true" /> Take the last step back{' '}
        <kbd className="font-mono text-xs font-normal">Ctrl Z</kbd>
      </button>
      {inHand.gathering && (
        <p className="quiet text-sm">
          <Plus className="inline h-3.5 w-3.5" aria-hidden="true" /> Gathering: these are not counted until
          you apply them.
        </p>
      )}
    </div>
  );
}
