import { limitKind, type LimitValues } from '@even-lantern/core';
import type { DatabaseProfile, LimitDraft } from '@even-lantern/contract';
import { useState } from 'react';
import { limitApi } from '../../../review/api/limitApi.js';
import { useDesigns } from '../../../review/useDesigns.js';
import { useReview } from '../../../review/useReview.js';
import { firstValues, type LimitInHand } from '../limitInHand.js';
import { ValuesChoice } from './ValuesChoice.js';
import { YearsChoice } from './YearsChoice.js';

/** Values that are asked for: all that a limit is likely to have. */
const MOST_VALUES = 200;

export function Values({
  database,
  limit,
  tried,
  onChange,
}: {
  database: DatabaseProfile;
  limit: LimitInHand['limit'];
  tried: LimitDraft[] | undefined;
  onChange: (values: LimitValues) => void;
}) {
  const { review } = useReview();
  const kind = limitKind(limit.kind);
  const [thisYear] = useState(() => new Date().getFullYear());
  const { currentData, data } = limitApi.useLimitValuesQuery({
    review: review.id,
    body: {
      database: database.id,
      kind: limit.kind,
      limitId: limit.id,
      most: MOST_VALUES,
      ...(tried === undefined ? {} : { limits: tried }),
    },
  });
  const counts = currentData ?? data;
  const designs = useDesigns();
  if (kind.values === 'years') {
    const values = limit.values.kind === 'years' ? limit.values : firstValues(limit.kind, thisYear);
    return values.kind === 'years' ? (
      <YearsChoice values={values} years={counts?.counted ?? null} thisYear={thisYear} onChange={onChange} />
    ) : null;
  }
  return (
    <ValuesChoice
      kind={kind}
      values={limit.values.kind === 'values' ? limit.values.values : []}
      counts={counts}
      {...(kind.strengths === true && designs !== null ? { about: designs.definitionOf } : {})}
      onChange={(values) =>
        onChange({ ...(limit.values.kind === 'values' ? limit.values : {}), kind: 'values', values })
      }
    />
  );
}
