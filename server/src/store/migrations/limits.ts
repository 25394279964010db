import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { boolean, id, integer, optional, refersTo, text, varchar } from './columns.js';

/** A review has limits, and a run tells which were applied. */
export class Limits1800000000008 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'review_limit',
        columns: [
          id,
          varchar('reviewId'),
          integer('position'),
          varchar('kind'),
          text('content'),
          text('reason'),
          boolean('on'),
          text('ways'),
          varchar('changedAt'),
          varchar('changedBy'),
          optional(varchar('removedAt')),
          integer('version'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
      }),
    );
    await runner.createIndex(
      'review_limit',
      new TableIndex({ name: 'review_limit_in_order', columnNames: ['reviewId', 'position'] }),
    );
    // So written, the table is not made anew, which others refer to.
    await runner.query('ALTER TABLE run ADD COLUMN "limits" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropColumn('run', 'limits');
    await runner.dropTable('review_limit');
  }
}
