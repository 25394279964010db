import { formatCount, type LimitKind } from '@even-lantern/core';
import type { LimitValueCounts } from '@even-lantern/contract';
import { useState } from 'react';

const SHOWN_FIRST = 8;
/** From so many on, they can be narrowed by typing. */
const NARROWED_FROM = 12;

interface ValuesChoiceProps {
  kind: LimitKind;
  values: readonly string[];
  counts: LimitValueCounts | undefined;
  /** what a value is, in a sentence */
  about?: (value: string) => string;
  onChange: (values: string[]) => void;
}

/** Values to choose from, with what all other limits leave of each; several are joined by OR. */
export function ValuesChoice({ kind, values, counts, about, onChange }: ValuesChoiceProps) {
  const [all, setAll] = useState(false);
  const [typed, setTyped] = useState('');
  const listed = listedValues(counts, values);
  const search = typed.trim().toLowerCase();
  const matching = listed.filter(({ value }) => value.toLowerCase().includes(search));
  const isChosen = (value: string) => values.some((each) => each.toLowerCase() === value.toLowerCase());
  // What is chosen stays in sight whatever else is folded away.
  const shown = all ? matching : matching.filter(({ value }, i) => i < SHOWN_FIRST || isChosen(value));
  const most = Math.max(1, ...listed.map(({ count }) => count ?? 0));
  const add = () => {
    const value = typed.trim();
    if (value === '' || isChosen(value)) return;
    onChange([...values, value]);
    setTyped('');
  };
  const free = kind.values === 'typed';
  return (
    <section className="flex flex-col gap-1">
      <h3 className="small-head flex justify-between">
        <span>Any of these</span>
        {counts !== undefined && counts.hits !== null && (
          <span className="count font-normal">of {formatCount(counts.hits)}</span>
        )}
      </h3>
      {(free || listed.length >= NARROWED_FROM) && (
        <div className="flex gap-2">
          <input
            className="input input-sm min-w-0 flex-1"
            aria-label={free ? `${kind.name} to add` : 'Narrow the values'}
            placeholder={free ? 'Write one, and press Enter' : 'Narrow by typing'}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter' && free) add();
            }}
          />
          {free && (
            <button className="btn btn-sm btn-quiet" onClick={add} disabled={typed.trim() === ''}>
              Add
            </button>
          )}
        </div>
      )}
      {counts === undefined && <p className="quiet text-xs">Counting the values …</p>}
      {counts !== undefined && listed.length === 0 && (
        <p className="quiet text-xs">
          {free ? 'Nothing is chosen yet.' : 'This database has no values of this kind.'}
        </p>
      )}
      <ul>
        {shown.map(({ value, count }) => (
          <li key={value}>
            <label className="flex cursor-pointer items-center gap-2 py-0.5">
              <input
                type="checkbox"
                className="checkbox checkbox-xs"
                checked={isChosen(value)}
                onChange={() =>
                  onChange(
                    isChosen(value)
                      ? values.filter((each) => each.toLowerCase() !== value.toLowerCase())
                      : [...values, value],
                  )
                }
              />
              <span className="relative min-w-0 flex-1 px-1" title={about?.(value)}>
                <span
                  className="absolute inset-y-0 left-0 rounded"
                  style={{ width: `${(100 * (count ?? 0)) / most}%`, background: 'var(--bar-rest)' }}
                  aria-hidden="true"
                />
                <span className="relative">{value}</span>
              </span>
              <span className="count w-14 text-xs">{count === null ? '–' : formatCount(count)}</span>
            </label>
          </li>
        ))}
      </ul>
      {matching.length > shown.length && (
        <button className="link self-start text-sm" onClick={() => setAll(true)}>
          Show {matching.length - shown.length} more
        </button>
      )}
      {all && matching.length > SHOWN_FIRST && (
        <button className="link self-start text-sm" onClick={() => setAll(false)}>
          Show fewer
        </button>
      )}
    </section>
  );
}

/** Those that are counted, then those that are known and have none left, then chosen ones that are neither. */
function listedValues(
  counts: LimitValueCounts | undefined,
  chosen: readonly string[],
): { value: string; count: number | null }[] {
  const listed: { value: string; count: number | null }[] = [...(counts?.counted ?? [])];
  const known = new Set(listed.map(({ value }) => value.toLowerCase()));
  for (const value of [...(counts?.known ?? []), ...chosen]) {
    if (known.has(value.toLowerCase())) continue;
    known.add(value.toLowerCase());
    const none = counts?.counted != null && counts.known.includes(value) ? 0 : null;
    listed.push({ value, count: none });
  }
  return listed;
}
