import { counted, formatCount } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { problemOf } from '../../review/api/api.js';
import { strategyApi } from '../../review/api/strategyApi.js';

/** What the strategy finds in one of two databases and not in the other, work by work, with examples. */
export function RecordsApart({
  reviewId,
  databases: [left, right],
}: {
  reviewId: string;
  databases: [DatabaseProfile, DatabaseProfile];
}) {
  const { currentData, error, isFetching } = strategyApi.useApartQuery({
    review: reviewId,
    one: left.id,
    other: right.id,
  });
  if (error !== undefined) return <p className="quiet text-sm">{problemOf(error).title}</p>;
  if (currentData === undefined)
    return <p className="quiet text-sm">{isFetching && 'Matching the works …'}</p>;
  const { both, sides, reason } = currentData;
  if (both === null) return <p className="quiet text-sm">The works are not compared: {reason}</p>;
  return (
    <section aria-label="Works apart" className="flex flex-col gap-1 pb-3">
      <p>
        Both find <b>{counted(both, 'work')}</b>.
      </p>
      <div className="grid gap-x-6 md:grid-cols-2">
        {sides.map(({ database, only, sample }, i) => {
          const { name } = i === 0 ? left : right;
          return (
            <details key={database}>
              <summary className="cursor-pointer">
                <b>{formatCount(only ?? 0)}</b> in {name} alone
              </summary>
              <ul className="py-1 pl-4 text-sm">
                {sample.map(({ accession, title, journal, year }) => (
                  <li key={accession} className="py-0.5">
                    <span className="font-serif">{title}</span>{' '}
                    <span className="quiet text-xs">
                      {journal} {year}
                    </span>
                  </li>
                ))}
                {only !== null && only > sample.length && (
                  <li className="quiet text-xs">and {formatCount(only - sample.length)} more</li>
                )}
              </ul>
            </details>
          );
        })}
      </div>
    </section>
  );
}
