import { Table, TableColumn, TableForeignKey, type MigrationInterface, type QueryRunner } from 'typeorm';

/** Questions can be framed in several ways, and earlier wordings are kept. */
export class QuestionHistory1795000000001 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumn(
      'review',
      new TableColumn({ name: 'framework', type: 'varchar', default: "'pico'" }),
    );
    const refersTo = (column: string, table: string) =>
      new TableForeignKey({
        columnNames: [column],
        referencedTableName: table,
        referencedColumnNames: ['id'],
      });
    await runner.createTable(
      new Table({
        name: 'wording',
        columns: [
          { name: 'id', type: 'varchar', isPrimary: true },
          { name: 'elementId', type: 'varchar' },
          { name: 'position', type: 'integer' },
          { name: 'text', type: 'text' },
          { name: 'at', type: 'varchar' },
          { name: 'personId', type: 'varchar' },
        ],
        foreignKeys: [refersTo('elementId', 'element'), refersTo('personId', 'person')],
        uniques: [{ columnNames: ['elementId', 'position'] }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('wording');
    await runner.dropColumn('review', 'framework');
  }
}
