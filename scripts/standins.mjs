// npm run standins: the simulated databases alone; with `-- advance <database>`, one of them goes to its next release.
import { buildPrograms, dataFolder, preparePackages, run } from './prepare.mjs';
import { standIns, together } from './programs.mjs';

await preparePackages();
buildPrograms();
const args = process.argv.slice(2);
if (args.length > 0)
  run('node', [...standIns().args, ...args], { env: { ...process.env, EVEN_LANTERN_DATA: dataFolder() } });
else together([standIns()]);
