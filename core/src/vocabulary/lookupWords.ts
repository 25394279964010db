import { tokenise } from '../text/index.js';

/** English words that say nothing about a subject. */
const EMPTY_WORDS = new Set(
  (
    'a about after all also am an and any are as at be because been before being both but by can cannot could did ' +
    'do does doing don during each every for from get gets getting give given giving go goes going had has have having he her his how ' +
    'i if in into is it its just like made make makes many may me more most much must my no nor not of often on one ones or ' +
    'other our out over own s same she should so some such t than that the their them then there these they this those ' +
    'through to too under until up us use used uses using very was way we were what when where which while who whom whose ' +
    'why will with within without would you your'
  ).split(' '),
);

/** The words that mean something; all of them, when none does. */
export function contentWords(words: readonly string[]): string[] {
  const meant = words.filter((word) => !EMPTY_WORDS.has(word));
  return meant.length > 0 ? meant : [...words];
}

/** The words of a scope note that are about its heading: sentences that send elsewhere are left out. */
export function noteWords(note: string): string[] {
  const own = note
    .split(/(?<=[.;])\s+/)
    .filter((sentence) => !/^for\b.*\buse\b/i.test(sentence.trim()))
    .join(' ');
  return contentWords(tokenise(own).map(({ word }) => word)).filter((word) => !EMPTY_WORDS.has(word));
}
