import { Table, TableColumn, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, refersTo, text, varchar } from './columns.js';

/** Questions can be framed in several ways, and earlier wordings are kept. */
export class QuestionHistory1795000000001 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumn(
      'review',
      new TableColumn({ name: 'framework', type: 'varchar', default: "'pico'" }),
    );
    await runner.createTable(
      new Table({
        name: 'wording',
        columns: [
          id,
          varchar('elementId'),
          integer('position'),
          text('text'),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('elementId', 'element'), refersTo('personId', 'person')],
        uniques: [{ columnNames: ['elementId', 'position'] }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('wording');
    await runner.dropColumn('review', 'framework');
  }
}
