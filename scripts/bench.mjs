// npm run bench [-- name] [-- --json]
import { buildPrograms, preparePackages, run } from './prepare.mjs';

preparePackages();
buildPrograms();
run('node', ['--max-old-space-size=16000', 'bench/dist/main.js', ...process.argv.slice(2)]);
