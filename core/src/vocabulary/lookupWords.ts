import { foldWord } from '../spelling/index.js';
import { forEachWord } from '../text/index.js';

/** English words that say nothing about a subject. */
const EMPTY_WORDS = new Set(
  (
    'a about after all also am an and any are as at be because been before being both but by can could did ' +
    'do does doing don during each every for from get gets getting give given giving go goes going had has have having he her his how ' +
    'i if in into is it its just like made make makes may me more most much must my no nor not of often on one ones or ' +
    'other our out over own s same she should so some such t than that the their them then there these they this those ' +
    'through to too under until up us use used uses using very was way we were what when where which while who whom whose ' +
    'why will with within without would you your'
  ).split(' '),
);

/** Plain words that say the same of a subject, so that “can’t sleep” leads where “trouble sleeping” does. */
const SENSES: ReadonlyMap<string, string> = new Map(
  [
    'trouble cannot unable inability difficulty difficulties difficult hard problem problems',
    'lack shortage shortages insufficient missing deficiency',
    'many multiple several numerous',
    'older old elderly aged',
    'worker workers staff personnel employee employees',
    'medicine medicines medication medications drug drugs pill pills tablet tablets',
    'child children kid kids youngster youngsters',
    'doctor doctors physician physicians',
    'surgery surgical operation operations operated',
    'error errors mistake mistakes',
    'fear fears afraid scared frightened frightening',
    'cost costs cheap cheaper expensive price prices',
    'tired tiredness fatigue fatigued exhausted exhaustion weary weariness',
  ].flatMap((group) => {
    const [first = '', ...others] = group.split(' ');
    return others.map((word): [string, string] => [word, first]);
  }),
);

/** What words of one family and one sense share, for lookup alone. */
export function senseOf(word: string): string {
  return foldWord(SENSES.get(word) ?? word);
}

const SAID_IN_TWO = /\bcan['’ʼ]?t\b|\b(?:not enough|too few|too little)\b/i;

/** The words of a typed text or a name, with what is said in two words said in one. */
export function lookupWords(text: string): string[] {
  const plain = !SAID_IN_TWO.test(text)
    ? text
    : text
        .replace(/\bcan['’ʼ]?t\b/gi, 'cannot')
        .replace(/\b(?:not enough|too few|too little)\b/gi, 'insufficient');
  const words: string[] = [];
  forEachWord(plain, (word) => words.push(word));
  return words;
}

/** Words for people in general, of whom much else can be said. */
const PEOPLE = new Set(
  (
    'people person patient nurse staff doctor woman women man men mother father parent child children kid girl boy baby ' +
    'babies infant teenager adult elderly old older young worker employee carer resident family families relative ' +
    'student user someone somebody anyone volunteer wife wives husband spouse partner midwife midwives grandparent pensioner'
  ).split(' '),
);

/** Whether a word names people in general: in “nurses who skip lunch” it is the lunch that tells. */
export function isPeople(word: string): boolean {
  return PEOPLE.has(word) || (word.endsWith('s') && PEOPLE.has(word.slice(0, -1)));
}

export function isEmptyWord(word: string): boolean {
  return EMPTY_WORDS.has(word);
}

/** The words that mean something; all of them, when none does. */
export function contentWords(words: readonly string[]): string[] {
  const content = words.filter((word) => !EMPTY_WORDS.has(word));
  return content.length > 0 ? content : [...words];
}

/** The words of a scope note that are about its heading: sentences that send elsewhere are left out. */
export function noteWords(note: string): string[] {
  const sentences = note.split(/(?<=[.;])\s+/);
  const own = sentences.filter((sentence) => !/^\s*for\b.*\buse\b/i.test(sentence));
  return lookupWords(own.join(' ')).filter((word) => !EMPTY_WORDS.has(word));
}
