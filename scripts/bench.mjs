// npm run bench [-- name] [-- --json]
import { buildPrograms, preparePackages, run } from './prepare.mjs';

await preparePackages();
buildPrograms();
run('node', ['--max-old-space-size=16000', 'bench/dist/main.js', ...process.argv.slice(2)]);
