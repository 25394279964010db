/** How well and how fast a clause or sentence is taken apart into the concepts that a librarian would part it into. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { indexForLookup, indexVocabulary, takeApart, type ProposedConcept } from '@even-lantern/core';
import { readVocabularies } from '@even-lantern/standins';
import { measured, quantile, timed, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');

interface Clause {
  text: string;
  /** for each concept what would do for it: a heading, or words after `~` */
  wanted: string[][];
  /** kept shut while the reader was built */
  unseen: boolean;
}

export function readClauses(): Clause[] {
  let unseen = false;
  return readFileSync(join(root, 'bench', 'content', 'clauses.txt'), 'utf8')
    .split('\n')
    .flatMap((line) => {
      if (line.startsWith('# kept shut')) unseen = true;
      if (line.startsWith('#') || !line.includes('|')) return [];
      const [text = '', wanted = ''] = line.split('|');
      const alternatives = wanted.split(';').map((each) => each.split('/').map((name) => name.trim()));
      return [{ text: text.trim(), wanted: alternatives, unseen }];
    });
}

function fits(concept: ProposedConcept, wanted: readonly string[]): boolean {
  return wanted.some((name) =>
    name.startsWith('~')
      ? concept.text.toLowerCase().includes(name.slice(1))
      : concept.headings.some(({ label }) => label === name),
  );
}

export function clausesBench(): Measurement[] {
  const [vocabulary] = readVocabularies(join(root, 'standins', 'content'));
  if (vocabulary === undefined) return [];
  const index = indexForLookup(indexVocabulary(vocabulary));
  const clauses = readClauses();
  const show = process.env.SHOW_MISSES;
  const add = (metric: string, value: number, unit: string, aim?: string) =>
    measured('clauses', metric, value, unit, aim);
  const results = [false, true].flatMap((unseen) => {
    let [found, proposed, wantedInAll, right] = [0, 0, 0, 0];
    for (const { text, wanted } of clauses.filter((clause) => clause.unseen === unseen)) {
      const { concepts } = takeApart(index, text);
      // Each concept may stand for one that was wanted, and each wanted one be met once.
      const open = [...wanted];
      let met = 0;
      for (const concept of concepts) {
        const at = open.findIndex((each) => fits(concept, each));
        if (at === -1) continue;
        open.splice(at, 1);
        met += 1;
      }
      found += met;
      proposed += concepts.length;
      wantedInAll += wanted.length;
      if (met === wanted.length && met === concepts.length) right += 1;
      else if (show !== undefined && (show === 'all' || !unseen)) {
        const told = concepts.map(
          (each) => `${each.text} [${each.headings.map(({ label }) => label).join(', ')}]`,
        );
        console.log(
          `${text}\n   wanted ${wanted.map((each) => each.join('/')).join('; ')}\n   got    ${told.join('; ')}`,
        );
      }
    }
    const which = unseen ? 'unseen' : 'seen';
    return [
      add(`precision-${which}`, found / proposed, '', '>= 0.9'),
      add(`recall-${which}`, found / wantedInAll, '', '>= 0.9'),
      add(`all-right-${which}`, right / clauses.filter((clause) => clause.unseen === unseen).length, ''),
    ];
  });
  const times = clauses.map(({ text }) => timed(() => takeApart(index, text)));
  const paragraph = clauses
    .map(({ text }) => text)
    .join('. ')
    .slice(0, 2000);
  takeApart(index, paragraph);
  const long = Array.from({ length: 10 }, () => timed(() => takeApart(index, paragraph)));
  return [
    add('clauses', clauses.length, 'clauses', '>= 60'),
    ...results,
    add('sentence-p95', quantile(times, 0.95), 'ms', '< 30'),
    add('paragraph-of-2000-letters-p95', quantile(long, 0.95), 'ms', '< 100'),
  ];
}
