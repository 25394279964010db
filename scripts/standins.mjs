// npm run standins: the simulated databases alone; with `-- advance <database>`, one of them goes to its next release.
import { begin, dataFolder } from './command.mjs';
import { buildPrograms, preparePackages, run } from './prepare.mjs';
import { standIns, together } from './programs.mjs';

const { positionals: args } = begin(
  `npm run standins                          starts the simulated databases alone
npm run standins -- advance <database>    moves one of them to its next release`,
  { settings: true, positionals: true },
);

await preparePackages();
buildPrograms();
if (args.length > 0)
  run('node', [...standIns().args, ...args], { env: { ...process.env, EVEN_LANTERN_DATA: dataFolder() } });
else together([standIns()]);
