/** npm run bench [-- name] [-- --json] [-- --size=n] */
import { clausesBench } from './clausesBench.js';
import { crosswalkBench } from './crosswalkBench.js';
import { dialectsBench } from './dialectsBench.js';
import { designsBench } from './designsBench.js';
import { filesBench } from './filesBench.js';
import { ledgerBench } from './ledgerBench.js';
import { lookupBench } from './lookupBench.js';
import { filtersBench } from './filtersBench.js';
import { indexBench } from './indexBench.js';
import type { Measurement } from './measure.js';
import { skosBench } from './skosBench.js';
import { millionBench } from './millionBench.js';
import { pastedBench } from './pastedBench.js';
import { rehearseBench } from './rehearseBench.js';
import { reviewBench } from './reviewBench.js';
import { sentencesBench } from './sentencesBench.js';
import { strategyBench } from './strategyBench.js';

const flags = process.argv.slice(2);
const json = flags.includes('--json');
const names = flags.filter((flag) => !flag.startsWith('--'));
const written = flags.find((flag) => flag.startsWith('--size='))?.slice('--size='.length);
const sizeGiven = written === undefined ? null : Number(written);
const size = sizeGiven ?? 100_000;

const benches: Record<string, () => Measurement[] | Promise<Measurement[]>> = {
  index: () => indexBench(size),
  lookup: lookupBench,
  clauses: clausesBench,
  sentences: sentencesBench,
  pasted: pastedBench,
  designs: designsBench,
  filters: () => filtersBench(flags.includes('--write')),
  crosswalk: crosswalkBench,
  dialects: dialectsBench,
  skos: skosBench,
  rehearse: rehearseBench,
  strategy: strategyBench,
  files: filesBench,
  review: () => reviewBench(size),
  ledger: () => ledgerBench(size),
  million: () => millionBench(sizeGiven ?? 1_000_000),
};
/** Too long and too large for a run of all. */
const ONLY_BY_NAME = new Set(['million']);

const unknown = names.filter((name) => !(name in benches));
if (unknown.length > 0 || (sizeGiven !== null && !(Number.isSafeInteger(sizeGiven) && sizeGiven > 0))) {
  const what = unknown.length > 0 ? `“${unknown.join('”, “')}” is not measured` : `“${written}” is no size`;
  console.error(`${what}. There is: ${Object.keys(benches).join(', ')}; and --size=<number>, --json.`);
  process.exit(64);
}

for (const [name, bench] of Object.entries(benches)) {
  if (names.length > 0 ? !names.includes(name) : ONLY_BY_NAME.has(name)) continue;
  const results = await bench();
  if (json) for (const result of results) console.log(JSON.stringify(result));
  else {
    console.table(
      results.map(({ metric, value, unit, aim = '', met }) => ({
        metric,
        value,
        unit,
        aim,
        met: met === undefined ? '' : met ? 'yes' : 'no',
      })),
    );
  }
}
