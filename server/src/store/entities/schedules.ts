/** Tables of searches that are run again by themselves. */
import type { Recurrence } from '@even-lantern/contract';
import { PersonRow, ReviewRow } from './question.js';
import type { FreshRecord } from './shapes.js';
import { Flag, Id, Json, RefersTo, Short, Table, Text, Whole } from '../description.js';

@Table('schedule', 'review')
export class ScheduleRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** the numbers of the entries that are run again, as JSON */
  @Json('array') entries: number[];
  /** when it is due, as JSON */
  @Json('object') recurrence: Recurrence;
  @Short() state: 'active' | 'paused' | 'ended';
  /** when it is due next; null where it is not active */
  @Short({ nullable: true }) nextAt: string | null;
  /** the secret part of the address of its feed */
  @Short() token: string;
  @Short() createdAt: string;
  @RefersTo(() => PersonRow) createdBy: string;
  @Whole() version: number;
}

/** One entry of a schedule at one time at which that was due. */
@Table('occurrence', 'review', { formerly: ['firing'] })
export class OccurrenceRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @RefersTo(() => ScheduleRow) scheduleId: string;
  @Short() dueAt: string;
  /** the number of the entry that is run again for this schedule, first of all */
  @Whole() entry: number;
  @Short() databaseName: string;
  @Short() status: 'waits' | 'running' | 'done' | 'failed';
  @Whole() missed: number;
  @Whole() tries: number;
  @Short({ nullable: true }) againAt: string | null;
  @Short({ nullable: true }) runId: string | null;
  /** the number of the entry that it became */
  @Whole({ nullable: true }) became: number | null;
  /** records that no run before had found, as JSON: accession, title, year */
  @Json('array', { nullable: true }) fresh: FreshRecord[] | null;
  @Whole() freshCount: number;
  @Text({ nullable: true }) trouble: string | null;
  @Flag() seen: boolean;
}
