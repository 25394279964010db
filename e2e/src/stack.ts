/** The whole product as real processes on ports of their own, with an empty data folder. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export interface Stack {
  address: string;
  /** stops the stand-ins, as when a database goes down */
  stopStandIns(): Promise<void>;
  startStandIns(): Promise<void>;
  stop(): Promise<void>;
}

const root = join(__dirname, '..', '..');

export async function startStack(): Promise<Stack> {
  const data = mkdtempSync(join(tmpdir(), 'even-lantern-'));
  const [port, standInsPort] = [await freePort(), await freePort()];
  const env = {
    ...process.env,
    PORT: String(port),
    STANDINS_PORT: String(standInsPort),
    EVEN_LANTERN_DATA: data,
  };
  const start = (program: string) =>
    spawn(process.execPath, [join(root, program)], { env, stdio: ['ignore', 'ignore', 'inherit'] });
  let standIns: ChildProcess | null = null;
  const startStandIns = async () => {
    standIns = start('standins/dist/main.js');
    await answering(`http://127.0.0.1:${standInsPort}/`);
  };
  const stopStandIns = async () => {
    await ended(standIns);
    standIns = null;
  };
  await startStandIns();
  const server = start('server/dist/main.js');
  const address = `http://localhost:${port}`;
  await answering(`http://127.0.0.1:${port}/api/health`);
  return {
    address,
    startStandIns,
    stopStandIns,
    async stop() {
      await Promise.all([ended(server), ended(standIns)]);
      rmSync(data, { recursive: true, force: true });
    },
  };
}

async function freePort(): Promise<number> {
  const server = createServer();
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const { port } = server.address() as AddressInfo;
  await new Promise((resolve) => server.close(resolve));
  return port;
}

async function answering(address: string): Promise<void> {
  for (let tries = 0; tries < 300; tries += 1) {
    try {
      if ((await fetch(address)).ok) return;
    } catch {
      // not listening yet
    }
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`${address} did not answer within 30 seconds`);
}

async function ended(child: ChildProcess | null): Promise<void> {
  if (child === null || child.exitCode !== null) return;
  const exit = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  const timer = setTimeout(() => child.kill('SIGKILL'), 5000);
  await exit;
  clearTimeout(timer);
}
