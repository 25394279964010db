/** A large foreign vocabulary: reading its SKOS, making it ready, and looking up in it. */
import {
  indexForLookup,
  indexVocabulary,
  lookUp,
  vocabularyFromTurtle,
  vocabularyToTurtle,
  type Heading,
  type LookupIndex,
} from '@even-lantern/core';
import { measured, median, quantile, timed, type Measurement } from './measure.js';

const SYLLABLES = 'ba ce di fo gu ha ki lo mu na pe ri so tu va wo xi yu za che'.split(' ');
const KINDS = [
  'pain',
  'care',
  'work',
  'sleep',
  'light',
  'therapy',
  'injury',
  'nurses',
  'measurement',
  'training',
];

/** Headings in a tree ten wide, with names of two or three words out of some thousand. */
export function largeVocabulary(size: number): Heading[] {
  let state = 7;
  const next = (below: number) => {
    state = (state * 1103515245 + 12345) % 2147483648;
    return Math.floor((state / 2147483648) * below);
  };
  const word = () => Array.from({ length: 2 + next(2) }, () => SYLLABLES[next(SYLLABLES.length)]).join('');
  const name = () => `${word()} ${KINDS[next(KINDS.length)] ?? ''}`;
  const label = (i: number) => `${word()} ${KINDS[i % KINDS.length] ?? ''} ${i}`;
  const labels = Array.from({ length: size }, (_, i) => label(i));
  return labels.map((own, i) => {
    const above = labels[Math.floor((i - 1) / 10)];
    return {
      label: own,
      entryTerms: [name(), name(), name()],
      scopeNote: `${name()} of ${word()} where ${name()} is meant.`,
      broader: i === 0 || above === undefined ? [] : [above],
      related: [],
      historyNote: null,
      subheadings: [],
    };
  });
}

/** The text as it comes from a file: in one piece, and what it was made of is let go. */
async function largeTurtle(size: number): Promise<string> {
  const headings = largeVocabulary(size);
  const turtle = await vocabularyToTurtle({ id: 'large', name: 'Large', release: '2026-01-01', headings });
  return Buffer.from(turtle).toString();
}

export async function skosBench(): Promise<Measurement[]> {
  const size = 100_000;
  const turtle = await largeTurtle(size);
  let index = null as LookupIndex | null;
  const loadMs = timed(() => {
    const read = vocabularyFromTurtle(turtle);
    if (!read.ok) throw new Error(read.message);
    index = indexForLookup(indexVocabulary(read.vocabulary));
  });
  if (index === null) throw new Error('no index');
  const ready: LookupIndex = index;
  const typed = ready.tree.vocabulary.headings
    .filter((_, i) => i % 500 === 0)
    .flatMap(({ label, entryTerms: [term = ''] }) => [
      label,
      term,
      term.slice(0, 4),
      `people with ${term}`,
      `x${term}`,
    ]);
  typed.forEach((text) => lookUp(ready, text));
  const times = typed.map((text) => timed(() => lookUp(ready, text)));
  const add = (metric: string, value: number, unit: string, aim?: string) =>
    measured('skos', metric, value, unit, aim);
  return [
    add('headings', size, 'headings'),
    add('turtle', turtle.length / 1e6, 'MB'),
    add('load-and-index', loadMs / 1000, 's', '< 10'),
    add('look-up-median', median(times), 'ms'),
    add('look-up-p95', quantile(times, 0.95), 'ms', '< 50'),
  ];
}
