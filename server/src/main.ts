/** Starts the server on loopback. */
import { join } from 'node:path';
import { createApplication } from './application/application.js';
import { DatabasesService } from './databases/databasesService.js';
import { shippedConnector } from './connectors/sru/shippedConnector.js';
import { DemoService } from './demo/demoService.js';
import { openXmlParsers } from './connectors/sru/xmlParser.js';
import { storeTroubleIn } from './store/storeTrouble.js';

/** The databases that ship with the program. */
const STAND_INS = ['corvane', 'wardline', 'mindry', 'assayhouse', 'skein'];
/** Started again, it would end again: what starts the programs need not try (EX_CONFIG of sysexits). */
const CANNOT_START = 78;

const port = Number(process.env.PORT ?? 4310);
const standInsPort = Number(process.env.STANDINS_PORT ?? 4311);
const dataFolder = process.env.EVEN_LANTERN_DATA ?? join(process.cwd(), 'data');

// Where whatever started this has gone, nobody would ever end it.
const leave = () => process.kill(process.pid, 'SIGTERM');
if (process.connected === false) leave();
else process.once('disconnect', leave);

try {
  const xml = openXmlParsers(join(import.meta.dirname, 'connectors', 'sru', 'xmlTask.js'));
  const application = await createApplication({
    xml,
    storePath: join(dataFolder, 'even-lantern.sqlite'),
    connectors: new Map(
      STAND_INS.map((id) => [id, shippedConnector(`http://127.0.0.1:${standInsPort}/sru/${id}`, { xml })]),
    ),
    privateAddresses: process.env.EVEN_LANTERN_PRIVATE_ADDRESSES === 'yes',
    programs: import.meta.dirname,
    webFolder: join(import.meta.dirname, '..', '..', 'web', 'dist'),
  });
  await application.init();
  await application.get(DemoService).fillIfEmpty();
  await application.listen(port, '127.0.0.1');
  console.log(`Even Lantern: http://localhost:${port}`);
  await application.get(DatabasesService).makeReady();
} catch (error) {
  console.error(whyNot(error));
  process.exit(CANNOT_START);
}

/** In a sentence or two, for the person who started it. */
function whyNot(error: unknown): string {
  const trouble = storeTroubleIn(error);
  if (trouble !== null) return `Even Lantern cannot start. ${trouble.message} ${trouble.advice}`;
  const code = typeof error === 'object' && error !== null && 'code' in error ? error.code : null;
  if (code === 'EADDRINUSE') {
    return `Even Lantern cannot start: another program listens on port ${port}. End it, or choose another port with PORT.`;
  }
  if (code === 'ERR_SOCKET_BAD_PORT') {
    return `Even Lantern cannot start: PORT is “${process.env.PORT}”; it has to be a number from 1 to 65535.`;
  }
  if (code === 'ENOENT' || code === 'ENOTDIR' || code === 'EEXIST') {
    return `Even Lantern cannot start: the data folder ${dataFolder} cannot be made. Choose another with EVEN_LANTERN_DATA.`;
  }
  return `Even Lantern cannot start: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`;
}
