/** Searches that are run again by themselves, and what they brought. */
import Joi from 'joi';
import { timeZoneSchema } from './timeZone.js';

export const EVERY = ['day', 'week', 'month'] as const;

/** When a search is run again, in the time of whoever set it. */
export interface Recurrence {
  every: (typeof EVERY)[number];
  /** of a week, 1 for Monday to 7 for Sunday; counts for every week alone */
  weekday: number;
  /** of a month, 1 to 28, or 31 for the last, whichever that is; counts for every month alone */
  day: number;
  /** such as 07:30 */
  time: string;
  /** such as Europe/Lisbon */
  timeZone: string;
}

export interface NewSchedule extends Recurrence {
  /** the numbers of the entries that are run again, one for each database */
  entries: number[];
}

export type ScheduleState = 'active' | 'paused' | 'ended';

/** Another time, or another state; what is not named stays. */
export interface ScheduleChange {
  recurrence?: Recurrence;
  state?: ScheduleState;
}

export interface Schedule extends Recurrence {
  id: string;
  reviewId: string;
  entries: { entry: number; databaseName: string }[];
  state: ScheduleState;
  /** UTC, ISO 8601; null where it is not active */
  nextAt: string | null;
  createdAt: string;
  createdBy: string;
  version: number;
  /** the path of its feed, which only those know who see this */
  feed: string;
  /** the latest first; older ones stand in the ledger alone */
  occurrences: Occurrence[];
  /** new records of occurrences that nobody has looked at yet */
  unseen: number;
}

/** One time at which a schedule was due. */
export interface Occurrence {
  /** UTC, ISO 8601 */
  dueAt: string;
  /** how many times before it went by while the program was not running */
  missed: number;
  parts: OccurrencePart[];
  /** records that no run before had found */
  fresh: number;
  seen: boolean;
}

/** What became of one database at that time. */
export interface OccurrencePart {
  databaseName: string;
  /** `waits`: it is tried, or tried again. `failed`: not tried any more. */
  status: 'waits' | 'running' | 'done' | 'failed';
  /** the entry that it became; null before it ended */
  entry: number | null;
  fresh: number | null;
  /** what went wrong last; null where nothing did */
  trouble: string | null;
  /** when it is tried again; null where it is not */
  againAt: string | null;
}

const WEEK = 7;
const LAST_SURE_DAY = 28;
export const LAST_DAY = 31;
const MOST_ENTRIES = 50;

const recurrence = {
  every: Joi.string()
    .valid(...EVERY)
    .required(),
  weekday: Joi.number().integer().min(1).max(WEEK).required(),
  day: Joi.number()
    .valid(...Array.from({ length: LAST_SURE_DAY }, (_, i) => i + 1), LAST_DAY)
    .required()
    .messages({ 'any.only': 'Choose a day from 1 to 28, or the last of the month.' }),
  time: Joi.string()
    .pattern(/^([01]\d|2[0-3]):[0-5]\d$/)
    .required()
    .messages({ 'string.pattern.base': 'Write the time as 07:30.' }),
  timeZone: timeZoneSchema.required(),
};

export const recurrenceSchema = Joi.object<Recurrence>(recurrence);

export const newScheduleSchema = Joi.object<NewSchedule>({
  ...recurrence,
  entries: Joi.array().items(Joi.number().integer().min(1)).min(1).max(MOST_ENTRIES).unique().required(),
});

export const scheduleChangeSchema = Joi.object<ScheduleChange>({
  recurrence: recurrenceSchema,
  state: Joi.string().valid('active', 'paused', 'ended'),
})
  .min(1)
  .messages({ 'object.min': 'Say what is to be changed.' });
