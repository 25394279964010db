import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { integer, primary, text, varchar } from './columns.js';

/** Headings of vocabularies read from files lie beside them, in parts, so that a large one is kept piece by piece. */
export class ImportedHeadings1800000000005 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'imported_headings',
        columns: [primary(varchar('vocabularyRow')), primary(integer('part')), text('content')],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('imported_headings');
  }
}
