/** Starts the stand-ins on loopback; or, as `advance <database>`, moves one of them to its next release. */
import { join } from 'node:path';
import { openDatabases, standInApplication } from './application.js';

/** Started again, it would end again: what starts the programs need not try (EX_CONFIG of sysexits). */
const CANNOT_START = 78;

const port = Number(process.env.STANDINS_PORT ?? 4311);
const dataFolder = process.env.EVEN_LANTERN_DATA ?? join(process.cwd(), 'data');
const contentFolder = join(import.meta.dirname, '..', 'content');

const [command, name] = process.argv.slice(2);
if (command !== undefined) {
  if (command !== 'advance') {
    console.error(`“${command}” is not known. There is: advance <database>.`);
    process.exit(1);
  }
  process.exit(await advance(name ?? ''));
}

const databases = openDatabases({ contentFolder, dataFolder: join(dataFolder, 'standins') });
const application = standInApplication(databases);
const server = application.listen(port, '127.0.0.1', (error?: Error) => {
  if (error) {
    const taken = 'code' in error && error.code === 'EADDRINUSE';
    const why = taken
      ? 'another program listens there. End it, or choose another port with STANDINS_PORT.'
      : error.message;
    console.error(`The stand-ins cannot listen on port ${port}: ${why}`);
    process.exit(CANNOT_START);
  }
  console.log(`stand-ins: http://127.0.0.1:${port}/`);
});
// Where whatever started this has gone, nobody would ever end it.
const leave = () => process.kill(process.pid, 'SIGTERM');
if (process.connected === false) leave();
else process.once('disconnect', leave);
for (const signal of ['SIGINT', 'SIGTERM'] as const) {
  process.on(signal, () => {
    server.close(() => process.exit(0));
    server.closeAllConnections();
  });
}

/** Through the stand-ins that run, if they do, since they hold their releases in memory. @returns the exit code */
async function advance(id: string): Promise<number> {
  const answer = await tellRunning(id);
  if (answer !== null) return say(answer.status === 404 ? 'unknown' : (answer.release ?? null), id);
  const database = openDatabases({ contentFolder, dataFolder: join(dataFolder, 'standins') }).find(
    (each) => each.id === id,
  );
  return say(database === undefined ? 'unknown' : (database.advance()?.release ?? null), id);
}

async function tellRunning(id: string): Promise<{ status: number; release?: string } | null> {
  try {
    const address = `http://127.0.0.1:${port}/control/${encodeURIComponent(id)}/advance`;
    const headers = { 'Content-Type': 'application/json' };
    const response = await fetch(address, { method: 'POST', headers, body: '{}' });
    const body: unknown = response.status === 404 ? {} : await response.json();
    return { status: response.status, ...(body as { release?: string }) };
  } catch {
    return null;
  }
}

/** @param release the release it is in now, `unknown` for no such database, null where it stays */
function say(release: string | null, id: string): number {
  if (release === 'unknown') console.error(`There is no database “${id}”.`);
  else if (release === null) console.error(`${id} has no later release.`);
  else console.log(`${id} is now in release ${release}.`);
  return release === null || release === 'unknown' ? 1 : 0;
}
