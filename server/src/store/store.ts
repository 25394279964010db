import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { DataSource } from 'typeorm';
import { AddedDatabases1798000000000 } from './addedDatabases.js';
import { CrosswalkTables1796000000000 } from './crosswalkTables.js';
import { ENTITIES } from './entities.js';
import { FirstTables1790000000000 } from './firstTables.js';
import { LaneHistory1795000000000 } from './laneHistory.js';
import { LineTexts1799000000000 } from './lineTexts.js';
import { MoreDatabases1797000000000 } from './moreDatabases.js';
import { QuestionHistory1795000000001 } from './questionHistory.js';

/** Opens the store, bringing its tables up to date first. */
export async function openStore(path: string): Promise<DataSource> {
  mkdirSync(dirname(path), { recursive: true });
  const store = new DataSource({
    type: 'better-sqlite3',
    database: path,
    entities: ENTITIES,
    migrations: [
      FirstTables1790000000000,
      LaneHistory1795000000000,
      QuestionHistory1795000000001,
      CrosswalkTables1796000000000,
      MoreDatabases1797000000000,
      AddedDatabases1798000000000,
      LineTexts1799000000000,
    ],
    migrationsRun: true,
    synchronize: false,
    enableWAL: true,
    prepareDatabase: (database: { pragma(text: string): void }) => {
      database.pragma('foreign_keys = ON');
      database.pragma('busy_timeout = 5000');
    },
  });
  return store.initialize();
}
