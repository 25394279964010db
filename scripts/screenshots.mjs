// npm run screenshots: takes docs/screenshots/ anew.
import { join } from 'node:path';
import { begin } from './command.mjs';
import { buildInterface, buildPrograms, prepareBrowser, preparePackages, root, run } from './prepare.mjs';

begin(`npm run screenshots: takes docs/screenshots/ anew.`);

await preparePackages();
await prepareBrowser();
buildPrograms();
buildInterface();
run('node', [
  'scripts/run-typescript.mjs',
  join(root, 'e2e', 'src', 'screenshots.ts'),
  ...process.argv.slice(2),
]);
