/**
 * The likely designs of a record, from rules: each with the very words that speak for it and against it. Designs of one
 * family (a randomised trial and its kinds) count together against other families; within the family the kind that most
 * speaks for is told.
 */
import type { BibRecord } from '../records/index.js';
import { tokenise, type Token } from '../text/index.js';
import {
  LONGEST_GAP,
  SHORTEST_BEGINNING,
  type DesignRule,
  type PatternPart,
  type RulePlace,
} from './rules.js';
import type { DesignTree } from './taxonomy.js';

/** Words of a record that a rule matched. */
export interface Sign {
  rule: DesignRule;
  /** the words as they stand */
  words: string;
  /** where: `title`, the number of a section of the abstract from 0, `type` or `heading`; UTF-16 offsets */
  place: 'title' | 'type' | 'heading' | number;
  start: number;
  end: number;
}

export interface LikelyDesign {
  /** id of the design */
  design: string;
  /** 0 to 1: how sure the rules are, by how far it is from the next family and by how much speaks for it */
  sure: number;
  score: number;
  for: Sign[];
  against: Sign[];
}

/** Below this score a design is not told at all. */
const LEAST = 2;
/** A kind within a family is told when this much speaks for it itself. */
const LEAST_OF_KIND = 3;
/** At most so many designs are told. */
const MOST_TOLD = 3;
/** How much of what speaks for one design alone speaks against the others. */
const REACH = 0.75;
/** How steeply a lead becomes sureness. */
const STEEPNESS = 0.55;
const ENOUGH = 5;

export interface ClassifyOptions {
  /** leaves out publication types and headings, as if nobody had labelled the record */
  withoutLabels?: boolean;
}

/** @returns the most likely design first; none where too little speaks for any */
export function likelyDesigns(
  record: Pick<BibRecord, 'title' | 'abstract' | 'publicationTypes' | 'headings' | 'keywords'>,
  rules: readonly DesignRule[],
  tree: DesignTree,
  { withoutLabels = false }: ClassifyOptions = {},
): LikelyDesign[] {
  const signs = signsIn(record, rules, withoutLabels);
  const familyOf = (design: string) => tree.familyOf(design) ?? design;
  const own = totals(signs, ({ design }) => design);
  // What speaks against one kind says nothing against its family.
  const ofFamilies = signs.filter(({ rule }) => rule.weight > 0 || familyOf(rule.design) === rule.design);
  const base = totals(ofFamilies, ({ design }) => familyOf(design));
  const scores = new Map(base);
  for (const { rule } of signs) {
    const family = familyOf(rule.design);
    // What is itself spoken against does not speak against others.
    if (!rule.alone || (base.get(family) ?? 0) < LEAST) continue;
    for (const [other, score] of scores) if (other !== family) scores.set(other, score - rule.weight * REACH);
  }
  const ranked = [...scores]
    .filter(([, score]) => score >= LEAST)
    .sort(([a, m], [b, n]) => n - m || (a < b ? -1 : 1));
  return ranked.slice(0, MOST_TOLD).map(([family, score], i): LikelyDesign => {
    const next = ranked[i === 0 ? 1 : 0]?.[1] ?? 0;
    const lead = 1 / (1 + Math.exp(-STEEPNESS * (score - next)));
    const about = signs.filter(({ rule }) => familyOf(rule.design) === family);
    const opposing = signs.filter(({ rule }) => rule.alone && familyOf(rule.design) !== family);
    return {
      design: kindWithin(family, own, tree),
      score,
      sure: lead * Math.min(1, score / ENOUGH),
      for: about.filter(({ rule }) => rule.weight > 0),
      against: [...about.filter(({ rule }) => rule.weight < 0), ...opposing],
    };
  });
}

function totals(signs: readonly Sign[], keyOf: (rule: DesignRule) => string): Map<string, number> {
  const sums = new Map<string, number>();
  for (const { rule } of signs) {
    const key = keyOf(rule);
    sums.set(key, (sums.get(key) ?? 0) + rule.weight);
  }
  return sums;
}

function kindWithin(family: string, own: ReadonlyMap<string, number>, tree: DesignTree): string {
  const [best] = tree
    .below(family)
    .map((design) => [design, own.get(design) ?? 0] as const)
    .sort(([, m], [, n]) => n - m);
  return best !== undefined && best[1] >= LEAST_OF_KIND ? best[0] : family;
}

function signsIn(
  { title, abstract, publicationTypes, headings, keywords }: Parameters<typeof likelyDesigns>[0],
  rules: readonly DesignRule[],
  withoutLabels: boolean,
): Sign[] {
  const passages: [RulePlace, Passage][] = [
    ['title', { place: 'title', text: title }],
    ...abstract.map(({ text }, place): [RulePlace, Passage] => ['abstract', { place, text }]),
    ...shapesOf(abstract.map(({ text }) => text)).map((text): [RulePlace, Passage] => [
      'shape',
      { place: 'title', text },
    ]),
    ...(withoutLabels
      ? []
      : [
          ...publicationTypes.map((text): [RulePlace, Passage] => ['type', { place: 'type', text }]),
          ...[...headings.map(({ label }) => label), ...keywords].map((text): [RulePlace, Passage] => [
            'heading',
            { place: 'heading', text },
          ]),
        ]),
  ];
  const found = new Map<DesignRule, Sign>();
  for (const [where, passage] of passages) {
    const index = indexOf(rules, where);
    for (const { tokens, text, place } of sentencesOf(passage)) {
      for (const [at, { word }] of tokens.entries()) {
        for (const { rule, offset } of rulesAt(word, index)) {
          const first = tokens[at - offset];
          if (first === undefined || found.has(rule)) continue;
          const last = endOfMatch(tokens, rule.pattern, at - offset, 0);
          if (last === null) continue;
          const { start } = first;
          const end = tokens[last]?.end ?? first.end;
          found.set(rule, { rule, words: text.slice(start, end), place, start, end });
        }
      }
    }
  }
  return [...found.values()];
}

function looksIn(place: RulePlace, where: RulePlace): boolean {
  return place === where || (place === 'text' && (where === 'title' || where === 'abstract'));
}

/** A rule, and which word of its pattern it is looked up by: the rarest before its first gap, so far as lengths tell. */
interface AnchoredRule {
  rule: DesignRule;
  offset: number;
}

/** Rules of a place by a word of their pattern, so that each word of a text meets only those it may belong to. */
interface RuleIndex {
  /** what was looked up before: most words of a language begin none */
  known: Map<string, readonly AnchoredRule[]>;
  words: ReadonlyMap<string, readonly AnchoredRule[]>;
  /** by the first letters of a word with any ending */
  beginnings: ReadonlyMap<string, readonly AnchoredRule[]>;
  numbers: readonly AnchoredRule[];
}

const MOST_KNOWN = 20_000;
const indexes = new WeakMap<readonly DesignRule[], Map<RulePlace, RuleIndex>>();

function indexOf(rules: readonly DesignRule[], where: RulePlace): RuleIndex {
  const byPlace = indexes.get(rules) ?? new Map<RulePlace, RuleIndex>();
  indexes.set(rules, byPlace);
  const known = byPlace.get(where);
  if (known !== undefined) return known;
  const words = new Map<string, AnchoredRule[]>();
  const beginnings = new Map<string, AnchoredRule[]>();
  const numbers: AnchoredRule[] = [];
  const put = (map: Map<string, AnchoredRule[]>, key: string, rule: AnchoredRule) => {
    const list = map.get(key);
    if (list === undefined) map.set(key, [rule]);
    else list.push(rule);
  };
  for (const rule of rules.filter(({ place }) => looksIn(place, where))) {
    const offset = anchorOf(rule.pattern);
    const part = rule.pattern[offset];
    if (part?.kind !== 'word') continue;
    const anchored = { rule, offset };
    for (const { text, anyEnding, number } of part.anyOf) {
      if (number) numbers.push(anchored);
      else if (anyEnding) put(beginnings, text.slice(0, SHORTEST_BEGINNING), anchored);
      else put(words, text, anchored);
    }
  }
  const index = { known: new Map<string, readonly AnchoredRule[]>(), words, beginnings, numbers };
  byPlace.set(where, index);
  return index;
}

/** Before the first gap, every word stands at a fixed distance from the first. */
function anchorOf(pattern: readonly PatternPart[]): number {
  const gap = pattern.findIndex(({ kind }) => kind === 'gap');
  const fixed = pattern.slice(0, gap === -1 ? pattern.length : gap);
  const lengths = fixed.map((part) =>
    part.kind === 'gap' ? 0 : Math.min(...part.anyOf.map(({ text, number }) => (number ? 0 : text.length))),
  );
  return lengths.indexOf(Math.max(...lengths));
}

function rulesAt(word: string, index: RuleIndex): readonly AnchoredRule[] {
  const { known } = index;
  let rules = known.get(word);
  if (rules === undefined) {
    // Words without end come from texts without end.
    if (known.size >= MOST_KNOWN) known.clear();
    rules = rulesWith(word, index);
    known.set(word, rules);
  }
  return rules;
}

function rulesWith(word: string, { words, beginnings, numbers }: RuleIndex): readonly AnchoredRule[] {
  const exact = words.get(word);
  const begun = beginnings.get(word.slice(0, SHORTEST_BEGINNING));
  const counted = isNumber(word) ? numbers : undefined;
  if (begun === undefined && counted === undefined) return exact ?? NONE;
  return [...(exact ?? NONE), ...(begun ?? NONE), ...(counted ?? NONE)];
}

const NONE: readonly AnchoredRule[] = [];

interface Passage {
  place: Sign['place'];
  text: string;
}

/** What an abstract lacks, in the words that rules use. */
function shapesOf(texts: readonly string[]): string[] {
  if (texts.length === 0) return ['no abstract'];
  const numbers = texts.some((text) => tokenise(text).some(({ word }) => isNumber(word)));
  return numbers ? [] : ['no numbers'];
}

interface Sentence extends Passage {
  tokens: readonly Token[];
}

/** Patterns stay within a sentence, or within a part of it that a semicolon or colon ends. */
function sentencesOf({ place, text }: Passage): Sentence[] {
  const tokens = tokenise(text);
  const sentences: Sentence[] = [];
  let current: Token[] = [];
  for (const [i, token] of tokens.entries()) {
    current.push(token);
    const next = tokens[i + 1];
    const between = next === undefined ? '.' : text.slice(token.end, next.start);
    if (next === undefined || /[.!?;:]\s/.test(between)) {
      sentences.push({ place, text, tokens: current });
      current = [];
    }
  }
  return sentences;
}

/** @returns the place of the last token of the match */
function endOfMatch(
  tokens: readonly Token[],
  pattern: readonly PatternPart[],
  at: number,
  part: number,
): number | null {
  const step = pattern[part];
  if (step === undefined) return at - 1;
  if (step.kind === 'gap') {
    for (let skipped = 0; skipped <= LONGEST_GAP; skipped += 1) {
      const end = endOfMatch(tokens, pattern, at + skipped, part + 1);
      if (end !== null) return end;
    }
    return null;
  }
  const token = tokens[at];
  if (token === undefined || !step.anyOf.some((each) => isWord(token.word, each))) return null;
  return endOfMatch(tokens, pattern, at + 1, part + 1);
}

const NUMBER_WORDS = new Set([
  'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen', 'fourteen',
  'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen', 'twenty', 'thirty', 'forty', 'fifty', 'sixty',
  'seventy', 'eighty', 'ninety', 'hundred',
]); // prettier-ignore

function isNumber(word: string): boolean {
  return /^\d/.test(word) || NUMBER_WORDS.has(word);
}

function isWord(
  word: string,
  { text, anyEnding, number }: { text: string; anyEnding: boolean; number: boolean },
): boolean {
  if (number) return isNumber(word);
  return anyEnding ? word.startsWith(text) : word === text;
}
