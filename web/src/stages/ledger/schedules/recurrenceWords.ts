import { LAST_DAY, type Recurrence } from '@even-lantern/contract';

export const WEEKDAYS = [
  'Monday',
  'Tuesday',
  'Wednesday',
  'Thursday',
  'Friday',
  'Saturday',
  'Sunday',
] as const;

/** When something is run again, to go on from “Runs”. */
export function recurrenceInWords({ every, weekday, day, time, timeZone }: Recurrence): string {
  const when = {
    day: 'every day',
    week: `every ${WEEKDAYS[weekday - 1] ?? ''}`,
    month: day === LAST_DAY ? 'on the last day of each month' : `on day ${day} of each month`,
  }[every];
  return `${when} at ${time}, ${timeZone}`;
}

/** Every Monday morning, in the time of whoever looks. */
export function usualRecurrence(): Recurrence {
  const { timeZone } = Intl.DateTimeFormat().resolvedOptions();
  return { every: 'week', weekday: 1, day: 1, time: '07:00', timeZone };
}
