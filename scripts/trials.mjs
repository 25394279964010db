// npm run trials [-- --kills 300] [-- --seed 7]: kills, simultaneous edits, a locked and a full store.
import { join } from 'node:path';
import { buildPrograms, preparePackages, root, run } from './prepare.mjs';

await preparePackages();
buildPrograms();
run('node', [
  'scripts/run-typescript.mjs',
  join(root, 'e2e', 'src', 'trials', 'run.ts'),
  ...process.argv.slice(2),
]);
