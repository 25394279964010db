/** When a schedule is due, in the time zone of whoever set it. */
import type { Recurrence } from '@even-lantern/contract';
import { LAST_DAY } from '@even-lantern/contract';
import { Cron } from 'croner';

/**
 * The first time after another at which a schedule is due. Where clocks skip the hour, it is due as soon as they have;
 * where they repeat it, once.
 */
export function nextTime(recurrence: Recurrence, after: Date): Date {
  const next = new Cron(patternOf(recurrence), { timezone: recurrence.timeZone, paused: true }).nextRun(
    after,
  );
  if (next === null) throw new Error(`There is no time after ${after.toISOString()}.`);
  return next;
}

/** How many times a schedule was due between two others, neither counted. */
export function timesBetween(recurrence: Recurrence, first: Date, last: Date): number {
  let times = 0;
  for (let at = nextTime(recurrence, first); at < last; at = nextTime(recurrence, at)) times += 1;
  return times;
}

function patternOf({ every, weekday, day, time }: Recurrence): string {
  const [hour = '0', minute = '0'] = time.split(':');
  const at = `${Number(minute)} ${Number(hour)}`;
  switch (every) {
    case 'day':
      return `${at} * * *`;
    case 'week':
      return `${at} * * ${weekday}`;
    case 'month':
      return `${at} ${day === LAST_DAY ? 'L' : day} * *`;
  }
}
