import { Table, TableColumn, TableForeignKey, type MigrationInterface, type QueryRunner } from 'typeorm';

/** Terms can be held back, and lanes have a history. */
export class LaneHistory1795000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumn('term', new TableColumn({ name: 'heldBack', type: 'text', isNullable: true }));
    const refersTo = (column: string, table: string) =>
      new TableForeignKey({
        columnNames: [column],
        referencedTableName: table,
        referencedColumnNames: ['id'],
      });
    await runner.createTable(
      new Table({
        name: 'lane_event',
        columns: [
          { name: 'id', type: 'varchar', isPrimary: true },
          { name: 'elementId', type: 'varchar' },
          { name: 'position', type: 'integer' },
          { name: 'termId', type: 'varchar' },
          { name: 'at', type: 'varchar' },
          { name: 'personId', type: 'varchar' },
          { name: 'what', type: 'varchar' },
          { name: 'content', type: 'text' },
          { name: 'before', type: 'text', isNullable: true },
          { name: 'reason', type: 'text', isNullable: true },
        ],
        foreignKeys: [
          refersTo('elementId', 'element'),
          refersTo('termId', 'term'),
          refersTo('personId', 'person'),
        ],
        uniques: [{ columnNames: ['elementId', 'position'] }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('lane_event');
    await runner.dropColumn('term', 'heldBack');
  }
}
