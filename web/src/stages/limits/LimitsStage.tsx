import { formatCount, LIMIT_KINDS, limitFindings, limitKind, type Limit } from '@even-lantern/core';
import type { DatabaseProfile, LimitChange, LimitProfile, Problem } from '@even-lantern/contract';
import { Plus, Undo2 } from 'lucide-react';
import { useRef, useState, type ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { problemOf } from '../../review/api/api.js';
import { useUndo } from '../../review/undo.js';
import { useDatabaseChoice } from '../../review/useDatabaseChoice.js';
import { useEachProfile } from '../../review/useEach.js';
import { useReview } from '../../review/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { Count } from '../../parts/Count.js';
import { DatabaseStateNote } from '../../parts/DatabaseStateNote.js';
import { SortableList, SortableRow } from '../../parts/Sortable.js';
import { useKey } from '../../parts/keys/useKey.js';
import { focusNeighbour } from '../../parts/keys/focusNeighbour.js';
import { NoDatabase } from '../../review/NoDatabase.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { Evidence } from './Evidence.js';
import { InAllDatabases } from './InAllDatabases.js';
import { LimitInspector } from './LimitInspector.js';
import { LimitRow } from './LimitRow.js';
import { asTried, firstValues, isFilled, type Draft, type LimitInHand } from './limitInHand.js';
import { SavePicture } from './SavePicture.js';
import { useDrafts } from './useDrafts.js';
import { useEditsUnderWay } from '../../review/useEditsUnderWay.js';
import { useLimitEdits } from '../../review/useLimitEdits.js';

const IN_ALL = 'all';
const EVIDENCE = 'evidence';

/** What each limit takes away, why it is there, and what it would be to have another. */
export function LimitsStage() {
  const { review, database } = useReview();
  const { databases, choose } = useDatabaseChoice();
  const { undoLast } = useUndo();
  const edits = useLimitEdits();
  const [params, setParams] = useSearchParams();
  const { drafts, gathering, setDrafts, setGathering } = useDrafts(review.id);
  const [problem, setProblem] = useState<Problem | null>(null);
  const [thisYear] = useState(() => new Date().getFullYear());
  const menu = useRef<HTMLDivElement>(null);
  const view = params.get('view');
  const inAll = view === IN_ALL;

  const inHand: LimitInHand[] = [
    ...review.limits.map((limit): LimitInHand => ({ tried: false, limit })),
    ...drafts.map((limit): LimitInHand => ({ tried: true, limit })),
  ];
  const tried = gathering ? undefined : asTried(review.limits, drafts);
  const answers = useEachProfile(
    review.id,
    databases.map(({ id }) => id),
    tried,
  );
  const last = useRef(new Map<string, LimitProfile>());
  const each = databases.map((one, i) => {
    // While new counts come, the last ones stay.
    const profile = answers[i]?.data;
    if (profile !== undefined) last.current.set(one.id, profile);
    return { database: one, profile: profile ?? last.current.get(one.id) };
  });
  const at = databases.findIndex(({ id }) => id === database?.id);
  const answer = answers[at];
  const profile = each[at]?.profile;
  const editsUnderWay = useEditsUnderWay();
  const stale = editsUnderWay || answer?.isLoading === true || answer?.data === undefined;
  const selected = inHand.find(({ limit }) => limit.id === params.get('limit'));
  const findings = limitFindings(
    inHand.map(({ limit }): Limit => limit),
    thisYear,
  );

  const set = (name: string, value: string | null) =>
    setParams(
      (before) => {
        if (value === null) before.delete(name);
        else before.set(name, value);
        return before;
      },
      { replace: true },
    );
  const select = (id: string | null) => {
    setProblem(null);
    set('limit', id);
  };
  const begin = (kind: string, values = firstValues(kind, thisYear)) => {
    const id = `tried-${crypto.randomUUID()}`;
    setDrafts((now) => [...now, { id, kind, values, on: true, ways: {}, reason: '' }]);
    setProblem(null);
    setParams(
      (before) => {
        before.set('limit', id);
        before.delete('view');
        return before;
      },
      { replace: true },
    );
  };
  const drop = (id: string) => {
    setDrafts((now) => now.filter((draft) => draft.id !== id));
    select(null);
  };
  const keep = async (wanted: readonly Draft[]) => {
    const filled = wanted.filter(isFilled);
    if (filled.length === 0) {
      setProblem({
        type: '',
        status: 0,
        title: 'Nothing is chosen yet.',
        detail: 'Choose at least one value.',
      });
      return;
    }
    const added = await edits.add(filled.map(({ id: _id, ...limit }) => limit));
    if (added === null) return;
    setDrafts((now) => now.filter((draft) => !filled.includes(draft)));
    setGathering(false);
    select(filled.length === 1 ? (added[0]?.id ?? null) : null);
  };
  const change = async ({ tried: isDraft, limit }: LimitInHand, changed: LimitChange) => {
    setProblem(null);
    if (isDraft) {
      const { removed: _removed, before: _before, ...rest } = changed;
      setDrafts((now) => now.map((draft) => (draft.id === limit.id ? { ...draft, ...rest } : draft)));
    } else setProblem(await edits.change(limit, changed));
  };
  const remove = ({ tried: isDraft, limit }: LimitInHand) => {
    if (isDraft) drop(limit.id);
    else {
      select(null);
      void edits.remove(limit);
    }
  };
  const move = ({ tried: isDraft, limit }: LimitInHand, by: -1 | 1) => {
    if (isDraft) return;
    const i = review.limits.findIndex(({ id }) => id === limit.id);
    const before = by === -1 ? review.limits[i - 1] : review.limits[i + 2];
    void edits.change(limit, { before: before?.id ?? null });
  };

  useKey('limits.add', () => {
    const button = menu.current?.querySelector('button');
    button?.focus();
    button?.click();
  });
  useKey('limits.close', () => {
    if (selected?.tried === true && !gathering) drop(selected.limit.id);
    else select(null);
  });

  const filled = drafts.filter(isFilled).length;
  return (
    <div className="flex h-full min-h-0">
      <div className="flex min-w-0 flex-1 flex-col gap-2 overflow-y-auto px-5 py-3">
        <div className="flex flex-wrap items-center justify-between gap-3">
          <div className="flex items-baseline gap-3">
            <h1 className="text-[17px] font-bold">Limits</h1>
            <p className="quiet">What each one takes away, and why it is there.</p>
          </div>
          <div className="flex flex-wrap items-center gap-2">
            {gathering ? (
              <>
                <button
                  className="btn btn-primary btn-sm"
                  disabled={filled === 0}
                  onClick={() => void keep(drafts)}
                >
                  Apply all {filled}
                </button>
                <button
                  className="btn btn-quiet btn-sm"
                  onClick={() => {
                    setDrafts(() => []);
                    setGathering(false);
                    select(null);
                  }}
                >
                  Stop gathering
                </button>
              </>
            ) : (
              <button className="btn btn-quiet btn-sm" onClick={() => setGathering(true)}>
                Gather, then apply
              </button>
            )}
            {profile !== undefined && inHand.length > 0 && <SavePicture profile={profile} limits={inHand} />}
          </div>
        </div>
        <NoDatabase />
        <Tabs
          each={each}
          chosen={view ?? database?.id ?? ''}
          onChoose={(id) => {
            if (id === IN_ALL || id === EVIDENCE) set('view', id);
            else choose(id, 'view');
          }}
        />
        {database !== null && view === null && <DatabaseStateNote database={database} />}
        {answer?.error !== undefined && <ProblemNote problem={problemOf(answer.error)} />}
        {view === EVIDENCE ? (
          <Evidence databases={databases} tried={tried} onLimit={(values) => begin('design', values)} />
        ) : inAll ? (
          <InAllDatabases limits={inHand} databases={each} />
        ) : (
          <>
            <div className="rule flex items-baseline gap-3 border-b py-1 pr-2 pl-4">
              <p className="min-w-0 flex-1">
                <b>All concepts</b> <span className="quiet">before any limit</span>
              </p>
              <span className="w-24 text-right text-[15px] font-bold">
                <Count hits={profile?.before.hits ?? null} error={profile?.before.error ?? null} />
              </span>
              <span className="w-8" />
            </div>
            {profile !== undefined && profile.before.hits === null && profile.before.error === null && (
              <p className="quiet">
                There is nothing to search yet, so nothing can be counted. Limits you set now apply as soon as{' '}
                <Link className="link" to="../concepts" relative="path">
                  a lane has a term
                </Link>
                .
              </p>
            )}
            <SortableList
              ids={review.limits.map(({ id }) => id)}
              onMove={(id, before) => {
                const limit = review.limits.find((each) => each.id === id);
                if (limit !== undefined) void edits.change(limit, { before });
              }}
            >
              <div>
                {inHand.map((one, i) => {
                  const row = (grip: ReactNode) => (
                    <LimitRow
                      inHand={one}
                      step={profile?.steps.find(({ limitId }) => limitId === one.limit.id)}
                      before={profile?.before.hits ?? null}
                      stale={stale}
                      selected={selected?.limit.id === one.limit.id}
                      finding={findings.find(({ limitId }) => limitId === one.limit.id)?.message}
                      grip={grip}
                      canMove={{ up: !one.tried && i > 0, down: !one.tried && i < review.limits.length - 1 }}
                      onSelect={() => select(one.limit.id)}
                      onSwitch={() => void change(one, { on: !one.limit.on })}
                      onWordsToo={() =>
                        database !== null &&
                        void change(one, { ways: { ...one.limit.ways, [database.id]: 'either' } })
                      }
                      onMove={(by) => move(one, by)}
                      onRemove={() => remove(one)}
                    />
                  );
                  return (
                    <div key={one.limit.id} onKeyDown={focusNeighbour}>
                      {one.tried ? (
                        row(null)
                      ) : (
                        <SortableRow id={one.limit.id} name={limitKind(one.limit.kind).name}>
                          {row}
                        </SortableRow>
                      )}
                    </div>
                  );
                })}
              </div>
            </SortableList>
            {inHand.length === 0 && (
              <p className="quiet max-w-[46rem] py-2">
                There are no limits. A limit can throw away what you want, so each one shows what it takes and
                why it is there. Try one: nothing is kept until you say so.
              </p>
            )}
            <div className="flex items-baseline gap-3 py-1 pr-2 pl-4">
              <p className="min-w-0 flex-1">
                <b>What remains</b>{' '}
                <span className="quiet">
                  {profile?.before.hits != null && `of ${formatCount(profile.before.hits)}`}
                  {reasonsText(review.limits)}
                </span>
              </p>
              <b className="w-24 text-right text-[19px]" aria-live="polite" data-testid="remains">
                <Count hits={profile?.remains.hits ?? null} error={profile?.remains.error ?? null} />
              </b>
              <span className="w-8" />
            </div>
          </>
        )}
        <div className="flex flex-wrap items-center gap-2 pb-2 pl-4">
          <div ref={menu} className="flex items-center gap-1">
            <ChoiceMenu
              label="Add a limit"
              text="Add a limit"
              up={inHand.length > 3}
              choices={LIMIT_KINDS.map(({ id, name, about }) => ({
                id,
                name,
                detail: about.split('. ')[0] ?? about,
              }))}
              onChoose={(kind) => begin(kind)}
            />
            <kbd className="quiet font-mono text-xs">N</kbd>
          </div>
          <button className="btn btn-quiet btn-sm" onClick={undoLast}>
            <Undo2 className="h-4 w-4" aria-hidden="true" /> Take the last step back{' '}
            <kbd className="font-mono text-xs font-normal">Ctrl Z</kbd>
          </button>
          {gathering && (
            <p className="quiet text-sm">
              <Plus className="inline h-3.5 w-3.5" aria-hidden="true" /> Gathering: these are not counted
              until you apply them.
            </p>
          )}
        </div>
      </div>
      {selected !== undefined && view === null && (
        <LimitInspector
          key={selected.limit.id}
          inHand={selected}
          profile={profile}
          elsewhere={each.filter(({ database: { id } }) => id !== database?.id)}
          tried={tried}
          problem={problem}
          onChange={(changed) => void change(selected, changed)}
          onKeep={() => selected.tried && void keep([selected.limit])}
          onRemove={() => remove(selected)}
          onClose={() => select(null)}
        />
      )}
    </div>
  );
}

function reasonsText(limits: readonly Limit[]): string {
  const on = limits.filter((limit) => limit.on);
  if (on.length === 0) return '';
  const without = on.filter(({ reason }) => reason === '').length;
  const number = on.length === 1 ? '1 limit' : `${on.length} limits`;
  return without === 0
    ? `; ${number}, ${on.length === 1 ? 'with its reason' : 'each with its reason'}`
    : `; ${number}, ${without} without a reason`;
}

function Tabs({
  each,
  chosen,
  onChoose,
}: {
  each: readonly { database: DatabaseProfile; profile: LimitProfile | undefined }[];
  chosen: string;
  onChoose: (id: string) => void;
}) {
  const tab = (id: string, name: string, number: React.ReactNode) => (
    <button
      key={id}
      role="tab"
      aria-selected={chosen === id}
      className={`-mb-px cursor-pointer border-b-2 px-2 py-1.5 whitespace-nowrap ${
        chosen === id ? 'border-base-content font-bold' : 'border-transparent'
      }`}
      onClick={() => onChoose(id)}
    >
      {name} {number}
    </button>
  );
  return (
    <div
      role="tablist"
      aria-label="Databases"
      className="rule flex shrink-0 overflow-x-auto overflow-y-hidden border-b"
    >
      {each.map(({ database: { id, name }, profile }) =>
        tab(
          id,
          name.split(' ')[0] ?? name,
          <span className="quiet count font-normal">
            {profile?.remains.hits == null ? '…' : formatCount(profile.remains.hits)}
          </span>,
        ),
      )}
      {tab(IN_ALL, 'All side by side', null)}
      {tab(EVIDENCE, 'Evidence at hand', null)}
    </div>
  );
}
