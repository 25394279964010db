import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, text, varchar } from './columns.js';

const STATES = ['putAwayAt', 'deletedAt'];
const DECIDED = 'record_decided_at';

/** A review has a shelf, can be put away, and deleted bit by bit. */
export class Shelf1800000000007 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'shelf_item',
        columns: [
          id,
          varchar('reviewId'),
          integer('position'),
          text('name'),
          text('contents'),
          varchar('origin'),
          text('source'),
          varchar('createdAt'),
          varchar('createdBy'),
          optional(varchar('removedAt')),
          integer('version'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
        uniques: [{ columnNames: ['reviewId', 'position'] }],
      }),
    );
    // So written, the table is not made anew, which others refer to.
    for (const column of STATES) await runner.query(`ALTER TABLE review ADD COLUMN "${column}" varchar`);
    await runner.createIndex(
      'record',
      new TableIndex({ name: DECIDED, columnNames: ['reviewId', 'decidedAt'] }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropIndex('record', DECIDED);
    for (const column of STATES) await runner.dropColumn('review', column);
    await runner.dropTable('shelf_item');
  }
}
