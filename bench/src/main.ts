/** npm run bench [-- name] [-- --json] [-- --size=n] */
import { crosswalkBench } from './crosswalkBench.js';
import { dialectsBench } from './dialectsBench.js';
import { lookupBench } from './lookupBench.js';
import { indexBench } from './indexBench.js';
import type { Measurement } from './measure.js';
import { skosBench } from './skosBench.js';
import { rehearseBench } from './rehearseBench.js';

const flags = process.argv.slice(2);
const json = flags.includes('--json');
const names = flags.filter((flag) => !flag.startsWith('--'));
const size = Number(flags.find((flag) => flag.startsWith('--size='))?.slice('--size='.length) ?? 100_000);

const benches: Record<string, () => Measurement[] | Promise<Measurement[]>> = {
  index: () => indexBench(size),
  lookup: lookupBench,
  crosswalk: crosswalkBench,
  dialects: dialectsBench,
  skos: skosBench,
  rehearse: rehearseBench,
};

for (const [name, bench] of Object.entries(benches)) {
  if (names.length > 0 && !names.includes(name)) continue;
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
