/** What starts the programs: it names one that ends, starts it again, and leaves none behind. */
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { takeRecords } from './generatedRecords.js';
import { freePort } from './stack.js';

const root = join(__dirname, '..', '..');
let data: string;
let ports: { PORT: string; STANDINS_PORT: string };
let started: Started[] = [];

beforeEach(async () => {
  data = mkdtempSync(join(tmpdir(), 'supervising-'));
  takeRecords(data);
  ports = { PORT: String(await freePort()), STANDINS_PORT: String(await freePort()) };
  started = [];
});
afterEach(async () => {
  for (const each of started) {
    each.process.kill('SIGTERM');
    await each.ended;
  }
  rmSync(data, { recursive: true, force: true });
});

interface Started {
  process: ChildProcess;
  ended: Promise<number | null>;
  said(): string;
}

/** Starts stand-ins and server as `npm start` does once all is built. */
function start(): Started {
  const programs = pathToFileURL(join(root, 'scripts', 'programs.mjs')).href;
  const code = `import { answering, server, standIns, together } from '${programs}';
    together([standIns()]);
    await answering('http://127.0.0.1:${ports.STANDINS_PORT}/');
    together([server()]);`;
  const child = spawn(process.execPath, ['--input-type=module', '-e', code], {
    env: { ...process.env, ...ports, EVEN_LANTERN_DATA: data },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += String(text)));
  const ended = new Promise<number | null>((resolve) => child.once('exit', resolve));
  const each = { process: child, ended, said: () => said };
  started.push(each);
  return each;
}

/** The processes that a process has started, the earliest first. */
function childrenOf({ pid }: ChildProcess): number[] {
  return readFileSync(`/proc/${pid}/task/${pid}/children`, 'utf8')
    .trim()
    .split(/\s+/)
    .filter(Boolean)
    .map(Number);
}

async function until(holds: () => boolean | Promise<boolean>, what: string): Promise<void> {
  for (let tries = 0; tries < 600; tries += 1) {
    if (await holds()) return;
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  throw new Error(`Waited a minute for ${what}`);
}

async function answers(): Promise<boolean> {
  try {
    return (await fetch(`http://127.0.0.1:${ports.PORT}/api/reviews`)).ok;
  } catch {
    return false;
  }
}

function lives(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch {
    return false;
  }
}

test('a second start is refused, a program that is killed is started again, and none is left', async () => {
  const all = start();
  await until(answers, 'the application');
  // A second start in the same folder says who holds it, and harms nothing.
  const theirs = ports;
  ports = { PORT: String(await freePort()), STANDINS_PORT: String(await freePort()) };
  const second = start();
  expect(await second.ended).toBe(78);
  expect(second.said()).toMatch(/uses the data folder .* already \(process \d+, since .*\)/);
  expect(second.said()).not.toMatch(/ {4}at /);
  ports = theirs;
  expect(await answers()).toBe(true);
  // A program that is killed is named with the reason.
  const [standIns, server] = childrenOf(all.process);
  process.kill(server ?? 0, 'SIGKILL');
  await until(() => all.said().includes('The server ended by SIGKILL, and is started again'), 'its name');
  await until(async () => childrenOf(all.process).length === 2 && (await answers()), 'the server again');
  process.kill(standIns ?? 0, 'SIGKILL');
  await until(() => all.said().includes('The program of the stand-ins ended by SIGKILL'), 'its name');
  await until(() => childrenOf(all.process).length === 2, 'the stand-ins again');
  // When what started them is killed, it leaves none behind.
  const left = childrenOf(all.process);
  all.process.kill('SIGKILL');
  await until(() => left.every((pid) => !lives(pid)), 'both to end');
  // Nothing stands in the way of the next start.
  const next = start();
  await until(answers, `the application again: ${next.said()}`);
});

test('a folder that cannot be written to is told in a sentence', async () => {
  if (process.getuid?.() !== 0) return;
  const child = spawn(process.execPath, [join(root, 'server', 'dist', 'main.js')], {
    env: { ...process.env, ...ports, EVEN_LANTERN_DATA: data },
    stdio: ['ignore', 'pipe', 'pipe'],
    // somebody who may read, but not write
    uid: 65_534,
    gid: 65_534,
  });
  let said = '';
  child.stderr.on('data', (text) => (said += String(text)));
  const code = await new Promise((resolve) => child.once('exit', resolve));
  expect(said).toContain('Even Lantern cannot start. The store cannot be written to.');
  expect(said).not.toMatch(/ {4}at /);
  expect(code).toBe(78);
});

test('a port that is taken is told in a sentence, and nothing is left behind', async () => {
  const other = createServer().listen(Number(ports.PORT), '127.0.0.1');
  const all = start();
  expect(await all.ended).toBe(78);
  other.close();
  expect(all.said()).toContain(`another program listens on port ${ports.PORT}`);
  expect(all.said()).not.toMatch(/ {4}at /);
});
