import { useMemo, useState } from 'react';
import { copyText } from '../../parts/copyText.js';
import { useKey } from '../../parts/keys/useKey.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { problemOf } from '../../review/api/api.js';
import { NoDatabase } from '../../review/NoDatabase.js';
import { RationedNote } from '../../review/RationedNote.js';
import { useDatabaseChoice } from '../../review/useDatabaseChoice.js';
import { BesideSheet } from './BesideSheet.js';
import { goToChecks } from './checks/ChecksPane.js';
import { byPlace } from './checks/useChecks.js';
import { useMend } from './checks/useMend.js';
import { InAll } from './InAll.js';
import { PasteStrategy } from './paste/PasteStrategy.js';
import { useOpenComments } from './peerReview/useOpenComments.js';
import { RunPanels } from './runs/RunPanels.js';
import { useRunHere } from './runs/useRunHere.js';
import { SearchesHead } from './SearchesHead.js';
import { JoinLines } from './sheet/JoinLines.js';
import { Sheet } from './sheet/Sheet.js';
import { useChosenLine } from './sheet/useChosenLine.js';
import { useOwnLineKeys } from './sheet/useOwnLineKeys.js';
import { useSheet, writtenLines } from './sheet/useSheet.js';
import { SheetBar } from './SheetBar.js';
import { SideBySide } from './SideBySide.js';
import { ToSettle } from './ToSettle.js';
import { useSheetPanes } from './useSheetPanes.js';

/** The numbered lines with their counts, the string as the database gets it, and the run for the record. */
export function SearchesStage() {
  const sheet = useSheet();
  const { review, database, databases, rehearsal, rehearsing, lines, names, translation, checks } = sheet;
  const { choose } = useDatabaseChoice();
  const panes = useSheetPanes();
  const chosen = useChosenLine(sheet);
  const running = useRunHere(sheet);
  const [pasting, setPasting] = useState(false);
  const mend = useMend();
  const openComments = useOpenComments(review.id);
  const findings = useMemo(() => byPlace(checks.findings, sheet.rowOf), [checks.findings, sheet.rowOf]);
  const ownKeys = useOwnLineKeys({
    names,
    onLeave: ({ id }) => chosen.setLeaving(id),
    onRemoved: chosen.gone,
  });
  const others = databases.filter(({ id }) => id !== database?.id);
  const beside = others.find(({ id }) => id === panes.beside);
  const sheetShown = beside === undefined && !panes.inAll;
  const problems = rehearsal?.problems ?? [];
  const translated = translation?.lines.find(({ key }) => key === chosen.selected);
  const copyString = (text: string, name: string) => {
    copyText(text, `Copied ${name}.`, 'Select the string and copy it by hand.');
  };
  const copy = () => {
    if (translated !== undefined) copyString(translated.sent, `the string of L${translated.number}`);
  };
  useKey('searches.run', running.start);
  useKey('searches.run-several', running.toggleSeveral);
  useKey('searches.write', () => void chosen.addLine());
  useKey('searches.join', chosen.toggleJoining);
  useKey('searches.leave', () => chosen.setJoining(null));
  useKey('searches.checks', goToChecks);
  useKey('searches.versions', () => panes.showPane('versions', !panes.inVersions));
  useKey('searches.peer-review', () => panes.showPane('peer-review', !panes.inPeerReview));
  useKey('searches.copy', copy, { enabled: sheetShown });
  useKey('searches.edit', () => chosen.setEditing(true));

  return (
    <div className="flex flex-col gap-3 px-5 py-3">
      <SearchesHead
        sheet={sheet}
        chosen={chosen}
        running={running}
        panes={panes}
        others={others}
        beside={beside ?? null}
      />
      {databases.length > 0 && (
        <SheetBar
          databases={databases}
          totals={sheet.totals}
          database={database}
          onChoose={choose}
          inPeerReview={panes.inPeerReview}
          openComments={openComments}
          onPeerReview={() => panes.showPane('peer-review', !panes.inPeerReview)}
          onPaste={() => setPasting(true)}
        />
      )}
      <NoDatabase />
      {pasting && <PasteStrategy databases={databases} onClose={() => setPasting(false)} />}
      <RunPanels sheet={sheet} running={running} />
      {rehearsing.error !== undefined && (
        <ProblemNote problem={problemOf(rehearsing.error)}>
          <button className="btn btn-sm btn-quiet mt-1" onClick={() => void rehearsing.refetch()}>
            Try again
          </button>
        </ProblemNote>
      )}
      {database !== null && (
        <ToSettle
          problems={problems.filter(
            ({ line: key }) => !chosen.editing || key === undefined || key !== translated?.key,
          )}
          review={review}
          database={database}
          onMend={(key) => chosen.select(key, true)}
        />
      )}
      {rehearsal !== undefined && [lines, problems, review.ownLines].every(({ length }) => length === 0) && (
        <p className="quiet">There is nothing to search yet.</p>
      )}
      {panes.inAll && <InAll review={review} databases={databases} failed={sheet.failed} />}
      {database !== null && beside !== undefined && (
        <SideBySide reviewId={review.id} databases={[database, beside]} onCopy={copyString} />
      )}
      {chosen.joining !== null && (
        <JoinLines
          count={chosen.joining.length}
          onJoin={chosen.join}
          onCancel={() => chosen.setJoining(null)}
        />
      )}
      {database !== null && (
        <RationedNote
          database={database}
          parts={[
            { left: rehearsal?.uncounted, ...rehearsing },
            { left: translation?.unasked, ...sheet.translating },
            { left: sheet.effects?.unasked, ...sheet.countingEffects },
          ]}
        />
      )}
      <div
        className={`grid grid-cols-[minmax(0,1fr)] gap-6 lg:grid-cols-[minmax(0,1.7fr)_minmax(0,1fr)] ${sheetShown ? '' : 'hidden'}`}
      >
        {rehearsal !== undefined && (
          <Sheet
            review={review}
            rehearsal={rehearsal}
            effects={sheet.effects}
            written={writtenLines(sheet)}
            selected={chosen.selected}
            stale={rehearsing.isFetching}
            chosen={chosen.joining}
            findings={findings}
            comments={openComments}
            byHand={database?.reached === 'hand'}
            countingEffects={sheet.countingEffects.isFetching}
            onCountAll={sheet.countAllEffects}
            onMend={mend}
            onSelect={(key) => {
              if (key !== chosen.selected) chosen.select(key);
            }}
            onChoose={chosen.chooseToJoin}
            onOwnKey={ownKeys}
            onMoveOwn={chosen.moveBefore}
          />
        )}
        {database !== null && (chosen.selected !== null || panes.inVersions || panes.inPeerReview) && (
          <BesideSheet sheet={sheet} database={database} chosen={chosen} panes={panes} onCopy={copy} />
        )}
      </div>
    </div>
  );
}
