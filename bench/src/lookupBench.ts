/** How well and how fast lookup leads from typed phrases to the headings a librarian would want. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { indexForLookup, indexVocabulary, lookUp } from '@even-lantern/core';
import { readVocabularies } from '@even-lantern/standins';
import { measured, median, quantile, timed, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');

interface Phrase {
  typed: string;
  /** the better one first */
  wanted: string[];
}

export function readPhrases(): Phrase[] {
  return readFileSync(join(root, 'bench', 'content', 'typed-phrases.txt'), 'utf8')
    .split('\n')
    .filter((line) => line.includes('|'))
    .map((line) => {
      const [typed = '', wanted = ''] = line.split('|');
      return { typed: typed.trim(), wanted: wanted.split(';').map((label) => label.trim()) };
    });
}

export function lookupBench(): Measurement[] {
  const phrases = readPhrases();
  const [index, ...others] = readVocabularies(join(root, 'standins', 'content')).map((vocabulary) =>
    indexForLookup(indexVocabulary(vocabulary)),
  );
  if (index === undefined) return [];
  const ranks = phrases.map(({ typed, wanted }) => {
    const found = lookUp(index, typed, 10).map(({ heading }) => heading.label);
    const rank = found.findIndex((label) => wanted.includes(label)) + 1;
    if (rank !== 1 && process.env.SHOW_MISSES !== undefined) {
      console.log(
        `${typed} → ${wanted.join(' ; ')}: ${rank || 'not found'} in ${found.slice(0, 4).join(', ')}`,
      );
    }
    return rank;
  });
  const keystrokes = phrases.flatMap(({ typed }) => [...typed].map((_, i) => typed.slice(0, i + 1)));
  // As the interface does: the vocabulary at hand, and then all others.
  const lookUpInAll = (typed: string) => {
    lookUp(index, typed, 6);
    for (const other of others) lookUp(other, typed, 1);
  };
  keystrokes.forEach(lookUpInAll);
  const times = keystrokes.map((typed) => timed(() => lookUpInAll(typed)));
  const add = (metric: string, value: number, unit: string, aim?: string) =>
    measured('lookup', metric, value, unit, aim);
  return [
    add('phrases', phrases.length, 'phrases', '>= 150'),
    add('mean-reciprocal-rank', mean(ranks.map((rank) => (rank === 0 ? 0 : 1 / rank))), '', '>= 0.9'),
    add('hit-at-3', mean(ranks.map((rank) => (rank >= 1 && rank <= 3 ? 1 : 0))), '', '>= 0.95'),
    add('keystroke-in-three-vocabularies-median', median(times), 'ms'),
    add('keystroke-in-three-vocabularies-p95', quantile(times, 0.95), 'ms', '< 30'),
  ];
}

function mean(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0) / values.length;
}
