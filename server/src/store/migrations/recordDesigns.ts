import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { primary, refersTo, varchar } from './columns.js';

/** A record says which design it has, and with which rules that was told. */
export class RecordDesigns1800000000011 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    // So written, the table is not made anew, which others refer to.
    await runner.query('ALTER TABLE record ADD COLUMN "design" varchar');
    await runner.query('ALTER TABLE record ADD COLUMN "designJudged" boolean NOT NULL DEFAULT false');
    const judged = `SELECT design FROM design_judgement WHERE "recordId" = record.id ORDER BY position DESC LIMIT 1`;
    await runner.query(
      `UPDATE record SET design = (${judged}), "designJudged" = ((${judged}) IS NOT NULL)
         WHERE id IN (SELECT "recordId" FROM design_judgement)`,
    );
    await runner.createIndex(
      'record',
      new TableIndex({
        name: 'record_by_design',
        columnNames: ['reviewId', 'design', 'decision', 'rank', 'id'],
      }),
    );
    await runner.createTable(
      new Table({
        name: 'design_pass',
        columns: [primary(varchar('reviewId')), varchar('rules')],
        foreignKeys: [refersTo('reviewId', 'review')],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('design_pass');
    await runner.dropIndex('record', 'record_by_design');
    await runner.dropColumns('record', ['design', 'designJudged']);
  }
}
