import { foundLine, lineKeyOf } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { useMemo, useState } from 'react';
import { databaseApi } from '../../../review/api/databaseApi.js';
import { ownLineApi } from '../../../review/api/ownLineApi.js';
import { strategyApi } from '../../../review/api/strategyApi.js';
import { useEachTotal } from '../../../review/useEach.js';
import { useRehearsal } from '../../../review/useRehearsal.js';
import { useReview } from '../../../review/useReview.js';
import { useChecks } from '../checks/useChecks.js';
import { lineNames, rowsOf } from '../lines/sheetLines.js';

const NONE: DatabaseProfile[] = [];

/** The strategy in the database at hand: lines with counts, their strings, their effects, what checks find. */
export function useSheet() {
  const { review, database } = useReview();
  const rehearsing = useRehearsal();
  const rehearsal = rehearsing.data;
  const translating = strategyApi.useTranslationQuery(
    { review: review.id, database: database?.id ?? '' },
    { skip: database === null },
  );
  const translation = translating.data?.database === database?.id ? translating.data : undefined;
  const { databases = NONE, failed = [] } = databaseApi.useDatabasesQuery().data ?? {};
  const totals = useEachTotal(
    review.id,
    databases.map(({ id }) => id),
  );
  const [allEffects, setAllEffects] = useState(false);
  const countingEffects = ownLineApi.useEffectsQuery(
    { review: review.id, database: database?.id ?? '', all: allEffects },
    { skip: database === null || rehearsal === undefined },
  );
  const effects = countingEffects.data?.database === database?.id ? countingEffects.data : undefined;
  const elsewhere = useMemo(
    () =>
      databases.flatMap((each, i) =>
        each.id === database?.id ? [] : [{ database: each, total: totals[i]?.data }],
      ),
    [databases, totals, database?.id],
  );
  const checks = useChecks({ review, database, rehearsal, translation, effects, elsewhere });
  const lines = rehearsal?.lines ?? [];
  return {
    review,
    database,
    /** all that answer, this one among them; `failed` says which do not */
    databases,
    failed,
    /** for each of `databases`, in their order; undefined until it is counted */
    totals: totals.map(({ data }) => data),
    rehearsal,
    rehearsing,
    lines,
    names: lineNames(lines),
    /** the line at which what belongs to a place is shown */
    rowOf: useMemo(() => rowsOf(review, rehearsal), [review, rehearsal]),
    translation,
    translating,
    effects,
    countingEffects,
    countAllEffects: () => setAllEffects(true),
    checks,
  };
}

export type SheetState = ReturnType<typeof useSheet>;

/** The line that is looked at where none was chosen. */
export function lineAtFirst(lines: SheetState['lines']) {
  return foundLine(lines) ?? lines.at(-1);
}

/** The limits that are applied in this database and have no reason yet. */
export function limitsWithoutReason({ review, lines }: SheetState) {
  return review.limits.filter(
    ({ id, on, reason }) => on && reason === '' && lines.some(({ limitId }) => limitId === id),
  );
}

/** The lines with a string that somebody wrote in place of the one made from the concepts. */
export function writtenLines({ translation }: SheetState) {
  return new Set(translation?.lines.flatMap(({ key, written }) => (written === null ? [] : [key])));
}

/** The lines among `keys`, in the order of the sheet. */
export function inOrder({ lines }: SheetState, keys: readonly string[]) {
  return lines.map(lineKeyOf).filter((key) => keys.includes(key));
}
