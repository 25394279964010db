import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { boolean, id, integer, optional, refersTo, text, varchar } from './columns.js';

/** A strategy has lines that people write beside those of the lanes. */
export class OwnLines1800000000012 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'own_line',
        columns: [
          id,
          varchar('reviewId'),
          integer('position'),
          varchar('role'),
          boolean('on'),
          text('text'),
          text('note'),
          varchar('changedAt'),
          varchar('changedBy'),
          optional(varchar('removedAt')),
          integer('version'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
      }),
    );
    await runner.createIndex(
      'own_line',
      new TableIndex({ name: 'own_line_in_order', columnNames: ['reviewId', 'position'] }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('own_line');
  }
}
