/**
 * The concepts of a clause, a sentence or a paragraph, each to become a lane: words that name headings first, the
 * longest names before shorter ones, then what is left between them. Alternatives (*or*, and *and* between headings
 * that stand together in the tree) are one concept; everything else is a concept of its own, since concepts are joined
 * with AND.
 */
import {
  lookUp,
  lookupWords,
  senseOf,
  type Heading,
  type LookupIndex,
  type Name,
} from '../vocabulary/index.js';
import { clauseWords, isGeneric, isWeak, looser, type ClauseWord, type Link } from './clauseWords.js';
import { namesInText, ofSameWords, type NameInText } from './namesInText.js';
import {
  conceptOf,
  textOfWords,
  writtenOf,
  type Piece,
  type ProposedConcept,
  type ProposedHeading,
} from './proposedConcept.js';

export interface TakenApart {
  concepts: ProposedConcept[];
  /** from this offset on the text was not read; null when all was */
  unread: number | null;
}

/** Words that mean something; what is longer is no question but a document. */
const MOST_WORDS = 400;
export const MOST_CONCEPTS = 12;
/** Where no name fits, a heading at least this sure may still be meant. */
const SURE_ENOUGH = 0.9;
const MOST_GUESSES = 6;
/** A shorter word is a slip away from too many others. */
const LONG_ENOUGH = 6;
/** Hits that are looked at for a guess. */
const GUESSED = 6;

/**
 * @param text what somebody wrote: an element of a question, a sentence, a paragraph
 * @returns the concepts in the order of the text; none where nothing in it can be searched for
 */
export function takeApart(index: LookupIndex, text: string): TakenApart {
  const all = clauseWords(text);
  const words = all.slice(0, MOST_WORDS);
  const names = bestNames(namesInText(index, text, words), words);
  let pieces = piecesOf(index, words, names, text);
  pieces = attached(pieces, words);
  pieces = distributed(index, pieces, words, text);
  pieces = guessed(index, pieces, words, text);
  pieces = joinedAlternatives(index, pieces, words, text);
  const named = pieces.filter(({ weak }) => !weak);
  const telling = (named.length > 0 ? named : pieces).filter((piece) => !isGenericAlone(piece, words));
  const concepts = withoutRepeats(telling)
    .slice(0, MOST_CONCEPTS)
    .map((piece) => conceptOf(index, piece, words, text));
  return { concepts, unread: all[MOST_WORDS]?.start ?? null };
}

/** “Usual care”, “no treatment”: what something is compared with, and no concept. */
function isGenericAlone({ from, to }: Piece, words: readonly ClauseWord[]): boolean {
  const own = words.slice(from, to);
  return own.some(({ word }) => isGeneric(word)) && own.every(({ word, weak }) => weak || isGeneric(word));
}

/** Of names that overlap the ones that explain most of the text: long ones, and those that stand as written. */
function bestNames(names: readonly NameInText[], words: readonly ClauseWord[]): NameInText[] {
  const best: { worth: number; names: NameInText[] }[] = [{ worth: 0, names: [] }];
  for (let to = 1; to <= words.length; to += 1) {
    best[to] = best[to - 1] ?? { worth: 0, names: [] };
    for (const name of names) {
      if (name.to !== to) continue;
      const before = best[name.from] ?? { worth: 0, names: [] };
      const worth = before.worth + (name.to - name.from) ** 1.6 + (name.exact ? 0.2 : 0);
      if (worth > (best[to]?.worth ?? 0)) best[to] = { worth, names: [...before.names, name] };
    }
  }
  return best[words.length]?.names ?? [];
}

function piecesOf(
  index: LookupIndex,
  words: readonly ClauseWord[],
  names: readonly NameInText[],
  text: string,
): Piece[] {
  const pieces: Piece[] = [];
  let at = 0;
  const addRest = (until: number) => {
    while (at < until) {
      const from = at;
      at += 1;
      while (at < until && words[at]?.link === 'joined') at += 1;
      const link = words[from]?.link ?? 'apart';
      const weak = words.slice(from, at).every((word) => word.weak);
      pieces.push({ from, to: at, link, headings: [], written: [], weak });
    }
  };
  for (const { from, to, names: own } of names) {
    addRest(from);
    const weak = words.slice(from, to).every((word) => word.weak);
    const proposed = own.slice(0, 2).flatMap((name) => headingOf(index, name));
    pieces.push({
      from,
      to,
      link: words[from]?.link ?? 'apart',
      headings: proposed,
      written: [textOfWords(text, words.slice(from, to))],
      weak,
    });
    at = to;
  }
  addRest(words.length);
  return pieces;
}

function headingOf({ tree }: LookupIndex, { heading, text, isLabel, isSaying }: Name): ProposedHeading[] {
  const { label } = tree.vocabulary.headings[heading] ?? {};
  if (label === undefined) return [];
  const reason = isSaying ? 'in other words' : isLabel ? 'same label' : 'entry term';
  return [{ label, matched: text, reason }];
}

/** Words beside a name belong to it: “timed” in “timed bright light”. Such as say nothing are left away. */
function attached(pieces: readonly Piece[], words: readonly ClauseWord[]): Piece[] {
  const result: Piece[] = [];
  let waiting: Piece | null = null;
  let dropped: Link = 'joined';
  for (const each of pieces) {
    const piece: Piece = { ...each, link: looser(each.link, dropped) };
    const last = result.at(-1);
    if (piece.headings.length === 0) {
      const own = telling(piece, words);
      const endsWeak = own !== null && own.to < piece.to;
      if (own === null) {
        dropped = piece.link;
        continue;
      }
      dropped = 'joined';
      const alone = own.to - own.from === 1 && endsWeak && words[piece.to - 1]?.leadsOn === true;
      if (last !== undefined && piece.link === 'joined' && own.from === piece.from && last.to === own.from) {
        last.to = own.to;
        last.weak = false;
      } else {
        result.push({ ...own });
        waiting = alone || own.to === piece.to ? (result.at(-1) ?? null) : null;
        continue;
      }
    } else if (
      waiting !== null &&
      waiting === last &&
      (piece.link === 'joined' || (piece.link === 'of' && words[waiting.to]?.weak === true))
    ) {
      result.pop();
      result.push({ ...piece, from: waiting.from, link: waiting.link, weak: false });
    } else result.push({ ...piece });
    waiting = null;
    dropped = 'joined';
  }
  return result;
}

/** A piece without the words at its ends that say nothing; null when no others are in it. */
function telling(piece: Piece, words: readonly ClauseWord[]): Piece | null {
  let { from, to } = piece;
  while (from < to && words[from]?.weak === true) from += 1;
  while (to > from && words[to - 1]?.weak === true) to -= 1;
  return from === to ? null : { ...piece, from, to };
}

/** “night or rotating shifts” says “night shifts” too. */
function distributed(
  index: LookupIndex,
  pieces: readonly Piece[],
  words: readonly ClauseWord[],
  text: string,
): Piece[] {
  return pieces.map((piece, i) => {
    const next = pieces[i + 1];
    if (piece.headings.length > 0 || next === undefined || next.to - next.from < 2) return piece;
    if (next.link !== 'or' && next.link !== 'and') return piece;
    const own = words.slice(piece.from, piece.to);
    const whole = [...own, ...words.slice(next.to - 1, next.to)];
    const names = ofSameWords(
      index,
      whole.map(({ word }) => senseOf(word)),
    );
    return {
      ...piece,
      headings: names.slice(0, 1).flatMap((name) => headingOf(index, name)),
      written: [`${textOfWords(text, own)} ${whole.at(-1)?.word ?? ''}`],
    };
  });
}

/**
 * What names nothing may be a name misspelt, or said in other words; and words beside a name may be part of a longer one,
 * which then fits better: “bright light” is not any light.
 */
function guessed(
  index: LookupIndex,
  pieces: readonly Piece[],
  words: readonly ClauseWord[],
  text: string,
): Piece[] {
  let left = MOST_GUESSES;
  return pieces.map((piece) => {
    const own = words.slice(piece.from, piece.to);
    const whole = textOfWords(text, own);
    const named = piece.headings.length > 0;
    const [written = whole] = piece.written;
    // What was said of two things at once names its own heading already.
    if (left === 0 || (named && (written === whole || !whole.includes(written)))) return piece;
    left -= 1;
    const telling = own.filter(({ weak }) => !weak).map(({ word }) => senseOf(word));
    const hit = lookUp(index, whole, GUESSED).find(({ score, reason, matched }) => {
      if (named) return telling.length > 1 && holdsAll(matched, telling);
      if (score < SURE_ENOUGH) return false;
      if (reason === 'likely misspelling') return whole.length >= LONG_ENOUGH;
      if (reason === 'same label' || reason === 'entry term') return true;
      // “exercise” for exercise programmes; but “wards” are not their staff.
      return holdsAll(matched, telling) && (telling.length > 1 || saysNoMore(matched, telling));
    });
    if (hit === undefined) return piece;
    const headings = [{ label: hit.heading.label, matched: hit.matched, reason: hit.reason }];
    return { ...piece, headings, written: [named ? whole : hit.matched] };
  });
}

/** Whether all other words of a name say nothing by themselves. */
function saysNoMore(name: string, senses: readonly string[]): boolean {
  return lookupWords(name).every((word) => isWeak(word) || senses.includes(senseOf(word)));
}

function holdsAll(name: string, senses: readonly string[]): boolean {
  const own = new Set(lookupWords(name).map(senseOf));
  return senses.every((each) => own.has(each));
}

function joinedAlternatives(
  index: LookupIndex,
  pieces: readonly Piece[],
  words: readonly ClauseWord[],
  text: string,
): Piece[] {
  const result: Piece[] = [];
  for (const piece of pieces) {
    const last = result.at(-1);
    const untouched =
      last !== undefined &&
      words.slice(last.to, piece.from).every(({ weak, link }) => weak && link !== 'apart');
    const alternative =
      last !== undefined &&
      untouched &&
      (piece.link === 'or' || (piece.link === 'and' && standTogether(index, last.headings, piece.headings)));
    if (!alternative) {
      result.push({ ...piece });
      continue;
    }
    const headings = [
      ...last.headings,
      ...piece.headings.filter(({ label }) => !last.headings.some((each) => each.label === label)),
    ];
    const weak = last.weak && piece.weak;
    result[result.length - 1] = {
      ...last,
      to: piece.to,
      headings,
      written: [...writtenOf(last, words, text), ...writtenOf(piece, words, text)],
      weak,
    };
  }
  return result;
}

/** Whether headings are one below the other, or have one directly above in common. */
function standTogether(
  { tree }: LookupIndex,
  ones: readonly ProposedHeading[],
  others: readonly ProposedHeading[],
): boolean {
  const of = ({ label }: ProposedHeading): Heading | undefined =>
    tree.vocabulary.headings.find((heading) => heading.label === label);
  return ones.some((one) =>
    others.some((other) => {
      const [a, b] = [of(one), of(other)];
      if (a === undefined || b === undefined) return false;
      const tops = (each: Heading) => each.broader;
      return (
        a.broader.includes(b.label) ||
        b.broader.includes(a.label) ||
        tops(a).some((above) => tops(b).includes(above) && isNarrow(tree, above))
      );
    }),
  );
}

/** Whether a heading is below another: the tops of a tree hold too much in common to say anything. */
function isNarrow(tree: LookupIndex['tree'], label: string): boolean {
  return (tree.vocabulary.headings.find((heading) => heading.label === label)?.broader.length ?? 0) > 0;
}

function withoutRepeats(pieces: readonly Piece[]): Piece[] {
  const seen = new Set<string>();
  return pieces.filter(({ headings }) => {
    const labels = headings.map(({ label }) => label);
    if (labels.length > 0 && labels.every((label) => seen.has(label))) return false;
    labels.forEach((label) => seen.add(label));
    return true;
  });
}
