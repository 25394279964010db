import {
  bearing,
  formatCount,
  relaxations,
  tightenings,
  type Mend,
  type NamedMend,
} from '@even-lantern/core';
import {
  MOST_MENDS,
  type DatabaseProfile,
  type MendEffect,
  type Rehearsal,
  type Review,
} from '@even-lantern/contract';
import { useId, useMemo, useState } from 'react';
import { useEachMends } from '../../../review/useEach.js';
import { lanesOfReview } from '../../../review/lanes.js';

interface BearingProps {
  review: Review;
  database: DatabaseProfile;
  rehearsal: Rehearsal;
  onMend: (mend: Mend, text: string) => Promise<void>;
}

const REMEMBERED = 'even-lantern-bearable';
const SHOWN = 8;

/** How many records a person can bear, and what would bring the strategy there. */
export function Bearing({ review, database, rehearsal, onMend }: BearingProps) {
  const id = useId();
  const [least, setLeast] = useRemembered(`${REMEMBERED}-least-${review.id}`);
  const [most, setMost] = useRemembered(`${REMEMBERED}-most-${review.id}`);
  const found = rehearsal.remains.hits;
  const state = found === null ? 'bearable' : bearing(found, { least, most });
  const field = (label: string, name: string, value: number | null, set: (value: number | null) => void) => (
    <label htmlFor={`${id} ${name}`} className="flex items-center gap-1.5 text-sm">
      {label}
      <input
        id={`${id} ${name}`}
        className="input input-xs w-20 text-right"
        inputMode="numeric"
        value={value ?? ''}
        onChange={({ target }) => {
          const digits = target.value.replace(/\D/g, '').slice(0, 7);
          set(digits === '' ? null : Number(digits));
        }}
      />
    </label>
  );
  return (
    <section aria-label="Too many or too few" className="flex flex-col gap-2">
      <h2 className="small-head">Too many or too few</h2>
      <div className="flex flex-wrap gap-x-4 gap-y-1">
        {field('at least', 'least', least, setLeast)}
        {field('at most', 'most', most, setMost)}
      </div>
      {found !== null && (least !== null || most !== null) && (
        <p className={state === 'bearable' ? 'quiet' : ''}>
          {formatCount(found)} records are {state === 'bearable' ? 'within that.' : `${state}.`}
        </p>
      )}
      {state !== 'bearable' && (
        <Ways key={state} {...{ review, database, rehearsal, onMend }} more={state === 'too few'} />
      )}
    </section>
  );
}

/** What each change would give, those that change most first. */
function Ways({ review, database, rehearsal, onMend, more }: BearingProps & { more: boolean }) {
  const ways = useMemo((): NamedMend[] => {
    const lanes = lanesOfReview(review).map((lane) => ({ ...lane, terms: lane.terms }));
    const adds = Object.fromEntries(
      Object.entries(rehearsal.terms).map(([term, counts]) => [term, counts.adds ?? 0]),
    );
    const all = more ? relaxations(lanes, review.ownLines) : tightenings(lanes, adds);
    return all.slice(0, MOST_MENDS);
  }, [review, rehearsal, more]);
  const requests = useMemo(
    () => (ways.length === 0 ? [] : [{ database: database.id, mends: ways.map(({ mend }) => mend) }]),
    [ways, database.id],
  );
  const [answer] = useEachMends(review.id, requests);
  if (answer === undefined)
    return ways.length === 0 ? <NoWay more={more} /> : <p className="quiet">Counting …</p>;
  const by = (effect: MendEffect | null | undefined) =>
    effect == null || effect.whole === null || answer.whole === null ? 0 : effect.whole - answer.whole;
  const useful = ways
    .map((way, i) => ({ ...way, by: by(answer.mends[i]) }))
    .filter((way) => (more ? way.by > 0 : way.by < 0))
    .sort((a, b) => Math.abs(b.by) - Math.abs(a.by))
    .slice(0, SHOWN);
  if (useful.length === 0) return <NoWay more={more} />;
  return (
    <ul>
      {useful.map(({ text, mend, by: change }) => (
        <li
          key={JSON.stringify(mend)}
          className="rule flex items-baseline justify-between gap-2 border-b py-1 text-sm"
        >
          <button className="link text-left" onClick={() => void onMend(mend, text)}>
            {text}
          </button>
          <span className="count shrink-0">
            {change < 0 ? `−${formatCount(-change)}` : `+${formatCount(change)}`}
          </span>
        </li>
      ))}
    </ul>
  );
}

function NoWay({ more }: { more: boolean }) {
  return (
    <p className="quiet">
      {more
        ? 'No single change of a term finds more. A lane without which the strategy finds more says so at its line.'
        : 'No single change of a term finds less. Search on another element, or add a limit.'}
    </p>
  );
}

/** A number that this browser keeps. */
function useRemembered(key: string): [number | null, (value: number | null) => void] {
  const [value, setValue] = useState(() => {
    const kept = Number(localStorage.getItem(key) ?? '');
    return kept > 0 ? kept : null;
  });
  return [
    value,
    (next) => {
      setValue(next);
      if (next === null) localStorage.removeItem(key);
      else localStorage.setItem(key, String(next));
    },
  ];
}
