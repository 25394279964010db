/** How well the crosswalk proposes the headings of another vocabulary that its makers meant, and how fast. */
import { join } from 'node:path';
import { headingByLabel, indexForCrosswalk, indexVocabulary, proposeCounterparts } from '@even-lantern/core';
import { readVocabularies } from '@even-lantern/standins';
import { measured, median, quantile, timed, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');

export function crosswalkBench(): Measurement[] {
  const [first, ...others] = readVocabularies(join(root, 'standins', 'content'));
  if (first === undefined) return [];
  const own = indexForCrosswalk(indexVocabulary(first));
  return others.flatMap((vocabulary) => {
    const other = indexForCrosswalk(indexVocabulary(vocabulary));
    const wanted = new Map<string, string[]>();
    for (const [label, firsts] of vocabulary.counterparts) {
      for (const each of firsts) wanted.set(each, [...(wanted.get(each) ?? []), label]);
    }
    const ranks: number[] = [];
    for (const [label, labels] of wanted) {
      const heading = headingByLabel(own.tree, label);
      if (heading === null) continue;
      const found = proposeCounterparts(own, heading, other, [], 10).map((each) => each.heading.label);
      const rank = found.findIndex((each) => labels.includes(each)) + 1;
      ranks.push(rank);
      if (rank !== 1 && process.env.SHOW_MISSES !== undefined) {
        console.log(
          `${label} → ${labels.join(' ; ')}: ${rank || 'not found'} in ${found.slice(0, 4).join(', ')}`,
        );
      }
    }
    const unmatched = first.headings.filter(({ label }) => !wanted.has(label));
    const silent = unmatched.filter((each) =>
      proposeCounterparts(own, each, other).every(({ reasons }) =>
        reasons.every(({ kind }) => kind === 'stands for a broader heading'),
      ),
    );
    const times = first.headings.map((each) => timed(() => proposeCounterparts(own, each, other)));
    const add = (metric: string, value: number, unit: string, aim?: string) =>
      measured('crosswalk', `${vocabulary.id}-${metric}`, value, unit, aim);
    return [
      add('pairs', ranks.length, 'headings'),
      add('mean-reciprocal-rank', mean(ranks.map((rank) => (rank === 0 ? 0 : 1 / rank))), '', '>= 0.85'),
      add('hit-at-3', mean(ranks.map((rank) => (rank >= 1 && rank <= 3 ? 1 : 0))), '', '>= 0.85'),
      add('nothing-proposed-where-nothing-is-meant', silent.length / Math.max(unmatched.length, 1), ''),
      add('proposal-median', median(times), 'ms'),
      add('proposal-p95', quantile(times, 0.95), 'ms', '< 30'),
    ];
  });
}

function mean(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0) / values.length;
}
