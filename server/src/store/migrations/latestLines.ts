import { TableColumn, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { boolean } from './columns.js';

/** How a line stands now is known without reading how it stood before. */
export class LatestLines1800000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumn('line_text', new TableColumn({ ...boolean('latest'), default: false }));
    await runner.query(
      `UPDATE line_text SET latest = true WHERE version = (
         SELECT max(version) FROM line_text AS other WHERE other."reviewId" = line_text."reviewId"
           AND other.database = line_text.database AND other.line = line_text.line)`,
    );
    await runner.createIndex(
      'line_text',
      new TableIndex({ columnNames: ['reviewId', 'database', 'latest'], name: 'line_text_latest' }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropIndex('line_text', 'line_text_latest');
    await runner.dropColumn('line_text', 'latest');
  }
}
