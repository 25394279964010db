import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { boolean, id, integer, refersTo, text, varchar } from './columns.js';

/** The states of a strategy are kept. */
export class StrategyVersions1800000000014 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'strategy_version',
        columns: [
          id,
          varchar('reviewId'),
          integer('position'),
          varchar('digest'),
          text('state'),
          text('name'),
          varchar('at'),
          varchar('personId'),
          boolean('fixed'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
      }),
    );
    await runner.createIndex(
      'strategy_version',
      new TableIndex({
        name: 'strategy_version_in_order',
        columnNames: ['reviewId', 'position'],
        isUnique: true,
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('strategy_version');
  }
}
