import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { boolean, id, integer, optional, refersTo, text, varchar } from './columns.js';

const OF_LANES = ['term', 'lane_event'];

/**
 * Lanes become rows of their own, so that an element may have several. Each element’s lane keeps the element’s id, so
 * that runs, histories and lines written by hand go on naming it.
 */
export class Lanes1800000000006 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'lane',
        columns: [
          id,
          varchar('reviewId'),
          optional(varchar('elementId')),
          integer('position'),
          text('name'),
          boolean('leftOut'),
          optional(varchar('removedAt')),
          integer('version'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('elementId', 'element')],
        indices: [{ columnNames: ['reviewId'] }],
      }),
    );
    await runner.query(
      `INSERT INTO lane ("id", "reviewId", "elementId", "position", "name", "leftOut", "version")
       SELECT "id", "reviewId", "id", "position" + 1, '', FALSE, 1 FROM element`,
    );
    await this.refer(runner, 'elementId', 'laneId', 'lane');
  }

  async down(runner: QueryRunner): Promise<void> {
    await this.refer(runner, 'laneId', 'elementId', 'element');
    await runner.dropTable('lane');
  }

  /** Terms and events refer to another table from now on. */
  private async refer(runner: QueryRunner, from: string, to: string, table: string): Promise<void> {
    for (const name of OF_LANES) {
      const known = (await runner.getTable(name))?.foreignKeys.find(({ columnNames }) =>
        columnNames.includes(from),
      );
      if (known !== undefined) await runner.dropForeignKey(name, known);
      await runner.renameColumn(name, from, to);
      await runner.createForeignKey(name, refersTo(to, table));
    }
  }
}
