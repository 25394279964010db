import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, text, varchar } from './columns.js';

/** Lines of a strategy as somebody wrote them by hand for one database. */
export class LineTexts1799000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'line_text',
        columns: [
          id,
          varchar('reviewId'),
          varchar('database'),
          varchar('line'),
          integer('version'),
          varchar('language'),
          optional(text('text')),
          text('refersTo'),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('personId', 'person')],
        uniques: [{ columnNames: ['reviewId', 'database', 'line', 'version'] }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('line_text');
  }
}
