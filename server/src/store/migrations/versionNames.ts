import { TableColumn, type MigrationInterface, type QueryRunner } from 'typeorm';
import { optional, varchar } from './columns.js';

/** Who named a version; nobody knows it of those that were named before. */
export class VersionNames1800000000024 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumn('strategy_version', new TableColumn(optional(varchar('namedBy'))));
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropColumn('strategy_version', 'namedBy');
  }
}
