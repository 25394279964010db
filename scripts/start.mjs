// npm start: installs and builds what is missing, then starts everything.
import { begin } from './command.mjs';
import { buildInterface, buildPrograms, preparePackages } from './prepare.mjs';
import { answering, server, standIns, together } from './programs.mjs';

begin(`npm start: builds what is missing, and starts the application with its simulated databases.`, {
  settings: true,
});

const packages = preparePackages();
buildPrograms();
buildInterface();
await packages;

const standInsPort = process.env.STANDINS_PORT ?? '4311';
together([standIns()]);
if (!(await answering(`http://127.0.0.1:${standInsPort}/`))) {
  console.error(`The stand-ins did not answer on port ${standInsPort}; the application starts without them.`);
}
together([server()]);
