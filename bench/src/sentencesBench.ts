/** How well a question is taken apart as people really write it: concepts by their words, and what must be none. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { indexForLookup, indexVocabulary, takeApart } from '@even-lantern/core';
import { readVocabularies } from '@even-lantern/standins';
import { measured, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');

interface Sentence {
  text: string;
  /** for each concept the words that do for it */
  concepts: string[][];
  /** what must be no concept */
  none: string[];
  set: string;
}

/** Sets of sentences by where they come from; those kept shut are not looked at while the reading is worked on. */
export function readSentences(): Sentence[] {
  return [
    ...sentencesIn('sentences-given.txt', 'given', 'given'),
    ...sentencesIn('sentences.txt', 'open', 'shut'),
  ];
}

function sentencesIn(file: string, open: string, shut: string): Sentence[] {
  let set = open;
  return readFileSync(join(root, 'bench', 'content', file), 'utf8')
    .split('\n')
    .flatMap((line) => {
      if (line.startsWith('# kept shut')) set = shut;
      if (line.startsWith('#') || !line.includes('|')) return [];
      const [, text = '', concepts = '', none = ''] = line.split('|').map((part) => part.trim());
      return [{ text, concepts: listed(concepts).map((each) => each.split('/')), none: listed(none), set }];
    });
}

const listed = (text: string) => text.split(';').flatMap((each) => (each.trim() === '' ? [] : [each.trim()]));

/** Case, articles and marks at the ends make no difference. */
const plain = (text: string) =>
  text
    .toLowerCase()
    .replace(/[’‘]/g, "'")
    .replace(/^[^\p{L}\p{N}>]+|[^\p{L}\p{N}')]+$/gu, '')
    .replace(/^(?:the|an?)\s+/, '');

export function sentencesBench(): Measurement[] {
  const [vocabulary] = readVocabularies(join(root, 'standins', 'content'));
  if (vocabulary === undefined) return [];
  const index = indexForLookup(indexVocabulary(vocabulary));
  const sentences = readSentences();
  const show = process.env.SHOW_MISSES;
  return [...new Set(sentences.map(({ set }) => set))].flatMap((set) => {
    let [met, proposed, wanted, none] = [0, 0, 0, 0];
    for (const each of sentences.filter((one) => one.set === set)) {
      const given = takeApart(index, each.text).concepts.map(({ text }) => plain(text));
      const open = each.concepts.map((names) => names.map(plain));
      for (const text of given) {
        const at = open.findIndex((names) => names.includes(text));
        if (at !== -1) open.splice(at, 1);
        if (each.none.map(plain).includes(text)) none += 1;
      }
      met += each.concepts.length - open.length;
      proposed += given.length;
      wanted += each.concepts.length;
      if (show !== undefined && set !== 'shut' && (open.length > 0 || given.length > each.concepts.length)) {
        console.log(
          `${each.text}\n   missed ${open.map(([name]) => name).join('; ')}\n   got    ${given.join('; ')}`,
        );
      }
    }
    const add = (metric: string, value: number, unit: string, aim?: string) =>
      measured('sentences', `${metric}-${set}`, value, unit, aim);
    return [
      add('sentences', sentences.filter((one) => one.set === set).length, ''),
      add('precision', met / proposed, ''),
      add('recall', met / wanted, ''),
      add('f1', (2 * met) / (proposed + wanted), '', set === 'shut' ? '>= 0.8' : '>= 0.9'),
      add('proposed-though-none', none, 'concepts', '< 1'),
    ];
  });
}
