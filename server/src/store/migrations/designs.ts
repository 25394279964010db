import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, varchar } from './columns.js';

/** The design of a record can be judged, and a review has a ladder of evidence of its own. */
export class Designs1800000000009 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'design_judgement',
        columns: [
          id,
          varchar('reviewId'),
          varchar('recordId'),
          integer('position'),
          optional(varchar('design')),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('recordId', 'record')],
        uniques: [{ columnNames: ['recordId', 'position'] }],
      }),
    );
    // So written, the table is not made anew, which others refer to.
    await runner.query('ALTER TABLE review ADD COLUMN "ladder" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropColumn('review', 'ladder');
    await runner.dropTable('design_judgement');
  }
}
