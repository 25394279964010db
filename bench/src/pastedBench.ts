/** How well terms are read out of pasted pieces of strategies. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readPasted, textKey } from '@even-lantern/core';
import { measured, timed, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');

interface Piece {
  text: string;
  wanted: string[];
  unseen: boolean;
}

function readPieces(): Piece[] {
  let unseen = false;
  return readFileSync(join(root, 'bench', 'content', 'pasted-pieces.txt'), 'utf8')
    .split('\n')
    .flatMap((line) => {
      if (line.startsWith('# kept shut')) unseen = true;
      if (line.startsWith('# ') && !line.includes(' // ')) return [];
      const at = line.lastIndexOf(' | ');
      if (at === -1) return [];
      const text = line.slice(0, at).split(' // ').join('\n');
      const wanted = line
        .slice(at + 3)
        .split(';')
        .map((term) => term.trim());
      return [{ text, wanted, unseen }];
    });
}

export function pastedBench(): Measurement[] {
  const pieces = readPieces();
  const add = (metric: string, value: number, unit: string, aim?: string) =>
    measured('pasted', metric, value, unit, aim);
  const figures = [false, true].flatMap((unseen) => {
    let [met, found, wantedInAll] = [0, 0, 0];
    for (const { text, wanted } of pieces.filter((piece) => piece.unseen === unseen)) {
      const terms = readPasted(text)
        .terms.filter(({ duplicate }) => !duplicate)
        .map(
          ({ text: term, near, looksLikeHeading, excluded }) =>
            `${excluded ? '-' : ''}${looksLikeHeading ? 'H:' : ''}${term}${near === null ? '' : ` ~${near}`}`,
        );
      const key = (term: string) =>
        term.startsWith('H:') ? `H:${textKey(term.slice(2))}` : term.toLowerCase();
      const open = wanted.map(key);
      let here = 0;
      for (const term of terms.map(key)) {
        const at = open.indexOf(term);
        if (at === -1) continue;
        open.splice(at, 1);
        here += 1;
      }
      met += here;
      found += terms.length;
      wantedInAll += wanted.length;
      const right = here === wanted.length && here === terms.length;
      if (!right && process.env.SHOW_MISSES !== undefined && !unseen) {
        console.log(`${text}\n   wanted ${wanted.join('; ')}\n   got    ${terms.join('; ')}`);
      }
    }
    const which = unseen ? 'unseen' : 'seen';
    return [
      add(`precision-${which}`, met / found, '', '>= 0.95'),
      add(`recall-${which}`, met / wantedInAll, '', '>= 0.95'),
    ];
  });
  const all = pieces.map(({ text }) => text).join('\n');
  return [
    add('pieces', pieces.length, 'pieces', '>= 40'),
    ...figures,
    add(
      'all-pieces-at-once',
      timed(() => readPasted(all)),
      'ms',
    ),
  ];
}
