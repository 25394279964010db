import { useState } from 'react';
import { useRuns } from '../../../review/useRuns.js';
import { limitsWithoutReason, type SheetState } from '../sheet/useSheet.js';

/** Running the strategy in the database at hand, against its present release or an earlier one. */
export function useRunHere(sheet: SheetState) {
  const { review, database } = sheet;
  const runs = useRuns(review.id);
  const [chosen, setChosen] = useState<{ database: string; release: string } | null>(null);
  const [reasonsAsked, setReasonsAsked] = useState(false);
  const [inSeveral, setInSeveral] = useState(false);
  // What was chosen for one database says nothing of another.
  const earlier =
    chosen !== null && chosen.database === database?.id && chosen.release !== database.release
      ? chosen.release
      : undefined;
  const busy = database !== null && runs.busyIn(database.id);
  const withoutReason = limitsWithoutReason(sheet);
  const run = async () => {
    setReasonsAsked(false);
    if (database === null) return;
    await runs.start({ database: database.id, ...(earlier === undefined ? {} : { release: earlier }) });
  };
  return {
    runs,
    busy,
    /** the earlier release that is chosen; undefined for the present one */
    earlier,
    chooseRelease: (release: string) => {
      if (database !== null) setChosen({ database: database.id, release });
    },
    /** Runs, or asks for the reasons of limits first. */
    start: () => {
      if (busy) return;
      if (withoutReason.length > 0) setReasonsAsked(true);
      else void run();
    },
    /** limits whose reasons are asked for before the run */
    reasonsAsked: reasonsAsked ? withoutReason : [],
    run,
    cancel: () => setReasonsAsked(false),
    /** whether databases are being chosen to run in several at once */
    inSeveral,
    toggleSeveral: () => setInSeveral(!inSeveral),
  };
}

export type RunHere = ReturnType<typeof useRunHere>;
