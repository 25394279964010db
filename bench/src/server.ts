/** A server that a benchmark starts, and asking it. */
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..', '..');

export interface StartedServer {
  api: string;
  /** its data folder */
  data: string;
  process: number;
  /** what names the first of its people */
  headers: Record<string, string>;
}

/**
 * Starts a server with an empty data folder, and ends it after the work.
 * @param standInsPort where databases answer; none do where it is not given
 */
export async function withServer<T>(
  port: number,
  work: (server: StartedServer) => Promise<T>,
  standInsPort = 1,
): Promise<T> {
  const data = mkdtempSync(join(tmpdir(), 'bench-'));
  const env = {
    ...process.env,
    PORT: String(port),
    STANDINS_PORT: String(standInsPort),
    EVEN_LANTERN_DATA: data,
  };
  const server = spawn(process.execPath, [join(root, 'server/dist/main.js')], { env, stdio: 'ignore' });
  try {
    const api = `http://127.0.0.1:${port}/api`;
    await answering(`${api}/health`);
    const [person] = (await json(`${api}/people`)) as { id: string }[];
    return await work({ api, data, process: server.pid ?? 0, headers: { 'el-person': person?.id ?? '' } });
  } finally {
    server.kill('SIGTERM');
    await new Promise((done) => setTimeout(done, 500));
    rmSync(data, { recursive: true, force: true });
  }
}

/** @param body sent as POST, or as `method` says; without one it is a GET */
export async function json(
  address: string,
  body?: object,
  headers: Record<string, string> = {},
  method = 'POST',
): Promise<unknown> {
  const response = await fetch(
    address,
    body === undefined
      ? {}
      : {
          method,
          headers: { 'Content-Type': 'application/json', ...headers },
          body: JSON.stringify(body),
        },
  );
  if (!response.ok) throw new Error(`${address} answered ${response.status}`);
  return response.json();
}

export async function answering(address: string): Promise<void> {
  for (let tries = 0; tries < 600; tries += 1) {
    try {
      if ((await fetch(address)).ok) return;
    } catch {
      // not listening yet
    }
    await new Promise((done) => setTimeout(done, 50));
  }
  throw new Error(`${address} does not answer`);
}

/** Resident memory in MB. */
export function memoryOf(pid: number): number {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/.exec(status)?.[1] ?? 0) / 1024;
}

/** What work costs the server, and how long others wait for it meanwhile. */
export async function watched<T>(
  { api, process: pid }: StartedServer,
  work: () => Promise<T>,
): Promise<{ result: T; seconds: number; moreMb: number; waitMs: number }> {
  const before = memoryOf(pid);
  let most = before;
  let waitMs = 0;
  const watch = { going: true };
  const watching = (async () => {
    while (watch.going) {
      const from = performance.now();
      await json(`${api}/health`);
      waitMs = Math.max(waitMs, performance.now() - from);
      most = Math.max(most, memoryOf(pid));
      await new Promise((done) => setTimeout(done, 5));
    }
  })();
  const from = performance.now();
  const result = await work();
  const seconds = (performance.now() - from) / 1000;
  watch.going = false;
  await watching;
  return { result, seconds, moreMb: most - before, waitMs };
}
