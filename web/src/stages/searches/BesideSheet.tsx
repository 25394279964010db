import { lineKeyOf, reference, type LineKey } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { ChecksPane } from './checks/ChecksPane.js';
import { useMend } from './checks/useMend.js';
import { Bearing } from './effects/Bearing.js';
import { Falls } from './effects/Falls.js';
import { LinePane } from './LinePane.js';
import { lineInHand } from './peerReview/lineInHand.js';
import { PeerReviewPane } from './peerReview/PeerReviewPane.js';
import { OwnLinePane } from './sheet/OwnLinePane.js';
import type { ChosenLine } from './sheet/useChosenLine.js';
import type { SheetState } from './sheet/useSheet.js';
import type { SheetPanes } from './useSheetPanes.js';
import { VersionsPane } from './versions/VersionsPane.js';

interface BesideSheetProps {
  sheet: SheetState;
  database: DatabaseProfile;
  chosen: ChosenLine;
  panes: SheetPanes;
  onCopy: () => void;
}

/** What stands beside the sheet: versions or peer review, the line that is selected, checks and effects. */
export function BesideSheet({ sheet, database, chosen, panes, onCopy }: BesideSheetProps) {
  const { review, rehearsal, lines, names, rowOf, translation, translating, effects, checks } = sheet;
  const { own, line, editing } = chosen;
  const mend = useMend();
  const numberOf = (key: LineKey) => names.numberOf(rowOf(key));
  return (
    <div className="flex flex-col gap-4 lg:sticky lg:top-3 lg:max-h-[calc(100vh-7rem)] lg:self-start lg:overflow-auto lg:p-1 quiet-scroll">
      {panes.inVersions && (
        <VersionsPane database={database} names={names} onClose={() => panes.showPane('versions', false)} />
      )}
      {panes.inPeerReview && (
        <PeerReviewPane
          line={lineInHand(own, line, names)}
          nameOf={(key) => {
            const number = numberOf(key as LineKey);
            return number === null ? null : `L${number}`;
          }}
          onGo={chosen.goTo}
          onVersions={() => panes.showPane('versions', true)}
          onClose={() => panes.showPane('peer-review', false)}
        />
      )}
      {own !== undefined && (
        <OwnLinePane
          key={own.id}
          own={own}
          ownLines={review.ownLines}
          lines={lines}
          database={database}
          writing={editing}
          leaving={chosen.leaving === own.id}
          onLeave={() => chosen.setLeaving(own.id)}
          onStay={() => chosen.setLeaving(null)}
          onRemoved={chosen.gone}
        />
      )}
      {line !== undefined && (
        <LinePane
          key={editing && own === undefined ? `edit ${chosen.selected}` : `look ${chosen.selected}`}
          reviewId={review.id}
          database={database}
          line={line}
          term={review.lanes.flatMap(({ terms }) => terms).find(({ id }) => id === line.termId) ?? null}
          translation={translation}
          failed={translating.error}
          editing={editing && own === undefined}
          onEdit={chosen.setEditing}
          onAgain={() => void translating.refetch()}
          onCopy={onCopy}
          onLeaveOut={
            line.kind === 'term' ? () => void chosen.addLine(reference(lineKeyOf(line)), 'leavesOut') : null
          }
          onEntered={chosen.goToUncounted}
        />
      )}
      <ChecksPane
        checks={checks}
        names={{ ...names, numberOf }}
        selected={chosen.selected}
        onGo={chosen.goTo}
        onMend={mend}
      />
      {effects !== undefined && <Falls review={review} database={database} effects={effects} names={names} />}
      {rehearsal !== undefined && (
        <Bearing key={review.id} review={review} database={database} rehearsal={rehearsal} onMend={mend} />
      )}
    </div>
  );
}
