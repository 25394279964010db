import {
  Table,
  TableForeignKey,
  type MigrationInterface,
  type QueryRunner,
  type TableColumnOptions,
} from 'typeorm';

const text = (name: string): TableColumnOptions => ({ name, type: 'text' });
const name = (column: string): TableColumnOptions => ({ name: column, type: 'varchar' });
const number = (column: string): TableColumnOptions => ({ name: column, type: 'integer' });
const optional = (column: TableColumnOptions): TableColumnOptions => ({ ...column, isNullable: true });
const id: TableColumnOptions = { name: 'id', type: 'varchar', isPrimary: true };

const refersTo = (column: string, table: string) =>
  new TableForeignKey({ columnNames: [column], referencedTableName: table, referencedColumnNames: ['id'] });

export class FirstTables1790000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const tables = [
      new Table({ name: 'person', columns: [id, name('name'), name('createdAt')] }),
      new Table({
        name: 'review',
        columns: [id, name('title'), name('createdAt'), name('createdBy'), number('version')],
        foreignKeys: [refersTo('createdBy', 'person')],
      }),
      new Table({
        name: 'element',
        columns: [
          id,
          name('reviewId'),
          name('key'),
          number('position'),
          text('text'),
          text('note'),
          { name: 'searched', type: 'boolean' },
          number('version'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
        uniques: [{ columnNames: ['reviewId', 'key'] }],
      }),
      new Table({
        name: 'term',
        columns: [
          id,
          name('elementId'),
          number('position'),
          text('content'),
          name('origin'),
          name('createdAt'),
          name('createdBy'),
          optional(name('removedAt')),
          number('version'),
        ],
        foreignKeys: [refersTo('elementId', 'element'), refersTo('createdBy', 'person')],
        indices: [{ columnNames: ['elementId'] }],
      }),
      new Table({
        name: 'run',
        columns: [
          id,
          name('reviewId'),
          name('database'),
          name('status'),
          name('startedAt'),
          name('timeZone'),
          name('ranBy'),
          name('databaseName'),
          name('release'),
          text('lines'),
          optional(number('hits')),
          number('fetched'),
          optional(text('reason')),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('ranBy', 'person')],
      }),
      new Table({
        name: 'ledger_entry',
        columns: [
          id,
          name('reviewId'),
          name('runId'),
          number('entry'),
          text('content'),
          optional(name('previousHash')),
          name('hash'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('runId', 'run')],
        uniques: [{ columnNames: ['reviewId', 'entry'] }, { columnNames: ['runId'] }],
      }),
      new Table({
        name: 'record',
        columns: [
          id,
          name('reviewId'),
          name('database'),
          name('accession'),
          name('lastRunId'),
          number('rank'),
          text('title'),
          number('year'),
          text('journal'),
          text('record'),
          name('decision'),
          optional(name('decidedBy')),
          optional(name('decidedAt')),
        ],
        foreignKeys: [
          refersTo('reviewId', 'review'),
          refersTo('lastRunId', 'run'),
          refersTo('decidedBy', 'person'),
        ],
        uniques: [{ columnNames: ['reviewId', 'database', 'accession'] }],
        indices: [{ columnNames: ['reviewId', 'decision'] }],
      }),
      new Table({
        name: 'run_record',
        columns: [
          { ...name('runId'), isPrimary: true },
          { ...name('accession'), isPrimary: true },
          number('rank'),
        ],
        foreignKeys: [refersTo('runId', 'run')],
      }),
    ];
    for (const table of tables) await runner.createTable(table);
  }

  async down(runner: QueryRunner): Promise<void> {
    for (const table of [
      'run_record',
      'record',
      'ledger_entry',
      'run',
      'term',
      'element',
      'review',
      'person',
    ]) {
      await runner.dropTable(table);
    }
  }
}
