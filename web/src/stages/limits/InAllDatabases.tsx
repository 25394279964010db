import { limitKind, valuesText, wayText } from '@even-lantern/core';
import type { DatabaseProfile, LimitProfile } from '@even-lantern/contract';
import { Count, CountSource } from '../../parts/Count.js';
import { releaseText } from '../../parts/release.js';
import type { LimitInHand } from './limitInHand.js';

/** What each limit leaves, in every database beside the others. */
export function InAllDatabases({
  limits,
  databases,
}: {
  limits: readonly LimitInHand[];
  databases: readonly { database: DatabaseProfile; profile: LimitProfile | undefined }[];
}) {
  const row = (
    name: string,
    values: string,
    cell: (profile: LimitProfile) => React.ReactNode,
    key: string,
  ) => (
    <tr key={key} className="rule border-b align-top">
      <th scope="row" className="p-2 text-left font-normal">
        <b>{name}</b> {values}
      </th>
      {databases.map(({ database, profile }) => (
        <td key={database.id} className="p-2 text-right">
          <CountSource value={database.id}>{profile === undefined ? '…' : cell(profile)}</CountSource>
        </td>
      ))}
    </tr>
  );
  return (
    <div className="overflow-x-auto" tabIndex={0} role="group" aria-label="Limits in all databases, scrolls">
      <table className="w-full border-collapse">
        <thead>
          <tr className="rule border-b text-left align-bottom">
            <th scope="col" className="min-w-64 p-2 font-bold">
              What is left after
            </th>
            {databases.map(({ database: { id, name, release } }) => (
              <th key={id} scope="col" className="min-w-28 p-2 text-right font-bold">
                {name}
                <span className="quiet block text-xs font-normal whitespace-nowrap">
                  {releaseText(release)}
                </span>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {row(
            'All concepts',
            'before any limit',
            ({ before }) => (
              <Count {...before} />
            ),
            'before',
          )}
          {limits
            .filter(({ limit }) => limit.on)
            .map(({ limit }) =>
              row(
                limitKind(limit.kind).name,
                valuesText(limit.values),
                ({ steps }) => {
                  const step = steps.find(({ limitId }) => limitId === limit.id);
                  if (step === undefined) return '…';
                  return (
                    <>
                      <Count {...step.remains} />
                      <span className="quiet block text-xs">
                        {step.way === 'none' ? 'not applied' : wayText(step.way)}
                      </span>
                      {(step.kept?.length ?? 0) > 0 && (
                        <span className="problem block text-xs">{step.kept?.length} kept lost</span>
                      )}
                    </>
                  );
                },
                limit.id,
              ),
            )}
          {row(
            'What remains',
            '',
            ({ remains }) => (
              <b>
                <Count {...remains} />
              </b>
            ),
            'remains',
          )}
        </tbody>
      </table>
    </div>
  );
}
