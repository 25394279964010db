import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, refersTo, text, varchar } from './columns.js';

/** What each run found of a record is kept, so that a search that is run again can be told apart from the one before. */
export class RecordStates1800000000020 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    // So written, the table is not made anew.
    await runner.query('ALTER TABLE run_record ADD COLUMN "digest" varchar');
    await runner.createTable(
      new Table({
        name: 'record_state',
        columns: [
          id,
          varchar('reviewId'),
          varchar('database'),
          varchar('accession'),
          varchar('digest'),
          text('record'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
        uniques: [{ columnNames: ['reviewId', 'database', 'accession', 'digest'] }],
      }),
    );
    await runner.createTable(
      new Table({
        name: 'drift',
        columns: [
          id,
          varchar('reviewId'),
          integer('entry'),
          integer('against'),
          text('content'),
          varchar('at'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
        uniques: [{ columnNames: ['reviewId', 'entry', 'against'] }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('drift');
    await runner.dropTable('record_state');
    await runner.dropColumn('run_record', 'digest');
  }
}
