/** The words of a sentence that may name concepts, with what joins each to the one before. */
import type { Role } from '../question/index.js';
import { forEachWord } from '../text/index.js';
import { isEmptyWord } from '../vocabulary/index.js';

/**
 * What stands between two words: nothing, a word such as *of* that may be part of a name, *or* and *and*, or something
 * that parts concepts.
 */
export type Link = 'joined' | 'of' | 'or' | 'and' | 'apart';

export interface ClauseWord {
  word: string;
  /** half-open range of UTF-16 offsets in the text */
  start: number;
  end: number;
  /** to the word before that means something */
  link: Link;
  /** whether *to* or *of* leads on to the next word */
  leadsOn: boolean;
  /** says nothing by itself: *effect*, *usual*, *people* */
  weak: boolean;
  /** the part of a question that it seems to belong to */
  role: Role | null;
}

const setOf = (words: string) => new Set(words.split(' '));

/** Words of questions and of telling about studies, and people of no particular kind. */
const WEAK = setOf(
  'effect effects effective effectiveness efficacy impact impacts influence influences affect affects improve improves ' +
    'improved improving reduce reduces reduced reducing increase increases increased increasing prevent prevents ' +
    'preventing lower lowers lowered raise raises help helps helped change changes changed cause causes caused compare ' +
    'compared comparing comparison versus vs instead rather than better worse best good bad more less usual standard ' +
    'routine normal current conventional new novel different various several certain specific particular general ' +
    'common many evidence literature study studies research question review systematic article articles paper papers ' +
    'role association associated associations relation relationship relationships related link links linked between ' +
    'among amongst within towards toward against per via across whether people person persons patient patients ' +
    'participant participants individual individuals subject subjects adult pts pt group groups ' +
    'resident residents survivor survivors sufferer sufferers user users client clients case cases having receiving ' +
    'undergoing living suffering exposed exposure exposures taking using used use uses need needs needed needing think thinks feel feels ' +
    'say says view know known find finding findings result results outcome outcomes intervention interventions ' +
    'programme programmes program programs strategy strategies approach approaches method methods technique ' +
    'techniques secondary primary first second third one two three four five six seven eight nine ten week weeks ' +
    'month months year years day days hour hours evening evenings morning mornings minute minutes based level levels amount rate rates risk risks ' +
    'safe safety possible who work works working want wants ' +
    'others else everything something anything nothing want look looking learn background aim aims objective conclusion conclusions setting settings ' +
    // parts of a protocol, kinds of studies and of questions
    'objectives rationale protocol population populations comparator comparators comparison comparisons design designs ' +
    'trial trials cohort survey surveys cross-sectional prevalence incidence proportion prognosis accuracy factors barriers ' +
    'facilitators cost-effectiveness ' +
    // what is said of things without being one
    'useful enough true frequent often any twice once daily weekly monthly yearly well badly afterwards only also maybe ' +
    'quick stupid easier harder higher fewer shorter longer ' +
    'reduction reductions improvement improvements decrease decreases efect efects efectiveness',
);
/** Verbs that stand between two concepts, and neither of which they name. */
const VERBS = setOf(
  'affect affects improve improves reduce reduces prevent prevents raises helps ease eases eased shorten shortens predict ' +
    'predicts treat treats keep keeps kept teach teaches remind reminds worsen worsens protect protects relieve relieves ' +
    'promote promotes avoid avoids boost boosts prescribe prescribes deliver delivers delivered give gives gave given handed ' +
    'ask asks asked asking offers offered tries tried wonder wonders wondering ' +
    'admitted refuse refuses decide decides making make makes made serve serves allow allows matter matters',
);
/** What is beside a treatment, and nobody searches for by itself. */
const GENERIC = setOf('care treatment treatments therapy therapies practice none english only management');
const NEGATIONS = setOf('without not no except excluding');
const AUXILIARY = /^(?:do|does|did|is|are|was|were|can|could|will|would|should|has|have|why)$/;
const PARTING = setOf(
  'who whom whose which that does do did is are was were can could will would should may might has have had with ' +
    'without during after before while when where why how what if because than versus vs compared among amongst by ' +
    'in on at for from as through under over until about into between',
);
const OF = setOf('of to the a an');

/** In UTF-16 units: so far ahead a list is looked for. */
const LONGEST_LIST = 120;

const COMPARISON = /^(?:versus|vs|compared|than|instead)$/;
const EFFECT =
  /^(?:affects?|improves?|reduces?|increases?|prevents?|lowers?|raises?|helps?|influences?|changes?|reducing|improving|preventing)$/;

/**
 * Splits a text into the words that mean something.
 *
 * @param text any text; offsets in the result are UTF-16 offsets into it
 */
export function clauseWords(text: string): ClauseWord[] {
  const words: ClauseWord[] = [];
  let role: Role | null = null;
  let between: Link = 'joined';
  let end = 0;
  /** before each *for*, the range of the words of its part of the sentence */
  const afterFor: { from: number; to: number }[] = [];
  /** the place of the first word since a comma or the end of a sentence */
  let partFrom = 0;
  let last = { word: '', start: 0 };
  const loosen = (link: Link) => {
    if (RANK[link] > RANK[between]) between = link;
  };
  const chatter = chatterIn(text);
  /** within what is left out: “without insulin” */
  let negated = false;
  /** whether anything has been left out since: “not in hospital” leaves out the hospital */
  let leftOut = false;
  /** whether the sentence asks, so that *not* denies what is asked and leaves nothing out */
  let asks = false;
  forEachWord(text, (word, start, wordEnd) => {
    const gap = text.slice(end, start);
    if (chatter.some(({ from, to }) => start >= from && start < to)) {
      end = wordEnd;
      loosen('apart');
      return;
    }
    if (/[.?!;\n]/.test(gap)) asks = false;
    if (AUXILIARY.test(word)) asks = true;
    // “w/ apnoea”, “w/out insulin”
    if (word === 'w' && text[wordEnd] === '/') {
      end = wordEnd;
      last = { word, start };
      loosen('apart');
      return;
    }
    const isShort = gap === '/' && last.word === 'w';
    const isOtherThan = word === 'than' && last.word === 'other';
    const ends = /[.,;:?!()\n]/.test(gap) || (leftOut && PARTING.has(word)) || word === 'but';
    if (negated && ends && !isOtherThan) negated = false;
    if (isNegation(word, text.slice(wordEnd), asks) || (isShort && /^(?:out|o)$/.test(word))) {
      // “with or without” leaves nothing out.
      negated = !/\bor\s*(?:w\/)?$/.test(text.slice(Math.max(0, start - 10), start));
      leftOut = false;
      end = wordEnd;
      last = { word, start };
      loosen('apart');
      return;
    }
    if (negated) {
      leftOut ||= !PARTING.has(word) && !isEmptyWord(word);
      end = wordEnd;
      loosen('apart');
      return;
    }
    if (/[.;:?!()[\]—–\n]/.test(gap) || /\s-\s/.test(gap)) {
      between = 'apart';
      if (/[.?!\n]/.test(gap)) role = null;
    } else if (/[,/]/.test(gap))
      loosen(isInList(text.slice(start, start + LONGEST_LIST)) || gap.includes('/') ? 'or' : 'apart');
    if (between === 'apart' && role === 'comparison' && /[,.;]/.test(gap)) role = null;
    const cannot = word === 't' && last.word === 'can' && /^['’ʼ]$/.test(gap);
    end = wordEnd;
    if (cannot) {
      words.push({
        word: 'cannot',
        start: last.start,
        end,
        link: between,
        leadsOn: false,
        weak: false,
        role,
      });
      between = 'joined';
      return;
    }
    last = { word, start };
    role = roleAfter(word, role, words);
    if (/[.,;:?!()\n]/.test(gap)) partFrom = words.length;
    if (word === 'for' && words.slice(partFrom).some(({ weak }) => !weak)) {
      afterFor.push({ from: partFrom, to: words.length });
    }
    if (word === 'or') between = 'or';
    else if (word === 'and') loosen('and');
    else if (OF.has(word)) {
      loosen('of');
      const last = words.at(-1);
      if (last !== undefined) last.leadsOn = true;
    } else if (PARTING.has(word)) loosen('apart');
    else if (isEmptyWord(word)) loosen('of');
    else if (VERBS.has(word) || (word === 'lead' && /^\s+to\b/.test(text.slice(wordEnd)))) {
      words.push({ word, start, end: wordEnd, link: 'apart', leadsOn: false, weak: true, role });
      between = 'apart';
      return;
    } else {
      words.push({ word, start, end: wordEnd, link: between, leadsOn: false, weak: isWeak(word), role });
      between = isOfPeople(text.slice(start, wordEnd + 2)) ? 'apart' : 'joined';
      return;
    }
    if (WEAK.has(word)) loosen('apart');
  });
  // “massage for pain”: what is done stands before what it is for.
  const isDone = (place: number) => afterFor.some(({ from, to }) => place >= from && place < to);
  return words.map((each, i) => (each.role === null && isDone(i) ? { ...each, role: 'intervention' } : each));
}

/** Whether what follows a word is left out: *no better* and *no longer* leave out nothing, *does it not* neither. */
function isNegation(word: string, rest: string, asks: boolean): boolean {
  if (!NEGATIONS.has(word)) return word === 'other' && /^\s+than\b/i.test(rest);
  if (word === 'not') return !asks && !/^\s+only\b/i.test(rest);
  return word !== 'no' || !/^\s+(?:better|worse|longer|more|less|different|matter)\b/i.test(rest);
}

/** Whether a word is people to whom the next belongs: “students’ stress” is of two things, “Parkinson’s disease” is not. */
function isOfPeople(word: string): boolean {
  return /(?:s['’]|(?:children|women|men|people)['’]s)\s?$/i.test(word);
}

/** Where a message greets and takes its leave, as half-open ranges of offsets. */
function chatterIn(text: string): { from: number; to: number }[] {
  return CHATTER.flatMap((pattern) =>
    [...text.matchAll(pattern)].map((found) => ({ from: found.index, to: found.index + found[0].length })),
  );
}

const CHATTER = [
  /^\s*(?:(?:fwd?|re):\s*){0,5}(?:(?:hi|hello|hey|dear|greetings|good\s+(?:morning|afternoon|evening))\b[^,!.?:\n]{0,40}[,!.:\n]\s*)?/giu,
  /\b(?:i\s+)?hope\s+(?:you|this)\b[^.!?\n]{0,200}[.!?\n]/giu,
  /(?:\b(?:many\s+)?(?:thanks(?!\s+to\b)|thank\s+you|cheers|sincerely)\b|\b(?:kind|kindest|best|warm)\s+(?:regards|wishes|greetings)\b|[.!?]\s{0,4}best,)[^?]{0,60}$/giu,
  /\b(?:please|pls)\b/giu,
  /\b(?:control|intervention|comparison)\s{1,4}group\b/giu,
];

/** Whether a word is of those that stand beside what is searched for, and are not searched for themselves. */
export function isGeneric(word: string): boolean {
  return GENERIC.has(word);
}

/** Whether a word says nothing by itself. */
export function isWeak(word: string): boolean {
  return WEAK.has(word) || isEmptyWord(word) || /^\d+$/.test(word);
}

/** The one of two links that parts more. */
export function looser(one: Link, other: Link): Link {
  return RANK[one] >= RANK[other] ? one : other;
}

const RANK: Readonly<Record<Link, number>> = { joined: 0, of: 1, and: 2, or: 2, apart: 3 };

/** Whether a comma is one of a list that *or* or *and* ends: “pain, nausea or itching”. */
function isInList(rest: string): boolean {
  return /^[\p{L}\p{N}'’-]+(?:\s+[\p{L}\p{N}'’-]+)?(?:\s*,\s*[\p{L}\p{N}'’-]+(?:\s+[\p{L}\p{N}'’-]+)?)*,?\s+(?:or|and)\s/iu.test(
    rest,
  );
}

/** What part of the question begins with a word, as far as that can be told. */
function roleAfter(word: string, role: Role | null, before: readonly ClauseWord[]): Role | null {
  const nothingYet = before.every(({ weak }) => weak);
  if (COMPARISON.test(word)) return 'comparison';
  if (word === 'linked' || word === 'associated') return 'outcome';
  if (EFFECT.test(word)) return nothingYet ? 'intervention' : 'outcome';
  if (/^(?:does|do|did|is|are|can|could|will|effects?|impact|influence|efficacy|effectiveness)$/.test(word))
    return 'intervention';
  if (word === 'for') return nothingYet ? role : 'outcome';
  if (/^(?:in|among|amongst)$/.test(word)) return 'population';
  if (word === 'on' && role === 'intervention' && !nothingYet) return 'outcome';
  return role;
}
