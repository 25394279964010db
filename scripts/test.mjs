// npm test: formatting, lint, types, then unit, integration and browser tests.
import {
  buildInterface,
  buildPrograms,
  prepareBrowser,
  preparePackages,
  run,
  runBeside,
} from './prepare.mjs';

const step = (name) => console.log(`\n— ${name}`);

preparePackages();
step('formatting');
run('npx', ['prettier', '--check', '--log-level', 'warn', '.']);
step('types, and lint beside them');
// Both read every file, and neither uses more than one core.
const lint = runBeside('npm', ['run', 'lint', '--silent']);
buildPrograms();
for (const project of ['core', 'contract', 'standins', 'server', 'web', 'e2e']) {
  run('npx', ['tsc', '-p', `${project}/tsconfig.test.json`]);
}
step('build');
buildInterface();
step('browser');
prepareBrowser();
await lint;
step('tests');
run('npx', ['jest', ...process.argv.slice(2)]);
