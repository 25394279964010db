// npm run bench [-- name] [-- --json]
import { begin } from './command.mjs';
import { buildPrograms, preparePackages, run } from './prepare.mjs';

const { positionals } = begin(
  `npm run bench [-- <name>] [-- --json] [-- --size=<number>]

Measures speed and quality; all that is not too large where no name is given.`,
  { rest: true },
);

await preparePackages();
buildPrograms();
run('node', ['--max-old-space-size=16000', 'bench/dist/main.js', ...positionals]);
