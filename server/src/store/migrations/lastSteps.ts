import { TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';

/** By which the latest step of each is found at once. */
const ORDERS: readonly [table: string, columnNames: string[]][] = [
  ['run', ['reviewId', 'startedAt']],
  ['record', ['reviewId', 'decidedAt']],
  ['shelf_item', ['reviewId', 'createdAt']],
  ['review_limit', ['reviewId', 'changedAt']],
  ['own_line', ['reviewId', 'changedAt']],
  ['wording', ['elementId', 'at']],
  ['lane_event', ['laneId', 'at']],
  ['element', ['reviewId', 'position']],
  ['lane', ['reviewId', 'position']],
];
const nameOf = (table: string) => `${table}_last_step`;

/** The list of reviews tells what was done last in each. */
export class LastSteps1800000000025 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [table, columnNames] of ORDERS)
      await runner.createIndex(table, new TableIndex({ name: nameOf(table), columnNames }));
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [table] of ORDERS) await runner.dropIndex(table, nameOf(table));
  }
}
