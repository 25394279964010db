// npm run ledger -- verify: whether ledgers are as they were written.
import { join } from 'node:path';
import { begin } from './command.mjs';
import { buildPrograms, preparePackages, root, run } from './prepare.mjs';

const { positionals } = begin(
  `npm run ledger -- verify                     verifies every ledger of the data folder (EVEN_LANTERN_DATA)
npm run ledger -- verify --review <id>       one of them
npm run ledger -- verify ledger.json         one that was exported as JSON
… --seal <seal>                              and whether it goes on from a seal that was kept`,
  { rest: true },
);

await preparePackages();
buildPrograms();
run('node', [join(root, 'server', 'dist', 'ledger', 'ledgerCommand.js'), ...positionals]);
