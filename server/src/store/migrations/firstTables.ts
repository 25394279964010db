import { Table, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, primary, refersTo, text, varchar } from './columns.js';

export class FirstTables1790000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const tables = [
      new Table({ name: 'person', columns: [id, varchar('name'), varchar('createdAt')] }),
      new Table({
        name: 'review',
        columns: [id, varchar('title'), varchar('createdAt'), varchar('createdBy'), integer('version')],
        foreignKeys: [refersTo('createdBy', 'person')],
      }),
      new Table({
        name: 'element',
        columns: [
          id,
          varchar('reviewId'),
          varchar('key'),
          integer('position'),
          text('text'),
          text('note'),
          { name: 'searched', type: 'boolean' },
          integer('version'),
        ],
        foreignKeys: [refersTo('reviewId', 'review')],
        uniques: [{ columnNames: ['reviewId', 'key'] }],
      }),
      new Table({
        name: 'term',
        columns: [
          id,
          varchar('elementId'),
          integer('position'),
          text('content'),
          varchar('origin'),
          varchar('createdAt'),
          varchar('createdBy'),
          optional(varchar('removedAt')),
          integer('version'),
        ],
        foreignKeys: [refersTo('elementId', 'element'), refersTo('createdBy', 'person')],
        indices: [{ columnNames: ['elementId'] }],
      }),
      new Table({
        name: 'run',
        columns: [
          id,
          varchar('reviewId'),
          varchar('database'),
          varchar('status'),
          varchar('startedAt'),
          varchar('timeZone'),
          varchar('ranBy'),
          varchar('databaseName'),
          varchar('release'),
          text('lines'),
          optional(integer('hits')),
          integer('fetched'),
          optional(text('reason')),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('ranBy', 'person')],
      }),
      new Table({
        name: 'ledger_entry',
        columns: [
          id,
          varchar('reviewId'),
          varchar('runId'),
          integer('entry'),
          text('content'),
          optional(varchar('previousHash')),
          varchar('hash'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('runId', 'run')],
        uniques: [{ columnNames: ['reviewId', 'entry'] }, { columnNames: ['runId'] }],
      }),
      new Table({
        name: 'record',
        columns: [
          id,
          varchar('reviewId'),
          varchar('database'),
          varchar('accession'),
          varchar('lastRunId'),
          integer('rank'),
          text('title'),
          integer('year'),
          text('journal'),
          text('record'),
          varchar('decision'),
          optional(varchar('decidedBy')),
          optional(varchar('decidedAt')),
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
        columns: [primary(varchar('runId')), primary(varchar('accession')), integer('rank')],
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
