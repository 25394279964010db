import { counted } from '@even-lantern/core';
import type { Schedule } from '@even-lantern/contract';
import { ScheduleItem } from './ScheduleItem.js';

/** The schedules of a review: when they run, what they brought, and where that is told. */
export function Schedules({ reviewId, schedules }: { reviewId: string; schedules: readonly Schedule[] }) {
  const open = schedules.filter(({ state }) => state !== 'ended');
  const ended = schedules.filter(({ state }) => state === 'ended');
  return (
    <section aria-label="Schedules" className="rule bg-base-200 mb-3 flex flex-col gap-2 rounded border p-3">
      {schedules.length === 0 && (
        <p>
          Nothing runs on a schedule yet. Open a run below and choose <i>Run on a schedule</i>: then you learn
          of new records as they enter the database.
        </p>
      )}
      {open.map((schedule) => (
        <ScheduleItem key={schedule.id} reviewId={reviewId} schedule={schedule} />
      ))}
      {ended.length > 0 && (
        <details>
          <summary className="quiet cursor-pointer">{counted(ended.length, 'schedule')} ended</summary>
          {ended.map((schedule) => (
            <ScheduleItem key={schedule.id} reviewId={reviewId} schedule={schedule} />
          ))}
        </details>
      )}
    </section>
  );
}
