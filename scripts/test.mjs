// npm test: formatting, lint, types, then unit, integration and browser tests.
import { join } from 'node:path';
import { begin } from './command.mjs';
import { makeContent } from './content.mjs';
import {
  buildInterface,
  buildPrograms,
  prepareBrowser,
  preparePackages,
  root,
  run,
  runBeside,
} from './prepare.mjs';

const { positionals } = begin(`npm test [-- <what Jest takes>]: formatting, lint, types, and all tests.`, {
  rest: true,
});

const step = (name) => console.log(`\n— ${name}`);

const browser = prepareBrowser();
const packages = preparePackages();
// All of these read every file, and none uses more than one core.
makeContent();
step('formatting and types, and lint beside them');
const lint = runBeside('npm', ['run', 'lint', '--silent']);
run('npx', ['prettier', '--check', '--log-level', 'warn', '.']);
buildPrograms();
const records = runBeside('node', [join(root, 'scripts', 'records.mjs')]);
// All packages with their tests at once: most of them read the same files.
run('npx', ['tsc', '-p', 'tsconfig.test.json']);
step('build');
buildInterface();
await lint;
await records;
await packages;
await browser;
step('tests');
run('npx', ['jest', ...positionals]);
