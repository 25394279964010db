// npm test: formatting, lint, types, then unit, integration and browser tests.
import { buildInterface, buildPrograms, prepareBrowser, preparePackages, run } from './prepare.mjs';

const step = (name) => console.log(`\n— ${name}`);

preparePackages();
step('formatting');
run('npx', ['prettier', '--check', '--log-level', 'warn', '.']);
step('lint');
run('npm', ['run', 'lint', '--silent']);
step('types');
buildPrograms();
for (const project of ['core', 'contract', 'standins', 'server', 'web', 'e2e']) {
  run('npx', ['tsc', '-p', `${project}/tsconfig.test.json`]);
}
step('build');
buildInterface();
step('browser');
prepareBrowser();
step('tests');
run('npx', ['jest', ...process.argv.slice(2)]);
