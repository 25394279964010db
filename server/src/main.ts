/** Starts the server on loopback. */
import { join } from 'node:path';
import { createApplication } from './application/application.js';
import { DatabasesService } from './databases/databasesService.js';
import { shippedServer, sruConnector } from './databases/sru/connector.js';
import { DemoService } from './demo/demoService.js';

/** The databases that ship with the program. */
const STAND_INS = ['corvane', 'wardline', 'mindry', 'assayhouse', 'skein'];

const port = Number(process.env.PORT ?? 4310);
const standInsPort = Number(process.env.STANDINS_PORT ?? 4311);
const dataFolder = process.env.EVEN_LANTERN_DATA ?? join(process.cwd(), 'data');

const application = await createApplication({
  storePath: join(dataFolder, 'even-lantern.sqlite'),
  connectors: new Map(
    STAND_INS.map((id) => [id, sruConnector(shippedServer(`http://127.0.0.1:${standInsPort}/sru/${id}`))]),
  ),
  privateAddresses: process.env.EVEN_LANTERN_PRIVATE_ADDRESSES === 'yes',
  programs: import.meta.dirname,
  webFolder: join(import.meta.dirname, '..', '..', 'web', 'dist'),
});
await application.init();
await application.get(DemoService).fillIfEmpty();
try {
  await application.listen(port, '127.0.0.1');
  console.log(`Even Lantern: http://localhost:${port}`);
  await application.get(DatabasesService).makeReady();
} catch (error) {
  console.error(
    `Even Lantern cannot listen on port ${port}: ${error instanceof Error ? error.message : String(error)}`,
  );
  process.exit(1);
}
