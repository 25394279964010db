import { Table, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, text, varchar } from './columns.js';

/** What checks found can be accepted, with a reason. */
export class AcceptedFindings1800000000013 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'accepted_finding',
        columns: [
          id,
          varchar('reviewId'),
          integer('position'),
          varchar('check'),
          varchar('place'),
          text('detail'),
          text('message'),
          optional(text('reason')),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
      }),
    );
    await runner.createIndex(
      'accepted_finding',
      new TableIndex({
        name: 'accepted_finding_in_order',
        columnNames: ['reviewId', 'position'],
        isUnique: true,
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('accepted_finding');
  }
}
