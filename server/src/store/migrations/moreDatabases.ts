import { Table, TableColumn, type MigrationInterface, type QueryRunner } from 'typeorm';
import { boolean, id, refersTo, text, varchar } from './columns.js';

/** Runs are in a database's own dialect; databases are chosen for a review. */
export class MoreDatabases1797000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumn('run', new TableColumn({ ...varchar('queryType'), default: "'cql'" }));
    await runner.createTable(
      new Table({
        name: 'database_choice',
        columns: [
          id,
          varchar('reviewId'),
          varchar('database'),
          boolean('chosen'),
          text('note'),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('personId', 'person')],
        uniques: [{ columnNames: ['reviewId', 'database'] }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('database_choice');
    await runner.dropColumn('run', 'queryType');
  }
}
