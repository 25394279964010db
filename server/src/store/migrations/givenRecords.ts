import { TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';

/** Whether a record was given already is asked for each record of a file. */
export class GivenRecords1800000000004 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createIndex(
      'hand_record',
      new TableIndex({ name: 'hand_record_given', columnNames: ['database', 'meaning', 'accession'] }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropIndex('hand_record', 'hand_record_given');
  }
}
