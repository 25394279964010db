import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, text, varchar } from './columns.js';

/** Databases that people add, and what they give back from those that they ask by hand. */
export class AddedDatabases1798000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'added_database',
        columns: [
          id,
          text('content'),
          varchar('addedAt'),
          varchar('addedBy'),
          optional(varchar('removedAt')),
        ],
        foreignKeys: [refersTo('addedBy', 'person')],
      }),
    );
    await runner.createTable(
      new Table({
        name: 'hand_count',
        columns: [
          id,
          varchar('database'),
          integer('position'),
          text('meaning'),
          text('string'),
          integer('hits'),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('database', 'added_database'), refersTo('personId', 'person')],
        uniques: [{ columnNames: ['database', 'position'] }],
      }),
    );
    await runner.createTable(
      new Table({
        name: 'hand_record',
        columns: [
          id,
          varchar('database'),
          text('meaning'),
          integer('position'),
          varchar('accession'),
          text('record'),
        ],
        foreignKeys: [refersTo('database', 'added_database')],
      }),
    );
    await runner.createIndex(
      'hand_record',
      new TableIndex({ columnNames: ['database', 'meaning', 'position'] }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of ['hand_record', 'hand_count', 'added_database']) await runner.dropTable(table);
  }
}
