// npm run ledger -- verify [--seal 12-ab…] [--review id] [ledger.json]: whether ledgers are as they were written.
import { join } from 'node:path';
import { buildPrograms, preparePackages, root, run } from './prepare.mjs';

await preparePackages();
buildPrograms();
run('node', [join(root, 'server', 'dist', 'ledger', 'ledgerCommand.js'), ...process.argv.slice(2)]);
