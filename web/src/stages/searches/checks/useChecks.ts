import { findingKey, type Finding, type LineKey, type Mend } from '@even-lantern/core';
import {
  MOST_MENDS,
  type AcceptedFinding,
  type DatabaseProfile,
  type MendEffect,
  type MendsRequest,
  type Rehearsal,
  type Review,
  type StrategyEffects,
  type StrategyTotal,
  type Translation,
} from '@even-lantern/contract';
import { useEffect, useMemo, useState } from 'react';
import { limitApi } from '../../../review/api/limitApi.js';
import type { StrategyToCheck } from '../../../review/lookups.js';
import { lookupsWithAll } from '../../../review/useLookup.js';
import { useEachMends, useEachWords } from '../../../review/useEach.js';
import { useTrees } from '../../../review/useVocabulary.js';
import { beginningsToAsk, checkedStrategy } from './checkedStrategy.js';

/** A finding as it is shown. */
export interface ShownFinding extends Finding {
  key: string;
  /** what each of its mends would do; undefined where that is not counted, null where it no longer fits */
  effects: readonly (MendEffect | null | undefined)[];
  accepted: AcceptedFinding | null;
}

export interface Checks {
  /** null until they are worked out first */
  findings: ShownFinding[] | null;
  /** what the whole finds now, which effects are told against */
  whole: number | null;
  /** possible findings whose effect is not counted yet, since counts are not asked without end */
  uncounted: number;
  countMore: () => void;
}

interface Known {
  review: Review;
  database: DatabaseProfile | null;
  rehearsal: Rehearsal | undefined;
  translation: Translation | undefined;
  effects: StrategyEffects | undefined;
  elsewhere: readonly { database: DatabaseProfile; total: StrategyTotal | undefined }[];
}

/** What checks find in the strategy as the database at hand has it, worked out beside the page. */
export function useChecks({ review, database, rehearsal, translation, effects, elsewhere }: Known): Checks {
  const profile = limitApi.useProfileQuery(
    { review: review.id, body: { database: database?.id ?? '' } },
    { skip: database === null || !review.limits.some(({ on }) => on) },
  ).data;
  const begins = useMemo(
    () => (rehearsal === undefined ? [] : beginningsToAsk(review, rehearsal)),
    [review, rehearsal],
  );
  const indexWords = useIndexWords(database?.id ?? null, begins);
  const trees = useTrees(vocabulariesOf(review, database));
  const input = useMemo((): StrategyToCheck | null => {
    if (database === null || rehearsal === undefined) return null;
    const known = { review, database, rehearsal, translation, effects, elsewhere, indexWords };
    return checkedStrategy({ ...known, profile: profile?.database === database.id ? profile : undefined });
  }, [review, database, rehearsal, translation, effects, profile, elsewhere, indexWords]);

  const [found, setFound] = useState<{ database: string; findings: Finding[] } | null>(null);
  useEffect(() => {
    if (input === null) return;
    let active = true;
    void lookupsWithAll([...trees.values()].map(({ vocabulary }) => vocabulary))
      .then((lookups) => lookups.check(input))
      .then((findings) => {
        if (active) setFound({ database: input.database.id, findings });
      });
    return () => {
      active = false;
    };
  }, [input, trees]);
  const findings = found !== null && found.database === database?.id ? found.findings : null;

  const [batches, setBatches] = useState(1);
  const toCount = useMemo(() => mendsToCount(findings ?? []), [findings]);
  const requests = useMemo(
    (): MendsRequest[] =>
      Array.from({ length: Math.min(batches, Math.ceil(toCount.length / MOST_MENDS)) }, (_, i) => ({
        database: database?.id ?? '',
        mends: toCount.slice(i * MOST_MENDS, (i + 1) * MOST_MENDS),
      })),
    [toCount, batches, database?.id],
  );
  const answers = useEachMends(review.id, requests);
  return useMemo(() => {
    const counted = new Map<string, MendEffect | null>();
    requests.forEach(({ mends }, i) =>
      mends.forEach((mend, k) => {
        const effect = answers[i]?.mends[k];
        if (effect !== undefined) counted.set(JSON.stringify(mend), effect);
      }),
    );
    const whole = answers.find((each) => each !== undefined)?.whole ?? rehearsal?.whole.hits ?? null;
    const shown = findings?.map((finding): ShownFinding => {
      const key = findingKey(finding);
      return {
        ...finding,
        key,
        effects: finding.mends.map(({ mend }) => counted.get(JSON.stringify(mend))),
        accepted: review.accepted.find((each) => findingKey(each) === key) ?? null,
      };
    });
    return {
      findings: shown?.filter((finding) => matters(finding, whole)) ?? null,
      whole,
      uncounted: Math.max(0, toCount.length - batches * MOST_MENDS),
      countMore: () => setBatches((before) => before + 1),
    };
  }, [findings, requests, answers, review.accepted, rehearsal, toCount, batches]);
}

/** What is worth telling only where a mend changes something is left out until that is known. */
function matters({ ifItMatters, effects, accepted }: ShownFinding, whole: number | null): boolean {
  if (ifItMatters !== true || accepted !== null) return true;
  return effects.some(
    (effect) => effect != null && (effect.place.before !== effect.place.after || effect.whole !== whole),
  );
}

/** Those whose effect is not known without counting, certain findings before possible ones. */
function mendsToCount(findings: readonly Finding[]): Mend[] {
  const inOrder = [...findings].sort(
    (a, b) => Number(a.ifItMatters ?? false) - Number(b.ifItMatters ?? false),
  );
  const counted = new Map<string, Mend>();
  for (const { check, mends } of inOrder) {
    for (const { mend } of mends) {
      const isPlain = mend.kind === 'removeTerm' || mend.kind === 'removeOwn' || mend.kind === 'limitWay';
      if (!isPlain && check !== 'contained') counted.set(JSON.stringify(mend), mend);
    }
  }
  return [...counted.values()];
}

function vocabulariesOf(review: Review, database: DatabaseProfile | null): string[] {
  const named = review.lanes
    .flatMap(({ terms }) => terms)
    .flatMap(({ content }) => (content.kind === 'heading' ? [content.vocabulary] : []));
  return [...new Set([...named, ...(database?.vocabulary ? [database.vocabulary.id] : [])])].sort();
}

/** What an index has that begins with some letters. */
function useIndexWords(database: string | null, begins: readonly string[]): StrategyToCheck['indexWords'] {
  const answers = useEachWords(database ?? '', database === null ? NONE : begins);
  return useMemo(() => {
    // Worked out once, when all have come: what is missing would be told as misspelt.
    if (answers.some(({ data, error }) => data === undefined && error === undefined)) return NO_WORDS;
    return new Map(answers.map(({ data }, index) => [begins[index] ?? '', data?.words ?? []] as const));
  }, [answers, begins]);
}

const NONE: readonly string[] = [];
const NO_WORDS: StrategyToCheck['indexWords'] = new Map();

/** By the line at which they are shown. */
/** @param rowOf the line at which what is found at a place is shown */
export function byPlace(
  findings: readonly ShownFinding[] | null,
  rowOf: (place: LineKey) => LineKey,
): ReadonlyMap<LineKey, ShownFinding[]> {
  const places = new Map<LineKey, ShownFinding[]>();
  for (const finding of findings ?? []) {
    const at = rowOf(finding.at);
    places.set(at, [...(places.get(at) ?? []), finding]);
  }
  return places;
}
