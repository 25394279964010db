// npm run trials: what goes wrong when programs are killed, disks are full and clocks are odd, at length.
import { join } from 'node:path';
import { begin } from './command.mjs';
import { buildInterface, buildPrograms, prepareBrowser, preparePackages, root, run } from './prepare.mjs';

const { values } = begin(
  `npm run trials [-- --kills <number>] [-- --seed <number>]

Packages with nonsense in them, undo, odd answers and clocks; then kills, simultaneous edits, a locked and a full
store. 300 kills where nothing is said, and seven packages for each of them.`,
  { options: { kills: { type: 'string', number: true }, seed: { type: 'string', number: true } } },
);
const { kills = '300', seed = '1' } = values;

await preparePackages();
await prepareBrowser();
buildPrograms();
buildInterface();
const tests = ['packages/nonsense', 'undo', 'runs/odd', 'schedules', 'connectors/sru'];
run('npx', ['jest', '--selectProjects', 'server', '--testPathPatterns', tests.join('|')], {
  env: { ...process.env, NONSENSE: String(7 * Number(kills)), NONSENSE_SEED: seed },
});
run('node', [
  'scripts/run-typescript.mjs',
  join(root, 'e2e', 'src', 'trials', 'run.ts'),
  ...['--kills', kills, '--seed', seed],
]);
