// Starts the programs together, and stops them together.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { dataFolder, root } from './prepare.mjs';

/** Starts programs that live as long as this process; when one ends, all end. */
export function together(programs) {
  const env = { ...process.env, EVEN_LANTERN_DATA: dataFolder() };
  const children = programs.map(({ command, args }) =>
    spawn(command, args, { cwd: root, env, stdio: 'inherit' }),
  );
  let ending = false;
  const end = (code) => {
    if (ending) return;
    ending = true;
    for (const child of children) child.kill('SIGTERM');
    setTimeout(() => process.exit(code), 3000).unref();
    Promise.all(
      children.map((child) => child.exitCode ?? new Promise((done) => child.once('exit', done))),
    ).then(() => process.exit(code));
  };
  for (const child of children) child.once('exit', (code) => end(code ?? 1));
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => end(0));
}

export const standIns = (...flags) => ({
  command: 'node',
  args: [...flags, join('standins', 'dist', 'main.js')],
});
export const server = (...flags) => ({
  command: 'node',
  args: [...flags, join('server', 'dist', 'main.js')],
});

/** Waits until an address answers. */
export async function answering(address, seconds = 60) {
  for (let tries = 0; tries < seconds * 5; tries += 1) {
    try {
      if ((await fetch(address)).ok) return true;
    } catch {
      // not listening yet
    }
    await new Promise((done) => setTimeout(done, 200));
  }
  return false;
}
