import { formatCount, limitKind, wayText, type LimitValues } from '@even-lantern/core';
import type { DatabaseProfile, LimitChange, LimitDraft, LimitProfile, Problem } from '@even-lantern/contract';
import { Trash2 } from 'lucide-react';
import { useReview } from '../../../review/useReview.js';
import { GuideLink } from '../../../parts/GuideLink.js';
import { Inspector } from '../../../parts/Inspector.js';
import { ProblemNote } from '../../../parts/ProblemNote.js';
import { OwnWords } from './OwnWords.js';
import type { LimitInHand } from '../limitInHand.js';
import { StepRecords } from './StepRecords.js';
import { Values } from './Values.js';
import { Strengths } from './Strengths.js';
import { Measured } from './Measured.js';
import { Ways } from './Ways.js';
import { Reason } from './Reason.js';

interface LimitInspectorProps {
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
