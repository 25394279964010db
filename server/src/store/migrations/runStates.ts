import { TableColumn, type MigrationInterface, type QueryRunner } from 'typeorm';
import { integer, optional, text, varchar } from './columns.js';

/** What a run is bounded by, what was odd in it, when it was last heard of, and what marks its records. */
export class RunStates1800000000001 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumns('run', [
      new TableColumn({ ...integer('most'), default: 1_000_000 }),
      new TableColumn({ ...varchar('lastAt'), default: "''" }),
      new TableColumn({ ...text('remarks'), default: "'[]'" }),
      new TableColumn(optional(text('marks'))),
    ]);
    await runner.query('UPDATE run SET "lastAt" = "startedAt"');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropColumns('run', ['most', 'lastAt', 'remarks', 'marks']);
  }
}
