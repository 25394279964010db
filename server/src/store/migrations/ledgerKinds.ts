import { TableColumn, TableIndex, type MigrationInterface, type QueryRunner } from 'typeorm';
import { integer, optional, parameter, text, varchar } from './columns.js';

const AT_A_TIME = 200;

/** Entries of the ledger can be other than runs, and are listed from columns; what a run was begun with is kept with it. */
export class LedgerKinds1800000000019 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    const run = new TableColumn({ ...varchar('runId'), isUnique: true });
    await runner.changeColumn(
      'ledger_entry',
      run,
      new TableColumn({ ...optional(varchar('runId')), isUnique: true }),
    );
    await runner.addColumns('ledger_entry', [
      new TableColumn({ ...varchar('kind'), default: "'run'" }),
      new TableColumn(optional(varchar('database'))),
      new TableColumn(optional(varchar('outcome'))),
      new TableColumn(optional(integer('about'))),
      new TableColumn({ ...text('summary'), default: "'{}'" }),
      new TableColumn({ ...text('words'), default: "''" }),
    ]);
    await runner.createIndex(
      'ledger_entry',
      new TableIndex({ name: 'ledger_entry_about', columnNames: ['reviewId', 'about'] }),
    );
    await this.fill(runner);
    // So written, the table is not made anew, which others refer to.
    await runner.query('ALTER TABLE run ADD COLUMN "begun" text');
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.dropColumn('run', 'begun');
    await runner.dropIndex('ledger_entry', 'ledger_entry_about');
    await runner.dropColumns('ledger_entry', ['kind', 'database', 'outcome', 'about', 'summary', 'words']);
  }

  /** All entries up to now are runs. */
  private async fill(runner: QueryRunner): Promise<void> {
    type Row = { id: string; content: string };
    for (let last = ''; ;) {
      const rows = (await runner.query(
        `SELECT id, content FROM ledger_entry WHERE id > ${parameter(runner, 0)} ORDER BY id LIMIT ${AT_A_TIME}`,
        [last],
      )) as Row[];
      for (const { id, content } of rows) {
        const run = JSON.parse(content) as RunOfThen;
        const { database, outcome, release, reason, hits, fetched, limits = [] } = run;
        const summary = {
          kind: 'run',
          at: run.startedAt,
          by: run.ranBy,
          title: run.databaseName,
          database,
          release,
          outcome,
          reason,
          lines: run.lines.length,
          hits,
          fetched,
          limits: limits.flatMap(({ limit, way }) => (way === null ? [] : [`${limit} (${way})`])),
          purpose: '',
          about: null,
        };
        const words = [
          run.databaseName,
          release,
          run.ranBy,
          ...run.lines.flatMap((line) => Object.values(line)),
        ];
        const [one, two, three, four, five] = [0, 1, 2, 3, 4].map((i) => parameter(runner, i));
        await runner.query(
          `UPDATE ledger_entry SET "database" = ${one}, outcome = ${two}, summary = ${three}, words = ${four} WHERE id = ${five}`,
          [database, outcome, JSON.stringify(summary), words.join('\n').toLowerCase(), id],
        );
      }
      const end = rows.at(-1);
      if (end === undefined) return;
      last = end.id;
    }
  }
}

/** What entries held when this step was written. */
interface RunOfThen {
  database: string;
  databaseName: string;
  release: string;
  outcome: string;
  reason: string | null;
  hits: number | null;
  fetched: number;
  startedAt: string;
  ranBy: string;
  lines: { description: string; string: string }[];
  limits?: { limit: string; way: string | null }[];
}
