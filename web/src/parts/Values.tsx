import type { ValueCount } from '@even-lantern/contract';
import type { ReactNode } from 'react';
import { formatCount } from '@even-lantern/core';

interface ValuesProps {
  name: string;
  values: readonly ValueCount[];
  /** how many records all of them are out of */
  of: number;
  /** what can be done with a value */
  action?: (value: string) => ReactNode;
}

/** Values with how many records have each, as bars. */
export function Values({ name, values, of, action }: ValuesProps) {
  if (values.length === 0) return null;
  return (
    <section>
      <h3 className="small-head">{name}</h3>
      <ul>
        {values.map(({ value, count }) => (
          <li key={value} className="flex items-center gap-2 py-0.5">
            <span className="relative min-w-0 flex-1 px-1">
              <span
                className="absolute inset-y-0 left-0 rounded"
                style={{ width: `${(100 * count) / of}%`, background: 'var(--bar-rest)' }}
                aria-hidden="true"
              />
              <span className="relative">{value}</span>
            </span>
            <span className="count w-12">{formatCount(count)}</span>
            {action?.(value)}
          </li>
        ))}
      </ul>
    </section>
  );
}
