import {
  foundLine,
  joinedText,
  lineKeyOf,
  ownKey,
  reference,
  type LineKey,
  type OwnLineRole,
} from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { useMemo, useState } from 'react';
import { useKey } from '../../parts/keys/useKey.js';
import { problemOf } from '../../review/api/api.js';
import { strategyApi } from '../../review/api/strategyApi.js';
import { databaseApi } from '../../review/api/databaseApi.js';
import { ownLineApi } from '../../review/api/ownLineApi.js';
import { useDatabaseChoice } from '../../review/useDatabaseChoice.js';
import { useEachTotal } from '../../review/useEach.js';
import { useOwnLineEdits } from '../../review/useOwnLineEdits.js';
import { useRehearsal } from '../../review/useRehearsal.js';
import { useReview } from '../../review/useReview.js';
import { copyText } from '../../parts/copyText.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { NoDatabase } from '../../review/NoDatabase.js';
import { ChecksPane } from './checks/ChecksPane.js';
import { byPlace, useChecks } from './checks/useChecks.js';
import { useMend } from './checks/useMend.js';
import { Bearing } from './effects/Bearing.js';
import { Falls } from './effects/Falls.js';
import { InAll } from './InAll.js';
import { LinePane } from './LinePane.js';
import { ReasonsMissing } from './ReasonsMissing.js';
import { PasteStrategy } from './paste/PasteStrategy.js';
import { lineInHand } from './peerReview/lineInHand.js';
import { PeerReviewPane } from './peerReview/PeerReviewPane.js';
import { useOpenComments } from './peerReview/useOpenComments.js';
import { RunInSeveral } from './runs/RunInSeveral.js';
import { RunProgress } from '../../review/RunProgress.js';
import { useRuns } from '../../review/useRuns.js';
import { JoinLines } from './sheet/JoinLines.js';
import { OwnLinePane } from './sheet/OwnLinePane.js';
import { Sheet } from './sheet/Sheet.js';
import { useBroughtIntoSight } from './sheet/useBroughtIntoSight.js';
import { useOwnLineKeys } from './sheet/useOwnLineKeys.js';
import { lineNames, rowsOf } from './lines/sheetLines.js';
import { SearchesHead } from './SearchesHead.js';
import { SheetBar } from './SheetBar.js';
import { SideBySide } from './SideBySide.js';
import { RationedNote } from '../../review/RationedNote.js';
import { ToSettle } from './ToSettle.js';
import { useSheetPanes } from './useSheetPanes.js';
import { VersionsPane } from './versions/VersionsPane.js';

const NONE: DatabaseProfile[] = [];

/** The numbered lines with their counts, the string as the database gets it, and the run for the record. */
export function SearchesStage() {
  const { review, database } = useReview();
  const { data: rehearsal, error, isFetching, refetch } = useRehearsal();
  const runs = useRuns(review.id);
  const translating = strategyApi.useTranslationQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null },
  );
  const translation = translating.data?.database === database?.id ? translating.data : undefined;
  const { databases = NONE, failed = [] } = databaseApi.useDatabasesQuery().data ?? {};
  const { choose } = useDatabaseChoice();
  const others = databases.filter(({ id }) => id !== database?.id);
  const { inVersions, inPeerReview, inAll, showPane, showBeside, ...panes } = useSheetPanes();
  const beside = others.find(({ id }) => id === panes.beside);
  const [chosen, setChosen] = useState<LineKey | null>(null);
  const [editing, setEditing] = useState(false);
  const [joining, setJoining] = useState<LineKey[] | null>(null);
  const [leaving, setLeaving] = useState<string | null>(null);
  const [asked, setAsked] = useState<{ database: string; release: string } | null>(null);
  // What was chosen for one database says nothing of another.
  const earlier =
    asked !== null && asked.database === database?.id && asked.release !== database.release
      ? asked.release
      : undefined;
  const { ownLines } = review;
  const lines = rehearsal?.lines ?? [];
  const own = ownLines.find(({ id }) => ownKey(id) === chosen);
  const line =
    lines.find((each) => lineKeyOf(each) === chosen) ??
    (own === undefined ? (foundLine(lines) ?? lines.at(-1)) : undefined);
  const selected = own !== undefined ? ownKey(own.id) : line === undefined ? null : lineKeyOf(line);
  // A line that was chosen and is not there yet is no reason to write in another one.
  const writing = editing && (chosen === null || selected === chosen);
  const problems = rehearsal?.problems ?? [];
  const translated = translation?.lines.find(({ key }) => key === selected);
  const written = new Set(translation?.lines.flatMap(({ key, written: by }) => (by === null ? [] : [key])));
  const edits = useOwnLineEdits();
  const totals = useEachTotal(
    review.id,
    databases.map(({ id }) => id),
  );
  const [allEffects, setAllEffects] = useState(false);
  const {
    data: told,
    isFetching: countingEffects,
    refetch: countEffectsOn,
  } = ownLineApi.useEffectsQuery(
    { review: review.id, database: database?.id ?? '', all: allEffects },
    { skip: database === null || rehearsal === undefined },
  );
  const effects = told?.database === database?.id ? told : undefined;
  const elsewhere = useMemo(
    () =>
      databases.flatMap((each, i) =>
        each.id === database?.id ? [] : [{ database: each, total: totals[i]?.data }],
      ),
    [databases, totals, database?.id],
  );
  const checks = useChecks({ review, database, rehearsal, translation, effects, elsewhere });
  const rowOf = useMemo(() => rowsOf(review, rehearsal), [review, rehearsal]);
  const findings = useMemo(() => byPlace(checks.findings, rowOf), [checks.findings, rowOf]);
  const openFindings = checks.findings?.filter(({ accepted }) => accepted === null).length ?? 0;
  const mend = useMend();
  const openComments = useOpenComments(review.id);
  const [asking, setAsking] = useState(false);
  const [pasting, setPasting] = useState(false);
  const [choosing, setChoosing] = useState(false);
  const busy = database !== null && runs.busyIn(database.id);
  const runHere = async () => {
    if (database === null) return;
    await runs.start({ database: database.id, ...(earlier === undefined ? {} : { release: earlier }) });
  };
  const unreasoned = review.limits.filter(
    ({ id, on, reason }) => on && reason === '' && lines.some(({ limitId }) => limitId === id),
  );
  const start = () => {
    if (busy) return;
    if (unreasoned.length > 0) setAsking(true);
    else void runHere();
  };
  const copyString = (text: string, name: string) => {
    copyText(text, `Copied ${name}.`, 'Select the string and copy it by hand.');
  };
  const copy = () => {
    if (translated !== undefined) copyString(translated.sent, `the string of L${translated.number}`);
  };
  const show = useBroughtIntoSight(ownLines);
  const select = (key: LineKey, write = false) => {
    setChosen(key);
    setEditing(write);
    setLeaving(null);
  };
  const goTo = (key: LineKey) => {
    select(rowOf(key));
    show(rowOf(key));
  };
  /** What was selected is not there any more. */
  const leaveLine = () => {
    setChosen(null);
    setEditing(false);
    setLeaving(null);
  };
  const addLine = async (text = '', role: OwnLineRole = 'looks') => {
    const line = await edits.add({ role, text, note: '' });
    if (line === null) return;
    select(ownKey(line.id), text === '');
    show(ownKey(line.id));
  };
  const join = (operator: 'and' | 'or' | 'not') => {
    const inOrder = lines.map(lineKeyOf).filter((key) => joining?.includes(key));
    // The first that was chosen is what others are taken from.
    const keys = operator === 'not' ? (joining ?? []) : inOrder;
    setJoining(null);
    void addLine(joinedText(keys, operator));
  };
  const names = lineNames(lines);
  const ownKeys = useOwnLineKeys({
    names,
    onLeave: ({ id }) => setLeaving(id),
    onRemoved: leaveLine,
  });
  useKey('searches.run', start);
  useKey('searches.run-several', () => setChoosing(!choosing));
  useKey('searches.write', () => void addLine());
  useKey('searches.join', () => setJoining(joining === null ? [] : null));
  useKey('searches.leave', () => setJoining(null));
  const goToChecks = () => {
    const head = document.getElementById('checks');
    head?.scrollIntoView({ block: 'start' });
    (head?.parentElement?.querySelector('button') ?? head)?.focus();
  };
  useKey('searches.checks', goToChecks);
  useKey('searches.versions', () => showPane('versions', !inVersions));
  useKey('searches.peer-review', () => showPane('peer-review', !inPeerReview));
  useKey('searches.copy', copy, { enabled: beside === undefined && !inAll });
  useKey('searches.edit', () => setEditing(true));

  return (
    <div className="flex flex-col gap-3 px-5 py-3">
      <SearchesHead
        counting={isFetching}
        database={database}
        others={others}
        beside={beside ?? null}
        inAll={inAll}
        joining={joining !== null}
        noLines={lines.length === 0}
        openFindings={checks.findings === null ? null : openFindings}
        inVersions={inVersions}
        earlier={earlier}
        busy={busy}
        choosing={choosing}
        onLine={() => void addLine()}
        onJoin={() => setJoining(joining === null ? [] : null)}
        onChecks={goToChecks}
        onVersions={() => showPane('versions', !inVersions)}
        onBeside={showBeside}
        onRelease={(release) => {
          if (database !== null) setAsked({ database: database.id, release });
        }}
        onRun={start}
        onRunInSeveral={() => setChoosing(!choosing)}
      />
      {databases.length > 0 && (
        <SheetBar
          databases={databases}
          totals={totals.map(({ data }) => data)}
          database={database}
          onChoose={(id) => choose(id)}
          inPeerReview={inPeerReview}
          openComments={openComments}
          onPeerReview={() => showPane('peer-review', !inPeerReview)}
          onPaste={() => setPasting(true)}
        />
      )}
      <NoDatabase />
      {pasting && <PasteStrategy databases={databases} onClose={() => setPasting(false)} />}
      {asking && unreasoned.length > 0 && (
        <ReasonsMissing
          limits={unreasoned}
          onGiven={() => {
            setAsking(false);
            void runHere();
          }}
          onCancel={() => setAsking(false)}
        />
      )}
      {choosing && (
        <RunInSeveral
          reviewId={review.id}
          databases={databases}
          totals={totals.map(({ data }) => data)}
          present={database?.id ?? null}
          runs={runs}
          onClose={() => setChoosing(false)}
        />
      )}
      <RunProgress runs={runs} databases={databases} onOpen={choose} />
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
            ({ line: key }) => !writing || key === undefined || key !== translated?.key,
          )}
          review={review}
          database={database}
          onMend={(key) => {
            select(key, true);
          }}
        />
      )}
      {rehearsal !== undefined && lines.length === 0 && problems.length === 0 && ownLines.length === 0 && (
        <p className="quiet">There is nothing to search yet.</p>
      )}
      {inAll && <InAll review={review} databases={databases} failed={failed} />}
      {database !== null && beside !== undefined && (
        <SideBySide reviewId={review.id} databases={[database, beside]} onCopy={copyString} />
      )}
      {joining !== null && (
        <JoinLines count={joining.length} onJoin={join} onCancel={() => setJoining(null)} />
      )}
      {database !== null && (
        <RationedNote
          database={database}
          parts={[
            { left: rehearsal?.uncounted, isFetching, refetch },
            { left: translation?.unasked, isFetching: translating.isFetching, refetch: translating.refetch },
            { left: effects?.unasked, isFetching: countingEffects, refetch: countEffectsOn },
          ]}
        />
      )}
      <div
        className={`grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)] ${beside === undefined && !inAll ? '' : 'hidden'}`}
      >
        {rehearsal !== undefined && (
          <Sheet
            review={review}
            rehearsal={rehearsal}
            effects={effects}
            written={written}
            selected={selected}
            stale={isFetching}
            chosen={joining}
            findings={findings}
            comments={openComments}
            byHand={database?.reached === 'hand'}
            countingEffects={countingEffects}
            onCountAll={() => setAllEffects(true)}
            onMend={mend}
            onSelect={(key) => {
              if (key !== selected) select(key);
            }}
            onChoose={(key) =>
              setJoining((before) =>
                before === null || before.includes(key)
                  ? (before?.filter((each) => each !== key) ?? null)
                  : [...before, key],
              )
            }
            onOwnKey={ownKeys}
          />
        )}
        {database !== null && (selected !== null || inVersions || inPeerReview) && (
          <div className="flex flex-col gap-4 lg:sticky lg:top-3 lg:max-h-[calc(100vh-7rem)] lg:self-start lg:overflow-auto lg:p-1">
            {inVersions && (
              <VersionsPane database={database} names={names} onClose={() => showPane('versions', false)} />
            )}
            {inPeerReview && (
              <PeerReviewPane
                line={lineInHand(own, line, names)}
                nameOf={(key) => {
                  const number = names.numberOf(rowOf(key as LineKey));
                  return number === null ? null : `L${number}`;
                }}
                onGo={goTo}
                onVersions={() => showPane('versions', true)}
                onClose={() => showPane('peer-review', false)}
              />
            )}
            {own !== undefined && (
              <OwnLinePane
                key={own.id}
                own={own}
                ownLines={ownLines}
                lines={lines}
                database={database}
                writing={writing}
                leaving={leaving === own.id}
                onLeave={() => setLeaving(own.id)}
                onStay={() => setLeaving(null)}
                onRemoved={leaveLine}
              />
            )}
            {line !== undefined && (
              <LinePane
                key={writing && own === undefined ? `edit ${selected}` : `look ${selected}`}
                reviewId={review.id}
                database={database}
                line={line}
                term={review.lanes.flatMap(({ terms }) => terms).find(({ id }) => id === line.termId) ?? null}
                translation={translation}
                failed={translating.error}
                editing={writing && own === undefined}
                onEdit={setEditing}
                onAgain={() => void translating.refetch()}
                onCopy={copy}
                onLeaveOut={
                  line.kind === 'term' ? () => void addLine(reference(lineKeyOf(line)), 'leavesOut') : null
                }
                onEntered={() => {
                  const next = lines.find(({ number, hits }) => number > line.number && hits === null);
                  if (next !== undefined) setChosen(lineKeyOf(next));
                }}
              />
            )}
            <ChecksPane
              checks={checks}
              names={{ ...names, numberOf: (key) => names.numberOf(rowOf(key)) }}
              selected={selected}
              onGo={goTo}
              onMend={mend}
            />
            {effects !== undefined && (
              <Falls review={review} database={database} effects={effects} names={names} />
            )}
            {rehearsal !== undefined && (
              <Bearing
                key={review.id}
                review={review}
                database={database}
                rehearsal={rehearsal}
                onMend={mend}
              />
            )}
          </div>
        )}
      </div>
    </div>
  );
}
