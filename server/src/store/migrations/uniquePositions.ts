import { TableUnique, type MigrationInterface, type QueryRunner } from 'typeorm';

/** Where rows are numbered one after the other, two writers can never take the same number; others had that from the first. */
const POSITIONS: readonly [table: string, columns: string[]][] = [
  ['hand_record', ['database', 'meaning', 'position']],
  ['term', ['elementId', 'position']],
];

export class UniquePositions1800000000003 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const [name, columnNames] of POSITIONS) {
      const table = await runner.getTable(name);
      const known = table?.uniques.some((each) => each.columnNames.join() === columnNames.join()) === true;
      if (known) continue;
      await this.renumber(runner, name, columnNames);
      await runner.createUniqueConstraint(name, new TableUnique({ name: `${name}_position`, columnNames }));
    }
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const [name] of POSITIONS) {
      const table = await runner.getTable(name);
      const own = table?.uniques.find((each) => each.name === `${name}_position`);
      if (own !== undefined) await runner.dropUniqueConstraint(name, own);
    }
  }

  /** Rows that got the same number before there was one writer keep their order. */
  private async renumber(runner: QueryRunner, table: string, columns: readonly string[]): Promise<void> {
    const groups = columns.slice(0, -1).map((column) => `"${column}"`);
    const over = groups.length === 0 ? '' : `PARTITION BY ${groups.join(', ')} `;
    const rows: { id: string; place: number; position: number }[] = await runner.query(
      `SELECT id, position, ROW_NUMBER() OVER (${over}ORDER BY position, id) AS place FROM ${table}`,
    );
    if (new Set(rows.map(({ place, position }) => place === position)).has(false)) {
      for (const { id, place } of rows) {
        await runner.manager
          .createQueryBuilder()
          .update(table)
          .set({ position: place })
          .where('id = :id', { id })
          .execute();
      }
    }
  }
}
