import { useDatabaseChoice } from '../../../review/useDatabaseChoice.js';
import { RunProgress } from '../../../review/RunProgress.js';
import { ReasonsMissing } from '../ReasonsMissing.js';
import type { SheetState } from '../sheet/useSheet.js';
import { RunInSeveral } from './RunInSeveral.js';
import type { RunHere } from './useRunHere.js';

/** What a run asks first, and how far runs are. */
export function RunPanels({ sheet, running }: { sheet: SheetState; running: RunHere }) {
  const { review, database, databases, totals } = sheet;
  const { choose } = useDatabaseChoice();
  return (
    <>
      {running.reasonsAsked.length > 0 && (
        <ReasonsMissing
          limits={running.reasonsAsked}
          onGiven={() => void running.run()}
          onCancel={running.cancel}
        />
      )}
      {running.inSeveral && (
        <RunInSeveral
          reviewId={review.id}
          databases={databases}
          totals={totals}
          present={database?.id ?? null}
          runs={running.runs}
          onClose={running.toggleSeveral}
        />
      )}
      <RunProgress runs={running.runs} databases={databases} onOpen={choose} />
    </>
  );
}
