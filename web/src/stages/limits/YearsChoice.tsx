import { counted, formatCount, valuesProblem, type YearsChosen } from '@even-lantern/core';
import type { ValueCount } from '@even-lantern/contract';
import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { useFollowing } from '../../parts/useFollowing.js';

const WIDTH = 280;
const HEIGHT = 76;
/** Years that a chart without counts shows. */
const SPAN = 40;
const STEPS: Readonly<Record<string, number>> = {
  ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageDown: -5, PageUp: 5,
}; // prettier-ignore

interface YearsChoiceProps {
  values: YearsChosen;
  /** what all other limits leave, by year; null where that is not counted */
  years: readonly ValueCount[] | null;
  thisYear: number;
  onChange: (values: YearsChosen) => void;
}

/** Years, set by handles on a chart (by mouse or key) or by typing. */
export function YearsChoice({ values, years, thisYear, onChange }: YearsChoiceProps) {
  const told = (years ?? [])
    .map(({ value, count }) => ({ year: Number(value), count }))
    .filter(({ year }) => year > 0);
  const first = Math.min(thisYear - SPAN, values.from ?? thisYear, ...told.map(({ year }) => year));
  const last = Math.max(thisYear, values.to ?? 0, ...told.map(({ year }) => year));
  const [moving, setMoving] = useState<YearsChosen | null>(null);
  const shown = moving ?? values;
  const chart = useRef<SVGSVGElement>(null);
  const step = WIDTH / (last - first + 1);
  const most = Math.max(1, ...told.map(({ count }) => count));
  const within = (year: number) =>
    (shown.from === null || year >= shown.from) && (shown.to === null || year <= shown.to);
  const kept = told.filter(({ year }) => within(year)).reduce((sum, { count }) => sum + count, 0);
  const all = told.reduce((sum, { count }) => sum + count, 0);

  const moved = (end: 'from' | 'to', year: number): YearsChosen => {
    const clamped = Math.min(last, Math.max(first, year));
    const [from, to] = [shown.from ?? first, shown.to ?? last];
    return end === 'from'
      ? { kind: 'years', from: Math.min(clamped, to), to: shown.to }
      : { kind: 'years', from: shown.from, to: Math.max(clamped, from) };
  };
  const yearAt = (event: PointerEvent): number => {
    const box = chart.current?.getBoundingClientRect();
    if (box === undefined || box.width === 0) return first;
    return first + Math.floor(((event.clientX - box.left) / box.width) * (last - first + 1));
  };
  const handle = (end: 'from' | 'to') => {
    const year = end === 'from' ? (shown.from ?? first) : (shown.to ?? last);
    const x = (year - first + (end === 'from' ? 0 : 1)) * step;
    return (
      <g
        role="slider"
        tabIndex={0}
        aria-label={end === 'from' ? 'First year' : 'Last year'}
        aria-valuemin={first}
        aria-valuemax={last}
        aria-valuenow={year}
        className="cursor-ew-resize outline-offset-2"
        onKeyDown={(event: KeyboardEvent) => {
          const by = STEPS[event.key];
          const to =
            event.key === 'Home' ? first : event.key === 'End' ? last : by === undefined ? null : year + by;
          if (to === null || event.altKey || event.ctrlKey || event.metaKey) return;
          event.preventDefault();
          onChange(moved(end, to));
        }}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          setMoving(shown);
        }}
        onPointerMove={(event) => {
          if (moving !== null) setMoving(moved(end, yearAt(event)));
        }}
        onPointerUp={() => {
          if (moving !== null && (moving.from !== values.from || moving.to !== values.to)) onChange(moving);
          setMoving(null);
        }}
        onPointerCancel={() => setMoving(null)}
      >
        <rect x={x - 8} y={0} width={16} height={HEIGHT} fill="transparent" />
        <line x1={x} x2={x} y1={0} y2={HEIGHT} stroke="var(--color-base-content)" strokeWidth={1.5} />
        <rect x={x - 4} y={HEIGHT / 2 - 10} width={8} height={20} rx={3} fill="var(--color-base-content)" />
      </g>
    );
  };

  return (
    <section className="flex flex-col gap-2">
      <h3 className="small-head flex justify-between">
        <span>Years</span>
        {years !== null && all > 0 && (
          <span className="count font-normal">
            {formatCount(kept)} of {counted(all, 'record')}
          </span>
        )}
      </h3>
      <svg
        ref={chart}
        viewBox={`-8 -2 ${WIDTH + 16} ${HEIGHT + 4}`}
        className="w-full touch-none select-none"
        role="group"
        aria-label="Years, with a handle at either end"
      >
        {told.map(({ year, count }) => {
          const height = Math.max(1, (HEIGHT * count) / most);
          return (
            <rect
              key={year}
              x={(year - first) * step + 0.3}
              y={HEIGHT - height}
              width={Math.max(step - 0.6, 0.8)}
              height={height}
              fill={within(year) ? 'var(--bar-adds)' : 'var(--bar-lost)'}
            >
              <title>{`${year}: ${count}`}</title>
            </rect>
          );
        })}
        <line x1={0} x2={WIDTH} y1={HEIGHT} y2={HEIGHT} stroke="var(--rule)" />
        {handle('from')}
        {handle('to')}
      </svg>
      <div className="flex items-start gap-3">
        <TypedYear
          label="From"
          year={shown.from}
          problemOf={(year) => valuesProblem('years', { ...values, from: year })}
          onChange={(year) => onChange({ ...values, from: year })}
        />
        <TypedYear
          label="To"
          year={shown.to}
          problemOf={(year) => valuesProblem('years', { ...values, to: year })}
          onChange={(year) => onChange({ ...values, to: year })}
        />
      </div>
    </section>
  );
}

function TypedYear({
  label,
  year,
  problemOf,
  onChange,
}: {
  label: string;
  year: number | null;
  problemOf: (year: number | null) => string | null;
  onChange: (year: number | null) => void;
}) {
  const { text, setText, send } = useFollowing(year === null ? '' : String(year));
  const typed = text.trim() === '' ? null : Number(text);
  const digits = text.trim() === '' || /^\d{4}$/.test(text.trim());
  const problem = digits ? problemOf(typed) : 'A year has four digits, such as 2005; empty for no bound.';
  const commit = () => {
    if (problem !== null || typed === year) return;
    send(typed === null ? '' : String(typed));
    onChange(typed);
  };
  return (
    <label className="flex min-w-0 flex-1 flex-col gap-0.5">
      <span className="small-head">{label}</span>
      <input
        className="input input-sm count w-24"
        inputMode="numeric"
        value={text}
        placeholder="open"
        aria-invalid={problem !== null}
        onChange={(event) => setText(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
        }}
      />
      {problem !== null && <span className="problem text-xs">{problem}</span>}
    </label>
  );
}
