import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { integer, optional, primary, varchar } from './columns.js';

/** People say how much a database may be asked. */
export class CallBudgets1800000000016 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'call_budget',
        columns: [
          primary(varchar('database')),
          integer('atOnce'),
          optional(integer('perSecond')),
          varchar('changedAt'),
          varchar('changedBy'),
        ],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('call_budget');
  }
}
