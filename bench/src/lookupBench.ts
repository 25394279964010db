/** How well and how fast lookup leads from typed phrases to the headings a librarian would want. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { indexForLookup, indexVocabulary, lookUp } from '@even-lantern/core';
import { readVocabularies } from '@even-lantern/standins';
import { measured, median, quantile, timed, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');

/** Files of phrases, by what follows `typed-`. */
const SETS = ['phrases', 'phrases-further', 'phrases-third', 'elements', 'clauses'];

interface Phrase {
  typed: string;
  /** the better one first */
  wanted: string[];
}

/** The phrases of a file, up to its line on those that were kept shut, and those behind it. */
function readPhrases(file: string): { seen: Phrase[]; unseen: Phrase[] } {
  const text = readFileSync(join(root, 'bench', 'content', file), 'utf8');
  const [seen = '', unseen = ''] = text.split(/^# kept shut .*$/m);
  return { seen: phrasesIn(seen), unseen: phrasesIn(unseen) };
}

function phrasesIn(text: string): Phrase[] {
  return text
    .split('\n')
    .filter((line) => line.includes('|'))
    .map((line) => {
      const [typed = '', wanted = ''] = line.split('|');
      return { typed: typed.trim(), wanted: wanted.split(';').map((label) => label.trim()) };
    });
}

export function lookupBench(): Measurement[] {
  const sets = SETS.map((name) => ({ name, ...readPhrases(`typed-${name}.txt`) }));
  const [index, ...others] = readVocabularies(join(root, 'standins', 'content')).map((vocabulary) =>
    indexForLookup(indexVocabulary(vocabulary)),
  );
  if (index === undefined) return [];
  const ranksOf = (phrases: readonly Phrase[], show: boolean) =>
    phrases.map(({ typed, wanted }) => {
      const found = lookUp(index, typed, 10).map(({ heading }) => heading.label);
      const rank = found.findIndex((label) => wanted.includes(label)) + 1;
      if (show && rank !== 1 && process.env.SHOW_MISSES !== undefined) {
        console.log(
          `${typed} → ${wanted.join(' ; ')}: ${rank || 'not found'} in ${found.slice(0, 4).join(', ')}`,
        );
      }
      return rank;
    });
  const keystrokes = (sets[0]?.seen ?? []).flatMap(({ typed }) =>
    [...typed].map((_, i) => typed.slice(0, i + 1)),
  );
  // As the interface does: the vocabulary at hand, and then all others.
  const lookUpInAll = (typed: string) => {
    lookUp(index, typed, 6);
    for (const other of others) lookUp(other, typed, 1);
  };
  keystrokes.forEach(lookUpInAll);
  const times = keystrokes.map((typed) => timed(() => lookUpInAll(typed)));
  const add = (metric: string, value: number, unit: string, aim?: string) =>
    measured('lookup', metric, value, unit, aim);
  const figures = (which: string, ranks: readonly number[], aim: string) => [
    add(`number-of-${which}`, ranks.length, 'phrases'),
    add(`mean-reciprocal-rank-${which}`, mean(ranks.map((rank) => (rank === 0 ? 0 : 1 / rank))), '', aim),
    add(`hit-at-3-${which}`, mean(ranks.map((rank) => (rank >= 1 && rank <= 3 ? 1 : 0))), ''),
  ];
  return [
    ...sets.flatMap(({ name, seen, unseen }) => [
      ...figures(name, ranksOf(seen, true), '>= 0.95'),
      ...(unseen.length > 0 ? figures(`${name}-unseen`, ranksOf(unseen, false), '>= 0.92') : []),
    ]),
    add('keystroke-in-three-vocabularies-median', median(times), 'ms'),
    add('keystroke-in-three-vocabularies-p95', quantile(times, 0.95), 'ms', '< 30'),
  ];
}

function mean(values: readonly number[]): number {
  return values.reduce((total, value) => total + value, 0) / values.length;
}
