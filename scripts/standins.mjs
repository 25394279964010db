// npm run standins: the simulated databases alone.
import { buildPrograms, preparePackages } from './prepare.mjs';
import { standIns, together } from './programs.mjs';

preparePackages();
buildPrograms();
together([standIns()]);
