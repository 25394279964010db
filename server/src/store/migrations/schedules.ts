import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { boolean, id, integer, optional, refersTo, text, varchar } from './columns.js';

/** Searches are run again by themselves. */
export class Schedules1800000000021 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'schedule',
        columns: [
          id,
          varchar('reviewId'),
          text('entries'),
          text('recurrence'),
          varchar('state'),
          optional(varchar('nextAt')),
          varchar('token'),
          varchar('createdAt'),
          varchar('createdBy'),
          integer('version'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('createdBy', 'person')],
        uniques: [{ columnNames: ['token'] }],
      }),
    );
    await runner.createTable(
      new Table({
        name: 'firing',
        columns: [
          id,
          varchar('reviewId'),
          varchar('scheduleId'),
          varchar('dueAt'),
          integer('entry'),
          varchar('databaseName'),
          varchar('status'),
          integer('missed'),
          integer('tries'),
          optional(varchar('againAt')),
          optional(varchar('runId')),
          optional(integer('became')),
          optional(text('fresh')),
          integer('freshCount'),
          optional(text('trouble')),
          boolean('seen'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('scheduleId', 'schedule')],
        // So no schedule fires twice at one time, whatever is started how often.
        uniques: [{ columnNames: ['scheduleId', 'dueAt', 'entry'] }],
      }),
    );
    await runner.createIndex(
      'firing',
      new TableIndex({ name: 'firing_open', columnNames: ['status', 'againAt'] }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('firing');
    await runner.dropTable('schedule');
  }
}
