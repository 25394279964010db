import {
  DESIGN_FILTERS,
  formatCount,
  limitKind,
  STRENGTH_NAMES,
  STRENGTHS,
  wayText,
  type LimitValues,
  type LimitWay,
  type ValuesChosen,
} from '@even-lantern/core';
import type { DatabaseProfile, LimitChange, LimitDraft, LimitProfile, Problem } from '@even-lantern/contract';
import { Trash2 } from 'lucide-react';
import { useState } from 'react';
import { limitApi } from '../../review/api/limitApi.js';
import { useDesigns } from '../../review/useDesigns.js';
import { useReview } from '../../review/useReview.js';
import { ChoiceMenu } from '../../parts/ChoiceMenu.js';
import { GuideLink } from '../../parts/GuideLink.js';
import { Inspector } from '../../parts/Inspector.js';
import { ProblemNote } from '../../parts/ProblemNote.js';
import { useFollowing } from '../../parts/useFollowing.js';
import { FilterFigures } from './FilterFigures.js';
import { OwnWords } from './OwnWords.js';
import { firstValues, type LimitInHand } from './limitInHand.js';
import { StepRecords } from './StepRecords.js';
import { ValuesChoice } from './ValuesChoice.js';
import { YearsChoice } from './YearsChoice.js';

/** Values that are asked for: all that a limit is likely to have. */
const MOST_VALUES = 200;

export interface LimitInspectorProps {
  inHand: LimitInHand;
  profile: LimitProfile | undefined;
  elsewhere: { database: DatabaseProfile; profile: LimitProfile | undefined }[];
  /** all limits with those that are tried; undefined where none is tried */
  tried: LimitDraft[] | undefined;
  problem: Problem | null;
  onChange: (change: Pick<LimitChange, 'values' | 'reason' | 'ways'>) => void;
  onKeep: () => void;
  onRemove: () => void;
  onClose: () => void;
}

/** Beside the profile: one limit, its values, how it is applied, why, and what it loses. */
export function LimitInspector({
  inHand,
  profile,
  elsewhere,
  tried,
  problem,
  onChange,
  onKeep,
  onRemove,
  onClose,
}: LimitInspectorProps) {
  const { database } = useReview();
  const { limit } = inHand;
  const kind = limitKind(limit.kind);
  const step = profile?.steps.find(({ limitId }) => limitId === limit.id);
  const setValues = (values: LimitValues) => onChange({ values });
  return (
    <Inspector
      label="Limit"
      over={inHand.tried ? 'Limit, being tried' : 'Limit'}
      title={kind.name}
      onClose={onClose}
    >
      <p className="quiet text-sm">
        {kind.about}{' '}
        <GuideLink to="limits#how-a-limit-is-applied" label="Why: how limits are applied, in the guide">
          why
        </GuideLink>
      </p>
      {problem !== null && <ProblemNote problem={problem} />}
      {database !== null && kind.values !== 'yes' && (
        <Values database={database} limit={limit} tried={tried} onChange={setValues} />
      )}
      {kind.strengths === true &&
        limit.values.kind === 'values' &&
        (step?.way === 'words' || step?.way === 'either') && (
          <>
            {limit.values.words === undefined && <Strengths values={limit.values} onChange={setValues} />}
            <OwnWords values={limit.values} onChange={setValues} />
          </>
        )}
      {kind.strengths === true && database !== null && limit.values.kind === 'values' && (
        <Measured database={database} values={limit.values} way={step?.way ?? 'none'} />
      )}
      <Ways
        name={database?.name ?? ''}
        step={step}
        way={step?.way ?? 'none'}
        onChoose={(way) => database !== null && onChange({ ways: { ...limit.ways, [database.id]: way } })}
      />
      <Reason reason={limit.reason} onChange={(reason) => onChange({ reason })} />
      {inHand.tried && (
        <div className="flex gap-2">
          <button className="btn btn-primary btn-sm" onClick={onKeep}>
            Keep this limit
          </button>
          <button className="btn btn-quiet btn-sm" onClick={onRemove}>
            Drop it <kbd className="font-mono text-xs font-normal">Esc</kbd>
          </button>
        </div>
      )}
      {step !== undefined && limit.on && step.way !== 'none' && database !== null && (
        <StepRecords key={limit.id} step={step} database={database} tried={tried} lacking={kind.lacking} />
      )}
      {elsewhere.length > 0 && (
        <section>
          <h3 className="small-head">Elsewhere</h3>
          <ul>
            {elsewhere.map(({ database: { id, name }, profile: other }) => {
              const there = other?.steps.find(({ limitId }) => limitId === limit.id);
              return (
                <li key={id} className="rule flex items-baseline justify-between gap-2 border-b py-1 text-sm">
                  <span className="min-w-0 truncate">{name}</span>
                  <span className="quiet shrink-0 text-xs">
                    {there === undefined ? '…' : there.way === 'none' ? 'not applied' : wayText(there.way)}
                    {there?.lost != null && there.way !== 'none' && `, −${formatCount(there.lost)}`}
                  </span>
                </li>
              );
            })}
          </ul>
        </section>
      )}
      {inHand.tried ? null : (
        <>
          <p className="quiet text-xs">
            Last changed {inHand.limit.changedAt.slice(0, 10)} by {inHand.limit.changedBy}
          </p>
          <button className="btn btn-sm btn-quiet self-start" onClick={onRemove}>
            <Trash2 className="h-4 w-4" aria-hidden="true" /> Take this limit away
          </button>
        </>
      )}
    </Inspector>
  );
}

function Values({
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

/** How the words are set: to miss hardly any, to bring hardly any others, or in between. */
function Strengths({ values, onChange }: { values: ValuesChosen; onChange: (values: LimitValues) => void }) {
  const { strength = 'balanced' } = values;
  return (
    <fieldset>
      <legend className="small-head pb-1">The filter is set so that it</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {STRENGTHS.map((each) => (
          <label key={each} className="flex cursor-pointer items-center gap-1.5 text-sm">
            <input
              type="radio"
              name="limit-strength"
              className="radio radio-xs"
              checked={strength === each}
              onChange={() => onChange({ ...values, strength: each })}
            />
            {STRENGTH_NAMES[each]}
          </label>
        ))}
      </div>
      <p className="quiet text-xs">
        {values.values.map((value) => sourceOf(value)).find((each) => each !== null) ?? ''}
      </p>
    </fieldset>
  );
}

const TOGETHER = 'together';
const ANY_OF_THEM = 'Any of them';

/** The figures of one of the designs that were chosen; the others on request. */
function Measured({
  database,
  values: { values, strength = 'balanced', words },
  way,
}: {
  database: DatabaseProfile;
  values: ValuesChosen;
  way: LimitWay;
}) {
  const [shown, setShown] = useState<string | null>(null);
  const one = shown !== null && values.includes(shown) ? shown : values[0];
  if (one === undefined) return null;
  // Words of one’s own are for all designs together; filters have figures for each.
  const together = words !== undefined && values.length > 1 && (shown === null || shown === TOGETHER);
  return (
    <div className="flex flex-col gap-1">
      {values.length > 1 && (
        <ChoiceMenu
          label="Design whose figures are shown"
          text={together ? ANY_OF_THEM : one}
          className="btn-xs self-start"
          choices={[
            ...(words === undefined ? [] : [{ id: TOGETHER, name: ANY_OF_THEM }]),
            ...values.map((value) => ({ id: value, name: value })),
          ]}
          chosen={together ? TOGETHER : one}
          onChoose={setShown}
        />
      )}
      <FilterFigures
        database={database}
        designs={together ? values : [one]}
        words={words}
        chosen={way === 'own' ? 'own limit' : words === undefined ? strength : 'own words'}
      />
    </div>
  );
}

function sourceOf(design: string): string | null {
  const filter = DESIGN_FILTERS.find((each) => each.design === design);
  return filter === undefined ? null : `Filter by ${filter.source}, ${filter.date}`;
}

function Ways({
  name,
  step,
  way,
  onChoose,
}: {
  name: string;
  step: LimitProfile['steps'][number] | undefined;
  way: LimitWay;
  onChoose: (way: LimitWay) => void;
}) {
  if (step === undefined) return null;
  return (
    <fieldset>
      <legend className="small-head pb-1">How it is applied in {name}</legend>
      {step.ways.length === 0 ? (
        <p className="text-sm">{step.unavailable}</p>
      ) : (
        <>
          <div className="flex flex-wrap gap-x-4 gap-y-1">
            {[...step.ways, 'none' as const].map((each) => (
              <label key={each} className="flex cursor-pointer items-center gap-1.5 text-sm">
                <input
                  type="radio"
                  name="limit-way"
                  className="radio radio-xs"
                  checked={way === each}
                  onChange={() => onChoose(each)}
                />
                {each === 'none' ? 'not here' : wayText(each)}
              </label>
            ))}
          </div>
          {step.unavailable !== null && <p className="text-sm">{step.unavailable}</p>}
        </>
      )}
      {step.changes.map((change) => (
        <p key={change} className="text-warning text-xs first-letter:uppercase">
          {change}
        </p>
      ))}
    </fieldset>
  );
}

/** Why the limit is there. Saved when one leaves it. */
function Reason({ reason, onChange }: { reason: string; onChange: (reason: string) => void }) {
  const { text, setText, send } = useFollowing(reason);
  const commit = () => {
    if (text.trim() === reason) return;
    send(text.trim());
    onChange(text.trim());
  };
  return (
    <label className="flex flex-col gap-1">
      <span className="small-head">Reason</span>
      <textarea
        className="textarea textarea-sm w-full"
        rows={2}
        maxLength={1000}
        placeholder="Because …"
        value={text}
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter' && !event.shiftKey) {
            event.preventDefault();
            commit();
          }
        }}
      />
    </label>
  );
}
