/** Starts the stand-ins on loopback. */
import { join } from 'node:path';
import { openDatabases, standInApplication } from './application.js';

const port = Number(process.env.STANDINS_PORT ?? 4311);
const dataFolder = process.env.EVEN_LANTERN_DATA ?? join(process.cwd(), 'data');
const contentFolder = join(import.meta.dirname, '..', 'content');

const databases = openDatabases({ contentFolder, dataFolder: join(dataFolder, 'standins') });
const application = standInApplication(databases);
const server = application.listen(port, '127.0.0.1', (error?: Error) => {
  if (error) {
    console.error(`The stand-ins cannot listen on port ${port}: ${error.message}`);
    process.exit(1);
  }
  console.log(`stand-ins: http://127.0.0.1:${port}/`);
});
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
}
