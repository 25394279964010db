/** What the commands say before they begin to install, build or start anything. */
import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';

const root = join(__dirname, '..', '..');

function command(name: string, args: string[] = [], env: Record<string, string> = {}) {
  const { status, stdout, stderr } = spawnSync(
    process.execPath,
    [join(root, 'scripts', `${name}.mjs`), ...args],
    { env: { ...process.env, ...env }, encoding: 'utf8', timeout: 30_000 },
  );
  return { status, stdout, stderr };
}

const COMMANDS = ['start', 'test', 'dev', 'bench', 'screenshots', 'trials', 'standins', 'ledger'];

test.each(COMMANDS)('npm run %s says how it is used', (name) => {
  expect(readdirSync(join(root, 'scripts'))).toContain(`${name}.mjs`);
  const { status, stdout } = command(name, ['--help']);
  expect(status).toBe(0);
  expect(stdout).toMatch(new RegExp(`^npm (run )?${name}\\b`));
});

test.each([
  ['a port that is no number', { PORT: 'abc' }, 'PORT is “abc”; it has to be a number from 1 to 65535.'],
  ['a port beyond the last', { STANDINS_PORT: '99999' }, 'STANDINS_PORT is “99999”'],
  ['one port for both', { PORT: '5000', STANDINS_PORT: '5000' }, 'PORT and STANDINS_PORT are both 5000.'],
  ['a data folder that is a file', { EVEN_LANTERN_DATA: __filename }, 'commands.test.ts is a file.'],
  ['one within a file', { EVEN_LANTERN_DATA: join(__filename, 'data') }, 'commands.test.ts is a file.'],
  ['one that cannot be made', { EVEN_LANTERN_DATA: '/proc/nowhere/data' }, 'it cannot be made there.'],
])('npm start is told of %s in a sentence', (_what, env, told) => {
  const { status, stderr } = command('start', [], env);
  expect(status).toBe(64);
  expect(stderr).toContain(told);
  expect(stderr.trim().split('\n')).toHaveLength(1);
});

test.each([
  ['trials', ['--seed', 'x'], '--seed takes a whole number, not “x”.'],
  ['trials', ['--sed', '3'], "Unknown option '--sed'."],
  ['screenshots', ['concepts'], "Unexpected argument 'concepts'."],
])('npm run %s %s is refused in words', (name, args, told) => {
  const { status, stderr } = command(name, args);
  expect(status).toBe(64);
  expect(stderr).toContain(told);
  expect(stderr).not.toContain('    at ');
});
