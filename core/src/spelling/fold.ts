import { stemmer } from 'stemmer';
import { american } from './regional.js';

/** Plurals that no rule makes. */
const IRREGULAR: ReadonlyMap<string, string> = new Map([
  ['children', 'child'],
  ['men', 'man'],
  ['women', 'woman'],
  ['people', 'person'],
  ['feet', 'foot'],
  ['teeth', 'tooth'],
  ['lice', 'louse'],
  ['mice', 'mouse'],
  ['diagnoses', 'diagnosis'],
  ['crises', 'crisis'],
  ['analyses', 'analysis'],
]);

const known = new Map<string, string>();
const spelled = new Map<string, string>();
const REMEMBERED = 500_000;

/** What has no spelling and no ending. */
const NUMBER = /^\d+$/;

/** The American spelling, remembered: for comparing words of texts large and small. */
export function spellWord(word: string): string {
  if (NUMBER.test(word)) return word;
  let spelling = spelled.get(word);
  if (spelling === undefined) {
    if (spelled.size >= REMEMBERED) spelled.clear();
    spelling = american(word);
    spelled.set(word, spelling);
  }
  return spelling;
}

/**
 * What words of one family share: the same letters for `nurse`, `nurses` and `nursing`, for `randomised` and
 * `randomized`. For comparing only; no word to show (Porter, An algorithm for suffix stripping, 1980).
 * @param word as `tokenise` gives it
 */
export function foldWord(word: string): string {
  if (NUMBER.test(word)) return word;
  let folded = known.get(word);
  if (folded === undefined) {
    if (known.size >= REMEMBERED) known.clear();
    folded = stemmer(spellWord(IRREGULAR.get(word) ?? word));
    known.set(word, folded);
  }
  return folded;
}
