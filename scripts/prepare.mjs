// What every command needs first: the right Node, the packages, the built programs, and for tests a browser.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { makeContent } from './content.mjs';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command and ends the process when it fails. */
export function run(command, args, options = {}) {
  const { status, error } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (error) {
    console.error(`${command} cannot be run: ${error.message}`);
    process.exit(1);
  }
  if (status !== 0) process.exit(status ?? 1);
}

/** Starts a command beside what goes on here; the promise ends the process when the command fails. */
export function runBeside(command, args, options = {}) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit', ...options });
    child.once('error', (error) => {
      console.error(`${command} cannot be run: ${error.message}`);
      process.exit(1);
    });
    child.once('exit', (status) => {
      if (status !== 0) process.exit(status ?? 1);
      done();
    });
  });
}

/**
 * Installs the packages when the lock file is not the one that is installed. The database driver, which alone is
 * compiled, takes longer than all the rest: the promise is kept when it is there too, and only programs that open a
 * store have to wait for it.
 */
export function preparePackages() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major !== 20 || minor < 19) {
    console.error(`Even Lantern needs Node 20.19 or later of version 20; this is ${process.versions.node}.`);
    process.exit(1);
  }
  const lock = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.even-lantern-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return Promise.resolve();
  console.log(
    'Installing packages; the first time takes some minutes, since the database driver is compiled …',
  );
  const quiet = ['--no-audit', '--no-fund', '--loglevel=error'];
  // Not `npm ci`: it refuses a lock file that lacks optional packages of other systems, which not every registry has.
  // No other package has anything to do when it is installed.
  run('npm', ['install', '--no-save', '--ignore-scripts', ...quiet]);
  const done = () => writeFileSync(stamp, lock);
  // It is there already where other packages have changed.
  const opens = ['-e', "new (require('better-sqlite3'))(':memory:')"];
  if (spawnSync(process.execPath, opens, { cwd: root, stdio: 'ignore' }).status === 0) {
    done();
    return Promise.resolve();
  }
  return runBeside('npm', ['rebuild', 'better-sqlite3', ...quiet]).then(done);
}

/** Compiles the programs; the compiler itself knows what has not changed. Types are checked by `npm test`. */
export function buildPrograms() {
  makeContent();
  run('npx', ['tsc', '-b', 'tsconfig.build.json', '--noCheck']);
}

/** Builds the interface when any of its sources is newer than the last build. */
export function buildInterface() {
  const built = join(root, 'web', 'dist', 'index.html');
  const sources = [
    'web/src',
    'web/index.html',
    'web/vite.config.ts',
    'web/public',
    'core/src',
    'contract/src',
  ];
  const newest = Math.max(...sources.map((path) => newestChange(join(root, path))));
  if (existsSync(built) && statSync(built).mtimeMs > newest) return;
  run('npm', ['run', 'build', '-w', 'web', '--silent', '--', '--logLevel', 'warn']);
}

/** Finds Chromium and ChromeDriver, installing Debian's packages when that is allowed, beside what goes on here. */
export async function prepareBrowser() {
  const found = (name) => spawnSync('which', [name], { stdio: 'ignore' }).status === 0;
  if (found('chromium') && found('chromedriver')) return;
  if (process.getuid?.() !== 0) {
    console.error('The browser tests need Chromium and ChromeDriver. Install them with:');
    console.error('  sudo apt-get install chromium chromium-driver');
    process.exit(1);
  }
  console.log('Installing Chromium and ChromeDriver …');
  const quiet = {
    stdio: ['ignore', 'ignore', 'inherit'],
    env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
  };
  // One command, so that it goes on by itself while steps here are waited for.
  const install = 'apt-get update -qq && apt-get install -y -qq chromium chromium-driver';
  await runBeside('sh', ['-c', install], quiet);
}

function newestChange(path) {
  const { mtimeMs } = statSync(path);
  if (!statSync(path).isDirectory()) return mtimeMs;
  return Math.max(mtimeMs, ...readdirSync(path).map((name) => newestChange(join(path, name))));
}
