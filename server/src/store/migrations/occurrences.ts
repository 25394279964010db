import type { MigrationInterface, QueryRunner } from 'typeorm';

/** A time at which a schedule was due is called an occurrence. */
export class Occurrences1800000000023 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE firing RENAME TO occurrence');
    await runner.query('DROP INDEX firing_open');
    await runner.query('CREATE INDEX occurrence_open ON occurrence (status, "againAt")');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('DROP INDEX occurrence_open');
    await runner.query('ALTER TABLE occurrence RENAME TO firing');
    await runner.query('CREATE INDEX firing_open ON firing (status, "againAt")');
  }
}
