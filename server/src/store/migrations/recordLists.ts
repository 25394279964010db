import { Table, TableColumn, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, primary, refersTo, text, varchar } from './columns.js';

/** What the lists of records are sorted and narrowed by; the last of each order makes it a total one, for paging. */
const ORDERS: Readonly<Record<string, string[]>> = {
  record_by_rank: ['reviewId', 'rank', 'id'],
  record_by_year: ['reviewId', 'year', 'accession', 'id'],
  record_decided_by_rank: ['reviewId', 'decision', 'rank', 'id'],
  record_decided_by_year: ['reviewId', 'decision', 'year', 'accession', 'id'],
};

/** Lists of records are read from columns and indexes, and counted beside them; decisions have a version; what is done to databases is kept. */
export class RecordLists1800000000002 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.addColumns('record', [
      new TableColumn({ ...integer('version'), default: 1 }),
      new TableColumn({ ...text('publicationTypes'), default: "'[]'" }),
    ]);
    await this.fillTypes(runner);
    for (const [name, columnNames] of Object.entries(ORDERS)) {
      await runner.createIndex('record', new TableIndex({ name, columnNames }));
    }
    await runner.createTable(
      new Table({
        name: 'record_count',
        columns: [primary(varchar('reviewId')), primary(varchar('decision')), integer('number')],
        foreignKeys: [refersTo('reviewId', 'review')],
      }),
    );
    await runner.query(
      `INSERT INTO record_count ("reviewId", decision, number)
         SELECT "reviewId", decision, COUNT(*) FROM record GROUP BY "reviewId", decision`,
    );
    await runner.createTable(
      new Table({
        name: 'database_event',
        columns: [
          id,
          varchar('database'),
          integer('position'),
          varchar('what'),
          text('detail'),
          varchar('at'),
          varchar('personId'),
        ],
        foreignKeys: [refersTo('personId', 'person')],
        uniques: [{ columnNames: ['database', 'position'] }],
      }),
    );
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropTable('database_event');
    await runner.dropTable('record_count');
    for (const name of Object.keys(ORDERS)) await runner.dropIndex('record', name);
    await runner.dropColumns('record', ['version', 'publicationTypes']);
  }

  /** From the records themselves, so many at a time. */
  private async fillTypes(runner: QueryRunner): Promise<void> {
    for (let after = ''; ;) {
      const rows: { id: string; record: string }[] = await runner.manager
        .createQueryBuilder()
        .select('each.id', 'id')
        .addSelect('each.record', 'record')
        .from('record', 'each')
        .where('each.id > :after', { after })
        .orderBy('each.id')
        .limit(500)
        .getRawMany();
      for (const row of rows) {
        const { publicationTypes = [] } = JSON.parse(row.record) as { publicationTypes?: string[] };
        await runner.manager
          .createQueryBuilder()
          .update('record')
          .set({ publicationTypes: JSON.stringify(publicationTypes) })
          .where('id = :id', { id: row.id })
          .execute();
      }
      const last = rows.at(-1);
      if (last === undefined) return;
      after = last.id;
    }
  }
}
