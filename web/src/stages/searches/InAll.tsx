import { lineKeyOf } from '@even-lantern/core';
import type { DatabaseList, DatabaseProfile, Rehearsal, Review } from '@even-lantern/contract';
import { lanesOfReview } from '../../review/lanes.js';
import { useEachRehearsal } from '../../review/useEach.js';
import { DatabaseStateNote } from '../../parts/DatabaseStateNote.js';
import { Count, CountSource } from '../../parts/Count.js';
import { ElementTile } from '../../parts/ElementTile.js';
import { releaseText } from '../../parts/release.js';
import { linesBeside } from './linesBeside.js';

interface InAllProps {
  review: Review;
  databases: readonly DatabaseProfile[];
  failed: DatabaseList['failed'];
}

/** The counts of every line in every database. Where a term is not settled, its place is empty. */
export function InAll({ review, databases, failed }: InAllProps) {
  const rehearsals = useEachRehearsal(
    review.id,
    databases.map(({ id }) => id),
  );
  const lanes = lanesOfReview(review);
  const rows = linesBeside(rehearsals.map(({ data }) => data?.lines ?? []));
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Counts in all databases, scrolls">
      <table className="w-full border-collapse">
        <thead>
          <tr className="rule border-b text-left align-bottom">
            <th scope="col" className="min-w-72 p-2 font-bold">
              Line
            </th>
            {databases.map(({ id, name, release, simulated }, i) => (
              <th key={id} scope="col" className="min-w-28 p-2 text-right font-bold">
                {name}
                {[releaseText(release), simulated ? 'simulated' : '', toSettle(rehearsals[i]?.data)].map(
                  (text, k) => (
                    <span key={k} className="quiet block text-xs font-normal whitespace-nowrap">
                      {text}
                    </span>
                  ),
                )}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => {
            const line = row.find((each) => each !== undefined);
            if (line === undefined) return null;
            const lane = lanes.find(({ id }) => id === line.laneId);
            return (
              <tr
                key={lineKeyOf(line)}
                className={`rule border-b ${line.kind === 'term' || line.kind === 'own' ? '' : 'bg-base-300 font-bold'}`}
              >
                <th
                  scope="row"
                  className={`p-2 text-left ${line.kind === 'term' || line.kind === 'own' ? 'font-normal' : ''}`}
                >
                  {line.kind === 'term' || line.kind === 'own' ? (
                    <span className="line-clamp-2">{line.description}</span>
                  ) : line.kind === 'whole' ? (
                    'All concepts'
                  ) : line.kind === 'limit' ? (
                    line.description
                  ) : (
                    <span className="flex items-center gap-2">
                      {lane !== undefined && <ElementTile element={lane.element?.key ?? null} />}
                      {lane?.name}
                    </span>
                  )}
                </th>
                {databases.map(({ id }, i) => {
                  const own = row[i];
                  return (
                    <td key={id} className="p-2 text-right">
                      {own === undefined ? (
                        <span
                          className="quiet"
                          title={rehearsals[i]?.data === undefined ? 'Counting' : 'Not settled there'}
                        >
                          {rehearsals[i]?.data === undefined ? '…' : '–'}
                        </span>
                      ) : (
                        <CountSource value={id}>
                          <Count hits={own.hits} error={own.error} />
                        </CountSource>
                      )}
                    </td>
                  );
                })}
              </tr>
            );
          })}
        </tbody>
      </table>
      {databases.map((each) => (
        <DatabaseStateNote key={each.id} database={each} />
      ))}
      {failed.map(({ id, name, reason }) => (
        <p key={id} className="problem pt-2">
          {name} does not answer: {reason}
        </p>
      ))}
    </div>
  );
}

function toSettle(rehearsal: Rehearsal | undefined): string {
  const number = rehearsal?.problems.length ?? 0;
  return number === 0 ? '' : `${number} to settle`;
}
