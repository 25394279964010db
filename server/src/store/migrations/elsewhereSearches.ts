import { Table, TableColumn, type MigrationInterface, type QueryRunner } from 'typeorm';
import { id, integer, optional, primary, refersTo, text, varchar } from './columns.js';

/** Searches made elsewhere, and what they brought, stand in tables of their own; before, they stood among the runs. */
export class ElsewhereSearches1800000000022 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.createTable(
      new Table({
        name: 'elsewhere_search',
        columns: [
          id,
          varchar('reviewId'),
          varchar('source'),
          text('name'),
          varchar('enteredAt'),
          varchar('enteredBy'),
          integer('records'),
          text('remarks'),
        ],
        foreignKeys: [refersTo('reviewId', 'review'), refersTo('enteredBy', 'person')],
        indices: [{ name: 'elsewhere_search_source', columnNames: ['reviewId', 'source'] }],
      }),
    );
    await runner.createTable(
      new Table({
        name: 'elsewhere_record',
        columns: [
          primary(varchar('searchId')),
          primary(varchar('accession')),
          integer('rank'),
          optional(varchar('digest')),
        ],
        foreignKeys: [refersTo('searchId', 'elsewhere_search')],
      }),
    );
    await runner.query(
      `INSERT INTO elsewhere_search (id, "reviewId", source, name, "enteredAt", "enteredBy", records, remarks)
         SELECT id, "reviewId", "database", "databaseName", "startedAt", "ranBy", fetched, remarks
           FROM run WHERE "queryType" = 'elsewhere'`,
    );
    await runner.query(
      `INSERT INTO elsewhere_record ("searchId", accession, "rank", digest)
         SELECT "runId", accession, "rank", digest
           FROM run_record WHERE "runId" IN (SELECT id FROM elsewhere_search)`,
    );
    // So written, the tables are not made anew.
    const search = 'varchar REFERENCES elsewhere_search (id)';
    await runner.query(`ALTER TABLE ledger_entry ADD COLUMN "searchId" ${search}`);
    await runner.query(`ALTER TABLE record ADD COLUMN "lastSearchId" ${search}`);
    await runner.query(
      `UPDATE ledger_entry SET "searchId" = "runId", "runId" = NULL
         WHERE "runId" IN (SELECT id FROM elsewhere_search)`,
    );
    await runner.query('CREATE UNIQUE INDEX ledger_entry_search ON ledger_entry ("searchId")');
    // The runner remembers tables, without what statements have changed in them.
    await runner.getTable('record');
    await runner.changeColumn('record', 'lastRunId', new TableColumn(optional(varchar('lastRunId'))));
    await runner.query(
      `UPDATE record SET "lastSearchId" = "lastRunId", "lastRunId" = NULL
         WHERE "lastRunId" IN (SELECT id FROM elsewhere_search)`,
    );
    await runner.query(`DELETE FROM run_record WHERE "runId" IN (SELECT id FROM elsewhere_search)`);
    await runner.query(`DELETE FROM run WHERE id IN (SELECT id FROM elsewhere_search)`);
  }

  async down(): Promise<void> {
    // A store that a later release has changed is left alone, so nobody goes back.
    return Promise.reject(new Error('There is no way back from this step.'));
  }
}
