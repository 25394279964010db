import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, text, varchar } from './columns.js';

/** Design filters can be saved for all reviews. */
export class SavedFilters1800000000010 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'saved_filter',
        columns: [
          id,
          text('name'),
          text('designs'),
          text('words'),
          varchar('changedAt'),
          varchar('changedBy'),
          optional(varchar('removedAt')),
          integer('version'),
        ],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('saved_filter');
  }
}
