/** Tables of searches that are run again by themselves. */
import type { Recurrence } from '@even-lantern/contract';
import { PersonRow, ReviewRow } from './question.js';
import type { FreshRecord } from './shapes.js';
import { Flag, Id, Json, RefersTo, Short, Table, Text, Whole } from '../description.js';
import { areEntryNumbers, areFresh, from, instant, isRecurrence, oneOf } from '../columnChecks.js';

@Table('schedule', 'review')
export class ScheduleRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  /** the numbers of the entries that are run again, as JSON */
  @Json('array', { check: areEntryNumbers }) entries: number[];
  /** when it is due, as JSON */
  @Json('object', { check: isRecurrence }) recurrence: Recurrence;
  @Short({ check: oneOf(['active', 'paused', 'ended']) }) state: 'active' | 'paused' | 'ended';
  /** when it is due next; null where it is not active */
  @Short({ nullable: true, check: instant }) nextAt: string | null;
  /** the secret part of the address of its feed */
  @Short() token: string;
  @Short({ check: instant }) createdAt: string;
  @RefersTo(() => PersonRow) createdBy: string;
  @Whole({ check: from(1) }) version: number;
}

/** One entry of a schedule at one time at which that was due. */
@Table('occurrence', 'review', { formerly: ['firing'] })
export class OccurrenceRow {
  @Id() id: string;
  @RefersTo(() => ReviewRow) reviewId: string;
  @RefersTo(() => ScheduleRow) scheduleId: string;
  @Short({ check: instant }) dueAt: string;
  /** the number of the entry that is run again for this schedule, first of all */
  @Whole({ check: from(1) }) entry: number;
  @Short() databaseName: string;
  @Short({ check: oneOf(['waits', 'running', 'done', 'failed']) }) status:
    'waits' | 'running' | 'done' | 'failed';
  @Whole({ check: from(0) }) missed: number;
  @Whole({ check: from(0) }) tries: number;
  @Short({ nullable: true, check: instant }) againAt: string | null;
  @Short({ nullable: true }) runId: string | null;
  /** the number of the entry that it became */
  @Whole({ nullable: true }) became: number | null;
  /** records that no run before had found, as JSON: accession, title, year */
  @Json('array', { nullable: true, check: areFresh }) fresh: FreshRecord[] | null;
  @Whole({ check: from(0) }) freshCount: number;
  @Text({ nullable: true }) trouble: string | null;
  @Flag() seen: boolean;
}
