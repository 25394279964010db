/** The whole product as real processes on ports of their own, with an empty data folder. */
import { spawn, type ChildProcess } from 'node:child_process';
import { randomInt } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer as createHttpServer, request } from 'node:http';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { keepRecords, takeRecords } from './generatedRecords.js';

export interface Stack {
  address: string;
  /** the server's data folder */
  data: string;
  /** address of a server that ships as no database and can be added */
  plainServer: string;
  /** stops the stand-ins, as when a database goes down */
  stopStandIns(): Promise<void>;
  startStandIns(): Promise<void>;
  /** cuts every connection to the stand-ins after so many more searches; null lets all through */
  cutAfter(searches: number | null): void;
  /** tells a stand-in to have a trouble, or none any more; some so many times; slow ones take so many milliseconds */
  trouble(database: string, kind: string | null, times?: number, delay?: number): Promise<void>;
  /** kills a program without warning, and starts it again; it answers when this ends */
  killAndStart(program: 'server' | 'stand-ins'): Promise<void>;
  stop(): Promise<void>;
}

export interface StackOptions {
  /** the server's data folder; one of its own that is thrown away where none is given */
  data?: string;
}

const root = join(__dirname, '..', '..');

export async function startStack(options: StackOptions = {}): Promise<Stack> {
  const temporary = mkdtempSync(join(tmpdir(), 'even-lantern-'));
  takeRecords(temporary);
  const [port, standInsPort, linePort] = [await freePort(), await freePort(), await freePort()];
  const env = {
    ...process.env,
    PORT: String(port),
    // The server that tests add is on this machine.
    EVEN_LANTERN_PRIVATE_ADDRESSES: 'yes',
  };
  const line = await openLine(linePort, standInsPort);
  const start = (program: string, itsStandInsPort: number, data: string) =>
    spawn(process.execPath, [join(root, program)], {
      env: { ...env, STANDINS_PORT: String(itsStandInsPort), EVEN_LANTERN_DATA: data },
      stdio: ['ignore', 'ignore', 'inherit'],
    });
  let standIns: ChildProcess | null = null;
  const startStandIns = async () => {
    standIns = start('standins/dist/main.js', standInsPort, temporary);
    await answering(`http://127.0.0.1:${standInsPort}/`, standIns);
    keepRecords(temporary);
  };
  const stopStandIns = async () => {
    await ended(standIns);
    standIns = null;
  };
  let server: ChildProcess | null = null;
  const startServer = async () => {
    server = start('server/dist/main.js', linePort, options.data ?? temporary);
    await answering(`http://127.0.0.1:${port}/api/health`, server);
  };
  const stop = async () => {
    line.close();
    await Promise.all([ended(server), ended(standIns)]);
    // By now the indexes have been built, which costs each start some seconds.
    keepRecords(temporary);
    rmSync(temporary, { recursive: true, force: true });
  };
  const address = `http://localhost:${port}`;
  try {
    await startStandIns();
    await startServer();
  } catch (error) {
    await stop();
    throw error;
  }
  return {
    address,
    data: options.data ?? temporary,
    plainServer: `http://127.0.0.1:${standInsPort}/plain`,
    startStandIns,
    stopStandIns,
    async killAndStart(program) {
      const ofServer = program === 'server';
      await ended(ofServer ? server : standIns, 'SIGKILL');
      await (ofServer ? startServer() : startStandIns());
    },
    cutAfter: line.cutAfter,
    async trouble(database, kind, times, delay = 12_000) {
      const control = `http://127.0.0.1:${standInsPort}/control/${database}/trouble`;
      const headers = { 'Content-Type': 'application/json' };
      const response = await fetch(control, {
        method: 'POST',
        headers,
        body: JSON.stringify({ kind, times, delay }),
      });
      if (!response.ok) throw new Error(`no trouble could be made: ${response.status}`);
    },
    stop,
  };
}

/** The line between server and stand-ins, which can be cut. */
async function openLine(port: number, target: number) {
  let left: number | null = null;
  const line = createHttpServer((incoming, outgoing) => {
    const { method, url = '', headers } = incoming;
    // How often a database is asked how it is depends on time, so only searches are counted.
    if (left !== null && url.includes('query=')) left -= 1;
    if (left !== null && left < 0) {
      incoming.destroy();
      return;
    }
    const onward = request({ host: '127.0.0.1', port: target, method, path: url, headers }, (answer) => {
      outgoing.writeHead(answer.statusCode ?? 502, answer.headers);
      answer.on('error', () => outgoing.destroy());
      answer.pipe(outgoing);
    });
    onward.on('error', () => outgoing.destroy());
    incoming.pipe(onward);
  });
  await new Promise<void>((resolve) => line.listen(port, '127.0.0.1', resolve));
  return {
    cutAfter(searches: number | null) {
      left = searches;
    },
    close() {
      line.closeAllConnections();
      line.close();
    },
  };
}

/**
 * A port that nobody listens on. It lies below those that systems give to outgoing connections, so that no
 * connection takes it before the program that it is meant for has started, or while that one is started anew.
 */
export async function freePort(): Promise<number> {
  for (;;) {
    const port = randomInt(15_000, 30_000);
    const server = createServer();
    const free = await new Promise<boolean>((resolve) => {
      server.once('error', () => resolve(false));
      server.listen(port, () => resolve(true));
    });
    if (!free) continue;
    await new Promise((resolve) => server.close(resolve));
    return port;
  }
}

async function answering(address: string, program: ChildProcess): Promise<void> {
  for (let tries = 0; tries < 1200; tries += 1) {
    if (program.exitCode !== null) throw new Error(`what should answer at ${address} has ended`);
    try {
      if ((await fetch(address)).ok) return;
    } catch {
      // not listening yet
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`${address} did not answer within two minutes`);
}

async function ended(child: ChildProcess | null, signal: NodeJS.Signals = 'SIGTERM'): Promise<void> {
  if (child === null || child.exitCode !== null || child.signalCode !== null) return;
  const exit = new Promise((resolve) => child.once('exit', resolve));
  child.kill(signal);
  const timer = setTimeout(() => child.kill('SIGKILL'), 5000);
  await exit;
  clearTimeout(timer);
}
