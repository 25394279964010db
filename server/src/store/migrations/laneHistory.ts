import { Table, TableColumn, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, refersTo, text, varchar } from './columns.js';

/** Terms can be held back, and lanes have a history. */
export class LaneHistory1795000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumn('term', new TableColumn(optional(text('heldBack'))));
    await runner.createTable(
      new Table({
        name: 'lane_event',
        columns: [
          id,
          varchar('elementId'),
          integer('position'),
          varchar('termId'),
          varchar('at'),
          varchar('personId'),
          varchar('what'),
          text('content'),
          optional(text('before')),
          optional(text('reason')),
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
