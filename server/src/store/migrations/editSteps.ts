import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, text, varchar } from './columns.js';

/** What each edit of a review did is kept, so that it can be taken back and done again. */
export class EditSteps1800000000015 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'edit_step',
        columns: [
          id,
          varchar('reviewId'),
          integer('position'),
          varchar('personId'),
          varchar('at'),
          optional(varchar('edit')),
          text('words'),
          text('step'),
          varchar('standing'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
      }),
    );
    await runner.createIndex(
      'edit_step',
      new TableIndex({
        name: 'edit_step_in_order',
        columnNames: ['reviewId', 'personId', 'position'],
        isUnique: true,
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('edit_step');
  }
}
