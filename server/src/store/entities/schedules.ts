/** Tables of searches that are run again by themselves. */
import { Column, Entity, PrimaryColumn } from 'typeorm';

@Entity({ name: 'schedule' })
export class ScheduleRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  /** the numbers of the entries that are run again, as JSON */
  @Column('text') entries: string;
  /** when it is due, as JSON */
  @Column('text') recurrence: string;
  @Column('varchar') state: 'active' | 'paused' | 'ended';
  /** when it is due next; null where it is not active */
  @Column('varchar', { nullable: true }) nextAt: string | null;
  /** the secret part of the address of its feed */
  @Column('varchar') token: string;
  @Column('varchar') createdAt: string;
  @Column('varchar') createdBy: string;
  @Column('integer') version: number;
}

/** One entry of a schedule at one time at which that was due. */
@Entity({ name: 'firing' })
export class FiringRow {
  @PrimaryColumn('varchar') id: string;
  @Column('varchar') reviewId: string;
  @Column('varchar') scheduleId: string;
  @Column('varchar') dueAt: string;
  /** the number of the entry that is run again for this schedule, first of all */
  @Column('integer') entry: number;
  @Column('varchar') databaseName: string;
  @Column('varchar') status: 'waits' | 'running' | 'done' | 'failed';
  @Column('integer') missed: number;
  @Column('integer') tries: number;
  @Column('varchar', { nullable: true }) againAt: string | null;
  @Column('varchar', { nullable: true }) runId: string | null;
  /** the number of the entry that it became */
  @Column('integer', { nullable: true }) became: number | null;
  /** records that no run before had found, as JSON: accession, title, year */
  @Column('text', { nullable: true }) fresh: string | null;
  @Column('integer') freshCount: number;
  @Column('text', { nullable: true }) trouble: string | null;
  @Column('boolean') seen: boolean;
}
