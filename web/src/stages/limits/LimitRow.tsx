import { limitKind, valuesText, wayText } from '@even-lantern/core';
import type { LimitStep } from '@even-lantern/contract';
import { counted, formatCount } from '@even-lantern/core';
import { TriangleAlert } from 'lucide-react';
import type { ReactNode } from 'react';
import { onKeys } from '../../parts/keys/useKey.js';
import { Count } from '../../parts/Count.js';
import type { LimitInHand } from './limitInHand.js';
import { StepBar } from './StepBar.js';

interface LimitRowProps {
  inHand: LimitInHand;
  /** undefined while it is counted first */
  step: LimitStep | undefined;
  before: number | null;
  stale: boolean;
  selected: boolean;
  finding: string | undefined;
  /** whether it can go before the one above, or behind the one below */
  canMove: { up: boolean; down: boolean };
  /** by which it is dragged; null for one that is tried, which stands at the end */
  grip: ReactNode;
  onSelect: () => void;
  onSwitch: () => void;
  /** applies it by words as well, so that what lacks the data is judged too */
  onWordsToo: () => void;
  onMove: (by: -1 | 1) => void;
  onRemove: () => void;
}

/** A limit as a step of the profile. */
export function LimitRow({
  inHand: { limit, tried },
  step,
  before,
  stale,
  selected,
  finding,
  canMove,
  grip,
  onSelect,
  onSwitch,
  onWordsToo,
  onMove,
  onRemove,
}: LimitRowProps) {
  const kind = limitKind(limit.kind);
  const values = valuesText(limit.values);
  const notHere = step !== undefined && step.way === 'none';
  const applied = limit.on && step !== undefined && !notHere;
  const keys = onKeys({
    'limits.move-up': () => canMove.up && onMove(-1),
    'limits.move-down': () => canMove.down && onMove(1),
    'limits.switch': onSwitch,
    'limits.remove': onRemove,
  });
  const warnings = [...(finding === undefined ? [] : [finding]), ...(step?.warnings ?? [])];
  return (
    <div
      className={`rule flex gap-3 border-b border-l-[3px] py-2 pr-2 pl-3 ${
        selected
          ? 'bg-base-100 border-l-base-content'
          : tried
            ? 'border-l-accent bg-[var(--live)]'
            : 'border-l-transparent'
      }`}
      data-limit={limit.kind}
    >
      <div className="min-w-0 flex-1">
        <button
          className="flex w-full cursor-pointer items-baseline justify-between gap-3 text-left"
          aria-pressed={selected}
          onClick={onSelect}
          onKeyDown={keys}
        >
          <span className={`min-w-0 break-words ${limit.on ? '' : 'quiet'}`}>
            <b>{kind.name}</b>{' '}
            {values === '' && kind.values !== 'yes' ? <i className="quiet">nothing chosen yet</i> : values}
          </span>
          <span className="quiet shrink-0 text-xs">
            {tried && <b className="moved pr-2">being tried</b>}
            {step === undefined
              ? ''
              : notHere
                ? step.unavailable === null
                  ? 'not applied here'
                  : 'not available here'
                : wayText(step.way)}
          </span>
        </button>
        <div className="py-1">
          <StepBar
            before={before}
            remains={step?.remains.hits ?? null}
            lost={step?.lost ?? null}
            lacking={step?.lacking ?? null}
          />
        </div>
        <p className="flex flex-wrap gap-x-4 text-xs">
          {!limit.on && <span className="quiet">switched off</span>}
          {applied && step.lost === 0 && <span className="quiet">takes nothing away</span>}
          {applied && step.only !== null && step.only > 0 && (
            <span>{formatCount(step.only)} only through this limit</span>
          )}
          {applied && (step.lacking ?? 0) > 0 && (
            <span>
              {formatCount(step.lacking ?? 0)} merely lack the data ({kind.lacking})
            </span>
          )}
          {applied && step.written && <span className="quiet">written by hand here</span>}
          {(step?.kept?.length ?? 0) > 0 && (
            <span className="problem flex items-center gap-1 font-bold">
              <TriangleAlert className="h-3 w-3" aria-hidden="true" />
              {counted(step?.kept?.length ?? 0, 'kept record')} among them
            </span>
          )}
        </p>
        {limit.on && step?.unavailable != null && <p className="text-xs">{step.unavailable}</p>}
        {applied && step.unknown.length > 0 && (
          <p className="text-warning text-xs">Not known here: {step.unknown.join(', ')}</p>
        )}
        {step?.remains.error != null && <p className="problem text-xs">{step.remains.error}</p>}
        {warnings.map((warning) => (
          <p key={warning} className="text-warning flex gap-1 text-xs">
            <TriangleAlert className="mt-0.5 h-3 w-3 shrink-0" aria-hidden="true" />
            {warning}
          </p>
        ))}
        {applied && step.way === 'own' && (step.lacking ?? 0) > 0 && step.ways.includes('either') && (
          <button className="link text-xs" onClick={onWordsToo}>
            Find by words what lacks the data
          </button>
        )}
        <p className="quiet text-xs">
          {limit.reason === ''
            ? tried
              ? ''
              : 'no reason yet; you need one before you run and log'
            : `because ${limit.reason}`}
        </p>
      </div>
      <div className="flex w-24 shrink-0 flex-col items-end">
        <span className={`text-[0.9375rem] font-bold ${stale ? 'quiet' : ''}`}>
          <Count hits={step?.remains.hits ?? null} error={step?.remains.error ?? null} />
        </span>
        <span className="quiet count text-xs">{lossText(step?.lost ?? null)}</span>
        <span className="flex pt-0.5">{grip}</span>
      </div>
      <input
        type="checkbox"
        className="toggle toggle-sm mt-0.5 shrink-0"
        checked={limit.on}
        onChange={onSwitch}
        aria-label={`${kind.name}: applied`}
        title={limit.on ? 'Switch off (X)' : 'Switch on (X)'}
      />
    </div>
  );
}

function lossText(lost: number | null): string {
  if (lost === null) return '';
  return lost === 0 ? '±0' : `−${formatCount(lost)}`;
}
