// Starts the programs together, starts again what ends by itself, and stops them together.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { dataFolder } from './command.mjs';
import { root } from './prepare.mjs';

/** A program that ends with this cannot start, and could not if it were started again (EX_CONFIG of sysexits). */
const CANNOT_START = 78;
/** One that ends so often within so long is left. */
const MOST_STARTS = 5;
const WITHIN_MS = 60_000;
const PAUSE_MS = 1000;
const ENDING_MS = 5000;

/** Whether all are being stopped. */
let ending = false;
const children = new Map();

/**
 * Starts programs that live as long as this process. One that ends by itself is named with its reason and started again;
 * one that cannot start, or ends again and again, ends all. Programs are told over a channel when this process has gone,
 * however it went, so that none is left behind.
 */
export function together(programs) {
  if (ending) return;
  if (children.size === 0) {
    for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void endAll(0));
  }
  for (const program of programs) keepRunning(program, []);
}

function keepRunning(program, starts) {
  const { name, command, args } = program;
  const env = { ...process.env, EVEN_LANTERN_DATA: dataFolder() };
  const child = spawn(command, args, { cwd: root, env, stdio: ['ignore', 'inherit', 'inherit', 'ipc'] });
  children.set(name, child);
  child.once('error', (error) => console.error(`${name} cannot be started: ${error.message}`));
  child.once('exit', (code, signal) => {
    children.delete(name);
    if (ending) return;
    const why = signal === null ? `with code ${code}` : `by ${signal}`;
    const now = Date.now();
    const recent = [...starts.filter((at) => now - at < WITHIN_MS), now];
    if (code === CANNOT_START || recent.length >= MOST_STARTS) {
      const again = code === CANNOT_START ? '' : `, ${recent.length} times within a minute`;
      console.error(`${name} ended ${why}${again}. Everything is stopped; what was saved is kept.`);
      void endAll(code || 1);
      return;
    }
    console.error(`${name} ended ${why}, and is started again. What was saved is kept.`);
    setTimeout(() => {
      if (!ending) keepRunning(program, recent);
    }, PAUSE_MS);
  });
}

async function endAll(code) {
  if (ending) return;
  ending = true;
  const left = [...children.values()];
  for (const child of left) child.kill('SIGTERM');
  const gone = Promise.all(left.map((child) => new Promise((done) => child.once('exit', done))));
  const late = setTimeout(() => {
    for (const child of left) child.kill('SIGKILL');
  }, ENDING_MS);
  await gone;
  clearTimeout(late);
  process.exit(code);
}

export const standIns = (...flags) => ({
  name: 'The program of the stand-ins',
  command: 'node',
  args: [...flags, join('standins', 'dist', 'main.js')],
});
export const server = (...flags) => ({
  name: 'The server',
  command: 'node',
  args: [...flags, join('server', 'dist', 'main.js')],
});

/** Waits until an address answers, or all is being stopped. */
export async function answering(address, seconds = 60) {
  for (let tries = 0; tries < seconds * 5 && !ending; tries += 1) {
    try {
      if ((await fetch(address)).ok) return true;
    } catch {
      // not listening yet
    }
    await new Promise((done) => setTimeout(done, 200));
  }
  return ending;
}
