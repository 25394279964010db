// Runs all steps on PostgreSQL, in this process, and prints what columns each table has there and in its entity. It is a
// program of its own, since PostgreSQL in this form loads itself in a way that the test runner does not allow.
import { PGlite } from '@electric-sql/pglite';
import { DataSource } from 'typeorm';
import { ENTITIES } from '../../dist/store/entities.js';
import { MIGRATIONS } from '../../dist/store/migrations/index.js';

/** The database as the driver's package offers it to TypeORM. */
function driverOver(database) {
  const client = {
    query: async (text, parameters) => {
      const { rows, affectedRows } = await database.query(text, parameters);
      const [command] = text.trim().split(/\s/);
      return { rows, rowCount: rows.length || (affectedRows ?? 0), command };
    },
    on: () => client,
    removeListener: () => client,
    release: () => undefined,
  };
  class Pool {
    connect(done) {
      done(null, client, () => undefined);
    }
    on() {
      return this;
    }
    end(done) {
      done();
    }
  }
  return { Pool, types: { setTypeParser: () => undefined } };
}

const database = new PGlite();
const options = { type: 'postgres', driver: driverOver(database) };
// As in the store, steps are run without the entities of now.
const steps = await new DataSource({ ...options, migrations: MIGRATIONS }).initialize();
await steps.runMigrations();
const source = await new DataSource({ ...options, entities: ENTITIES }).initialize();
const tables = {};
for (const { tableName, columns } of source.entityMetadatas) {
  const { rows } = await database.query(
    'SELECT column_name AS name FROM information_schema.columns WHERE table_name = $1',
    [tableName],
  );
  tables[tableName] = {
    made: rows.map(({ name }) => name).sort(),
    entity: columns.map(({ databaseName }) => databaseName).sort(),
  };
}
console.log(JSON.stringify(tables));
process.exit(0);
