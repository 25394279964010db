import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, text, varchar } from './columns.js';

/** Vocabularies read from files, and what was settled between vocabularies. */
export class CrosswalkTables1796000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'imported_vocabulary',
        columns: [
          id,
          varchar('vocabulary'),
          varchar('name'),
          varchar('release'),
          integer('headings'),
          text('content'),
          text('notes'),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('personId', 'person')],
        indices: [{ columnNames: ['vocabulary', 'at'] }],
      }),
    );
    await runner.createTable(
      new Table({
        name: 'settlement',
        columns: [
          id,
          integer('position'),
          varchar('vocabulary'),
          varchar('label'),
          varchar('target'),
          optional(varchar('targetLabel')),
          varchar('verdict'),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('personId', 'person')],
        uniques: [{ columnNames: ['position'] }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('settlement');
    await runner.dropTable('imported_vocabulary');
  }
}
