import { counted, formatCount, valuesProblem, type YearsChosen } from '@even-lantern/core';
import type { ValueCount } from '@even-lantern/contract';
import { useCallback, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Chart } from '../../../parts/chart/Chart.js';
import type { ThemeColours } from '../../../parts/chart/useThemeColours.js';
import { everyYear, yearCounts, yearsChart } from '../../../parts/chart/yearsChart.js';
import { useFollowing } from '../../../parts/useFollowing.js';

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
  const drawn = useMemo(() => yearCounts(years ?? []), [years]);
  // Those too that lie too far off to be drawn.
  const counts = (years ?? [])
    .map(({ value, count }) => ({ year: Number(value), count }))
    .filter(({ year }) => year > 0);
  const first = Math.min(thisYear - SPAN, values.from ?? thisYear, ...drawn.map(({ year }) => year));
  const last = Math.max(thisYear, values.to ?? 0, ...drawn.map(({ year }) => year));
  const [moving, setMoving] = useState<YearsChosen | null>(null);
  const shown = moving ?? values;
  const chart = useRef<HTMLDivElement>(null);
  const { from, to } = shown;
  const isKept = useCallback(
    (year: number) => (from === null || year >= from) && (to === null || year <= to),
    [from, to],
  );
  const kept = counts.filter(({ year }) => isKept(year)).reduce((sum, { count }) => sum + count, 0);
  const all = counts.reduce((sum, { count }) => sum + count, 0);
  const bars = useMemo(() => everyYear(drawn, first, last), [drawn, first, last]);
  const series = useMemo(() => [{ name: 'records', data: bars.map(({ count }) => count) }], [bars]);
  const options = useCallback(
    (colours: ThemeColours) =>
      yearsChart(bars, (year) => (isKept(year) ? colours.kept : colours.lost), colours),
    [bars, isKept],
  );

  const moved = (end: 'from' | 'to', year: number): YearsChosen => {
    const clamped = Math.min(last, Math.max(first, year));
    const [begin, finish] = [from ?? first, to ?? last];
    return end === 'from'
      ? { kind: 'years', from: Math.min(clamped, finish), to }
      : { kind: 'years', from, to: Math.max(clamped, begin) };
  };
  const yearAt = (event: PointerEvent): number => {
    const box = chart.current?.getBoundingClientRect();
    if (box === undefined || box.width === 0) return first;
    return first + Math.floor(((event.clientX - box.left) / box.width) * (last - first + 1));
  };
  const handle = (end: 'from' | 'to') => {
    const year = end === 'from' ? (from ?? first) : (to ?? last);
    const at = (year - first + (end === 'from' ? 0 : 1)) / (last - first + 1);
    return (
      <div
        role="slider"
        tabIndex={0}
        aria-label={end === 'from' ? 'First year' : 'Last year'}
        aria-valuemin={first}
        aria-valuemax={last}
        aria-valuenow={year}
        className="group absolute inset-y-0 flex w-4 -translate-x-1/2 cursor-ew-resize touch-none justify-center"
        style={{ left: `${100 * at}%` }}
        onKeyDown={(event: KeyboardEvent) => {
          const by = STEPS[event.key];
          const next =
            event.key === 'Home' ? first : event.key === 'End' ? last : by === undefined ? null : year + by;
          if (next === null || event.altKey || event.ctrlKey || event.metaKey) return;
          event.preventDefault();
          onChange(moved(end, next));
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
        <span className="bg-base-content w-[1.5px]" />
        <span className="bg-base-content absolute top-1/2 h-5 w-2 -translate-y-1/2 rounded-sm" />
      </div>
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
      <div
        ref={chart}
        className="rule relative mx-2 border-b select-none"
        role="group"
        aria-label="Years, with a handle at either end"
      >
        <Chart type="bar" height={HEIGHT} series={series} options={options} />
        {handle('from')}
        {handle('to')}
      </div>
      <div className="flex items-start gap-3">
        <TypedYear
          label="From"
          year={from}
          problemOf={(year) => valuesProblem('years', { ...values, from: year })}
          onChange={(year) => onChange({ ...values, from: year })}
        />
        <TypedYear
          label="To"
          year={to}
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
