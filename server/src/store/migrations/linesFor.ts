import { TableColumn, type MigrationInterface, type QueryRunner } from 'typeorm';
import { varchar } from './columns.js';

/** People choose how fine the lines of a strategy are. */
export class LinesFor1800000000018 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumn('review', new TableColumn({ ...varchar('linesFor'), default: "'term'" }));
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropColumn('review', 'linesFor');
  }
}
