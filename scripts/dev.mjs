// npm run dev: everything with reload, the interface at http://localhost:5173.
import { begin } from './command.mjs';
import { buildPrograms, preparePackages } from './prepare.mjs';
import { answering, server, standIns, together } from './programs.mjs';

begin(
  `npm run dev: starts everything and reloads what is changed; the interface is at http://localhost:5173.`,
  { settings: true },
);

await preparePackages();
buildPrograms();
together([
  {
    name: 'The compiler',
    command: 'npx',
    args: ['tsc', '-b', 'tsconfig.build.json', '--watch', '--preserveWatchOutput'],
  },
  standIns('--watch'),
  { name: 'The interface', command: 'npm', args: ['run', 'dev', '-w', 'web'] },
]);
await answering(`http://127.0.0.1:${process.env.STANDINS_PORT ?? '4311'}/`);
together([server('--watch')]);
