/** Where a word may be cut so that any ending matches, and what each cut brings in. */
import { MIN_LETTERS_BEFORE_ANY_ENDING } from '../query/index.js';

/** A word of a database's index. */
export interface KnownWord {
  word: string;
  /** records that hold it */
  hits: number;
}

export interface BroughtIn extends KnownWord {
  /** whether it is likely another form of the word that was meant */
  kin: boolean;
}

export interface Cut {
  /** the letters before the `*` */
  stem: string;
  /** every word of the index that the cut matches, the most frequent first */
  words: BroughtIn[];
}

/** English endings, by which words with the same beginning are forms of one another. */
const ENDINGS = new Set(
  (
    's es ed d ing ings er ers e y ies ied ily iness less lessness ness ly ic ics ical ically ist ists ion ions ional ' +
    'ive ives ively able ability al ally ate ates ated ating ation ations ational ator ators ' +
    'ise ises ised ising isation iser ize izes ized izing ization izer or ors ment ments ence ences ance ances ' +
    'ent ents ant ants ia ias ism isms ity ities ous ously eutic eutics eutical eutically etic tic sis ses tive en ens ' +
    'ship ships hood ful fully'
  )
    .split(' ')
    .concat(''),
);

/** Whether two words are likely forms of one: the same beginning, and known endings after it. */
export function areKin(one: string, other: string): boolean {
  let shared = 0;
  while (shared < one.length && one[shared] === other[shared]) shared += 1;
  for (let at = shared; at >= Math.max(MIN_LETTERS_BEFORE_ANY_ENDING, shared - 2); at -= 1) {
    if (ENDINGS.has(one.slice(at)) && ENDINGS.has(other.slice(at))) return true;
  }
  return false;
}

/** The word that a stem stands for most often, by which its forms are told from strangers; the stem when none does. */
export function commonestWord(stem: string, known: readonly KnownWord[]): string {
  let commonest: KnownWord = { word: stem, hits: 0 };
  for (const each of known) if (each.word.startsWith(stem) && each.hits > commonest.hits) commonest = each;
  return commonest.word;
}

/**
 * Every place where a word may be cut, the longest stem first.
 *
 * @param word normalised, as `tokenise` gives it
 * @param known all words of the index that begin with the shortest stem wanted
 */
export function cutsOf(word: string, known: readonly KnownWord[]): Cut[] {
  const cuts: Cut[] = [];
  for (let length = word.length; length >= MIN_LETTERS_BEFORE_ANY_ENDING; length -= 1) {
    const stem = word.slice(0, length);
    const words = known
      .filter((each) => each.word.startsWith(stem))
      .map((each) => ({ ...each, kin: areKin(word, each.word) }))
      .sort((a, b) => b.hits - a.hits || (a.word < b.word ? -1 : 1));
    cuts.push({ stem, words });
  }
  return cuts;
}

/** A record found by a word that was not meant costs as much as so many found by one that was. */
const COST_OF_STRANGERS = 3;

/** The cut that brings in the most of what is meant and the least of what is not; of equals the longest. */
export function bestCut(cuts: readonly Cut[]): Cut | null {
  let best: Cut | null = null;
  let most = -Infinity;
  for (const cut of cuts) {
    const worth = cut.words.reduce((sum, { hits, kin }) => sum + (kin ? hits : -COST_OF_STRANGERS * hits), 0);
    if (worth > most) {
      best = cut;
      most = worth;
    }
  }
  return best;
}
