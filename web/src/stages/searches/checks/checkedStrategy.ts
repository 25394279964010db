/** The strategy as checks look at it, out of what the screen knows. */
import {
  beginning,
  dialectFrom,
  limitKey,
  limitText,
  lineKeyOf,
  parsePhrase,
  SEARCH_FIELDS,
  termKey,
  type CheckedLine,
} from '@even-lantern/core';
import type {
  DatabaseProfile,
  LimitProfile,
  Rehearsal,
  Review,
  StrategyEffects,
  StrategyTotal,
  Translation,
} from '@even-lantern/contract';
import { lanesOfReview } from '../../../review/lanes.js';
import type { StrategyToCheck } from '../../../review/lookups.js';

export interface KnownOfStrategy {
  review: Review;
  database: DatabaseProfile;
  rehearsal: Rehearsal;
  translation: Translation | undefined;
  effects: StrategyEffects | undefined;
  profile: LimitProfile | undefined;
  /** the other databases with their counts, as far as they have come */
  elsewhere: readonly { database: DatabaseProfile; total: StrategyTotal | undefined }[];
  indexWords: StrategyToCheck['indexWords'];
}

const MOST_BEGINNINGS = 20;

export function checkedStrategy(known: KnownOfStrategy): StrategyToCheck {
  const { review, database, rehearsal, translation, effects, profile, elsewhere, indexWords } = known;
  const translated = new Map(translation?.lines.map((line) => [line.key, line]));
  return {
    lanes: lanesOfReview(review).map(({ id, name, leftOut, terms }) => ({ id, name, leftOut, terms })),
    own: review.ownLines,
    lines: [
      ...rehearsal.lines.map((line): CheckedLine => {
        const key = lineKeyOf(line);
        const translation = translated.get(key);
        return {
          key,
          number: line.number,
          kind: line.kind,
          laneId: line.laneId,
          hits: line.hits,
          adds: rehearsal.terms[line.termId ?? '']?.adds ?? null,
          written: translation?.written?.text ?? null,
          cautions: translation?.written?.cautions.map(({ message }) => message) ?? [],
          // What the parts of a line were read as is told at those parts.
          understood:
            line.kind === 'term' || translation?.written != null ? (translation?.understood ?? null) : null,
          expected: translation?.expected ?? '',
        };
      }),
      ...termsWithoutLine(review, rehearsal),
    ],
    problems: rehearsal.problems,
    limits: review.limits.flatMap((limit) => {
      const step = profile?.steps.find(({ limitId }) => limitId === limit.id);
      if (step === undefined) return [];
      const { id, on } = limit;
      return [
        {
          id,
          key: limitKey(id),
          name: limitText(limit),
          on,
          way: step.way,
          ways: step.ways,
          lacking: step.lacking,
        },
      ];
    }),
    database: {
      id: database.id,
      name: database.name,
      vocabulary: database.vocabulary?.id ?? null,
      fields: database.dialect === null ? SEARCH_FIELDS : dialectFrom(database.dialect).abilities.fields,
    },
    indexWords,
    leftOut: Object.fromEntries(
      Object.entries(effects?.leftOut ?? {}).map(([key, { records, kept }]) => [
        key,
        { records, kept: kept?.length ?? null },
      ]),
    ),
    elsewhere: elsewhere.map((other) => ({
      name: other.database.name,
      whole: other.total?.whole.hits ?? null,
      records: other.database.records,
      open: other.total?.problems.length ?? 0,
    })),
    whole: rehearsal.whole.hits,
    records: database.records,
  };
}

/** Terms that are said within the line of their lane: they are looked at all the same. */
function termsWithoutLine(review: Review, rehearsal: Rehearsal): CheckedLine[] {
  const own = new Set(rehearsal.lines.map(lineKeyOf));
  return lanesOfReview(review).flatMap((lane) => {
    const number =
      rehearsal.lines.find((line) => line.kind === 'lane' && line.laneId === lane.id)?.number ?? 0;
    return lane.terms.flatMap(({ id }): CheckedLine[] => {
      const key = termKey(id);
      const counted = rehearsal.terms[id];
      if (counted === undefined || own.has(key)) return [];
      return [
        {
          key,
          number,
          kind: 'term',
          laneId: lane.id,
          hits: counted.hits,
          adds: counted.adds,
          written: null,
          cautions: [],
          understood: null,
          expected: '',
        },
      ];
    });
  });
}

/** The beginnings of the words that find nothing here, by which the index is asked for likely ones. */
export function beginningsToAsk(review: Review, rehearsal: Rehearsal): string[] {
  const found = new Set<string>();
  for (const lane of lanesOfReview(review)) {
    for (const { id, content } of lane.terms) {
      if (content.kind !== 'words' || rehearsal.terms[id]?.hits !== 0) continue;
      const parsed = parsePhrase(content.text);
      for (const { text, anyEnding } of parsed.ok ? parsed.phrase : []) {
        if (!anyEnding && !text.includes('?') && text.length > 3) found.add(beginning(text));
      }
    }
  }
  return [...found].slice(0, MOST_BEGINNINGS);
}
