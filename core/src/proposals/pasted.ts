/**
 * Terms out of pasted text: a plain list, or a piece of somebody's published strategy in whatever syntax. What stands
 * around terms is known by its shape alone: line numbers, counts, operators, brackets, marks for cut words, and short
 * codes before or after a term. Nothing here knows the syntax of any one program.
 */
import { MAX_NEAR_DISTANCE, MAX_TERM_LENGTH, parsePhrase, printPhrase } from '../query/index.js';
import { textKey } from '../text/index.js';
import { reasonToSkip, withoutCodes, withoutMarks, type SkipReason } from './pastedLines.js';

export interface PastedTerm {
  /** as a person would type it in a lane */
  text: string;
  near: number | null;
  /** whether its shape is that of a subject heading */
  looksLikeHeading: boolean;
  /** the line of the pasted text, from 1 */
  line: number;
  /** whether the same term came before */
  duplicate: boolean;
  /** whether it stands behind NOT, so that what it finds was left out */
  excluded: boolean;
  /** what was recognised around it and left out */
  leftOut: string[];
}

export interface Pasted {
  terms: PastedTerm[];
  /** lines that only join other lines, and lines in which no term was found */
  skipped: { line: number; text: string; reason: SkipReason }[];
  /** whether the text was longer than is read */
  cut: boolean;
}

/** Characters that are read; published strategies are far shorter. */
export const MAX_PASTED = 1_000_000;
const MAX_PASTED_TERMS = 2000;
/** Combinations that two bracketed groups near each other are written out as. */
const MAX_COMBINATIONS = 24;
/** Brackets within brackets that are followed; deeper ones are read as if they were not there. */
const MAX_DEPTH = 50;
/** How far ahead is looked for what ends a code or a count. */
const AHEAD = 200;
/** Characters of a line that are looked at for marks and codes. */
const LONGEST_LINE = 20_000;

type Token =
  | { kind: 'open' | 'close' | 'comma' }
  | { kind: 'join'; not: boolean }
  | { kind: 'near'; distance: number }
  | { kind: 'term'; text: string; quoted: boolean; heading: boolean; leftOut: string[] };
type TermToken = Extract<Token, { kind: 'term' }>;

const LINE_NUMBER =
  /^\s*(?:[#(\[]?[sSlL]?\d{1,3}[\])]?[.:)]?\s+|#\d{1,3}(?![\d'’])[.:)]?\s*|[-–—·•*]\s+)(?=\S)/;
/** A count at the end of a line: after a tab, some spaces, or in brackets. */
const TRAILING_COUNT =
  /(?:\t|\s{2,}|\s*[([]\s*(?:n\s*=\s*)?)\d{1,3}(?:[,. \u2009\u00a0]?\d{3})*\s*[)\]]?\s*(?:hits|results|records)?\s*[)\]]?\s*$/i;
const JOINING = /\b(?:and|or|not|to)\b|[#sSlL]?\d+|[\s()[\]{},/–-]/gi;
const QUOTES: Readonly<Record<string, string>> = { '"': '"', '“': '”', '”': '”', '„': '“', '«': '»' };
const NEAR_WORD = /^(?:near|[a-z]{1,6}\/?)(?:\/|=|:)?(\d{1,3})$/i;
const JOIN_WORD = /^(?:and|or|not|AND NOT|&{1,2}|\|{1,2}|!|\+)$/i;
/** Side by side, without a number. */
const BESIDE_WORD = /^(?:adj|adjacent|next)$/i;
/** A short code with what ties it to its term. */
const CODE_BEFORE = /^[a-z]{1,12}(?:[-_.][a-z]{1,8})?\s*(?:[:=~]|==)\s*(?=\S)/i;
const CODES_AFTER =
  /^(?:\s*\[[^\]\n]{1,120}\]|\.[a-z]{1,4}(?:,[a-z]{1,4})*\.?(?=[\s)\],;]|$)|\s?:[a-z]{1,6}(?:,[a-z]{1,6})*(?=[\s)\],;]|$))/i;

/** Reads pasted text. Never fails: what is not understood is told in `skipped`. */
export function readPasted(text: string): Pasted {
  const read = text.slice(0, MAX_PASTED);
  const terms: PastedTerm[] = [];
  const skipped: Pasted['skipped'] = [];
  const seen = new Set<string>();
  read.split(/\r\n|\r|\n/).forEach((raw, i) => {
    const line = i + 1;
    if (raw.trim() === '' || terms.length >= MAX_PASTED_TERMS) return;
    const skip = (reason: SkipReason) => skipped.push({ line, text: raw.trim().slice(0, 200), reason });
    const plain = withoutMarks(raw.length > LONGEST_LINE ? raw.slice(0, LONGEST_LINE) : raw);
    const numbered = plain.replace(LINE_NUMBER, '');
    const counted = numbered.slice(0, -AHEAD) + numbered.slice(-AHEAD).replace(TRAILING_COUNT, '');
    const header = reasonToSkip(plain) ?? reasonToSkip(counted);
    if (header !== null) {
      skip(header);
      return;
    }
    if (/\d/.test(plain) && counted.replace(JOINING, '') === '') {
      skip('joins other lines');
      return;
    }
    const content = withoutCodes(counted);
    const found = termsOf(tokensOf(content));
    if (found.length === 0) skip('no term in it');
    for (const term of found) {
      const key = `${term.near ?? ''}|${term.looksLikeHeading}|${textKey(term.text)}|${term.text.includes('*')}`;
      terms.push({ ...term, line, duplicate: seen.has(key) });
      seen.add(key);
    }
  });
  return { terms, skipped, cut: text.length > MAX_PASTED || terms.length >= MAX_PASTED_TERMS };
}

function tokensOf(line: string): Token[] {
  const tokens: Token[] = [];
  const leftOut: string[] = [];
  let at = 0;
  let central = false;
  const take = (term: Omit<TermToken, 'kind' | 'leftOut'>, codes: readonly string[] = []) => {
    const after = [...codes];
    for (
      let code = CODES_AFTER.exec(line.slice(at));
      code !== null;
      code = CODES_AFTER.exec(line.slice(at))
    ) {
      after.push(code[0].trim());
      at += code[0].length;
    }
    let { heading } = term;
    if (line[at] === '/') {
      heading = true;
      at += 1;
      after.push('/');
    }
    const text = term.text.length > MAX_TERM_LENGTH ? '' : masksIn(term.text);
    if (text !== '') tokens.push({ ...term, text, heading, kind: 'term', leftOut: [...leftOut, ...after] });
    leftOut.length = 0;
  };
  const unclosed = new Set<string>();
  const closingAt = (from: number, closing: string): number => {
    let end = unclosed.has(closing) ? -1 : line.indexOf(closing, from + 1);
    while (closing === "'" && end !== -1 && /[\p{L}\p{N}]/u.test(line[end + 1] ?? '')) {
      end = line.indexOf(closing, end + 1);
    }
    if (end === -1) unclosed.add(closing);
    return end;
  };
  while (at < line.length) {
    const char = line[at] ?? '';
    const closing = QUOTES[char] ?? (char === "'" && /[\s(,:=~]/.test(line[at - 1] ?? ' ') ? "'" : undefined);
    if (/\s/.test(char)) at += 1;
    else if (char === '*' && /[\p{L}"“]/u.test(line[at + 1] ?? '')) {
      // A sign that stands for *central* before the name of a heading.
      central = /["“]/.test(line[at + 1] ?? '');
      leftOut.push('*');
      at += 1;
    } else if (char === '(' || char === '{' || char === '[') {
      tokens.push({ kind: 'open' });
      at += 1;
    } else if (char === ')' || char === '}' || char === ']') {
      tokens.push({ kind: 'close' });
      at += 1;
      const codes = CODES_AFTER.exec(line.slice(at));
      if (codes !== null) at += codes[0].length;
    } else if (char === ',' || char === ';' || char === '|' || char === '&') {
      tokens.push({ kind: 'comma' });
      at += 1;
    } else if (closing !== undefined && closingAt(at, closing) > at) {
      const end = closingAt(at, closing);
      const text = line.slice(at + 1, end);
      at = end + 1;
      const near = /^\s*~\s*(\d{1,3})/.exec(line.slice(at));
      if (near !== null) at += near[0].length;
      const below = /^\p{Lu}.*\p{L}\+$/u.test(text);
      take({ text: below ? text.slice(0, -1) : text, quoted: true, heading: below || central });
      central = false;
      if (near !== null) nearWithin(tokens, Number(near[1]));
    } else {
      const code = CODE_BEFORE.exec(line.slice(at));
      if (code !== null) {
        leftOut.push(code[0].trim());
        at += code[0].length;
        continue;
      }
      const word = /^[^\s()[\]{},;"“”„«»|&]+/.exec(line.slice(at))?.[0] ?? char;
      at += word.length;
      takeWord(word);
    }
  }
  return tokens;

  function takeWord(word: string): void {
    const near = NEAR_WORD.exec(word);
    const previous = tokens.at(-1)?.kind;
    if (JOIN_WORD.test(word)) tokens.push({ kind: 'join', not: /not|^!/i.test(word) });
    else if (BESIDE_WORD.test(word) && (previous === 'term' || previous === 'close')) {
      tokens.push({ kind: 'near', distance: 1 });
    } else if (
      near !== null &&
      (previous === 'term' || previous === 'close') &&
      !/^[a-z]+-?\d/.test(word.replace(NEAR_WORD, ''))
    ) {
      tokens.push({ kind: 'near', distance: Number(near[1]) });
    } else if (/^near$/i.test(word) && (previous === 'term' || previous === 'close')) {
      tokens.push({ kind: 'near', distance: 10 });
    } else if (/^[A-Z]{2,3}$/.test(word) && /^\s*["“(]/.test(line.slice(at, at + AHEAD))) leftOut.push(word);
    else if (
      /^[a-z]{1,4}$/.test(word) &&
      /^\s+[A-Z"“][^()\n]*\/(?:\s|$|\))/.test(line.slice(at, at + AHEAD)) &&
      previous !== 'term'
    ) {
      leftOut.push(word);
    } else {
      const slash = word.endsWith('/') && word.length > 1;
      const dotted = /^(.*?)(\.[a-z]{1,4}(?:,[a-z]{1,4})*\.?)$/i.exec(word);
      const colon = /^(.*?)(:[a-z]{1,6}(?:,[a-z]{1,6})*)$/i.exec(word);
      const code = dotted?.[2] !== undefined && dotted[2].length > 1 ? dotted : colon;
      const text = slash ? word.slice(0, -1) : (code?.[1] ?? word);
      const more = /^(?:,[a-z]{1,3})+\.?(?=[\s)\],;]|$)/i.exec(line.slice(at, at + AHEAD));
      if (code?.[2] !== undefined && more !== null) at += more[0].length;
      const codes = slash ? ['/'] : code?.[2] === undefined ? [] : [code[2]];
      take({ text, quoted: false, heading: slash }, codes);
    }
  }
}

/** A quoted phrase whose words may stand apart. */
function nearWithin(tokens: Token[], distance: number): void {
  const term = tokens.pop();
  if (term?.kind !== 'term') return;
  const words = term.text.split(/\s+/);
  words.forEach((text, i) => {
    if (i > 0) tokens.push({ kind: 'near', distance });
    tokens.push({ ...term, text });
  });
}

/** Marks for cut words and unknown letters, as the product writes them. */
function masksIn(text: string): string {
  return text
    .replace(/([\p{L}\p{N}])[$+!%]\d*(?=\s|$|["”)])/gu, '$1*')
    .replace(/\*\d+(?![\p{L}\p{N}'’])/gu, '*')
    .replace(/([\p{L}\p{N}])#(?=[\p{L}\p{N}])/gu, '$1?')
    .replace(/([\p{L}\p{N}])\?+(?=\s|$)/gu, '$1*')
    .replace(/[\p{L}\p{N}]*[*?](?=[\p{L}\p{N}])[\p{L}\p{N}*?]*/gu, (word) => word.replace(/\*(?=.)/g, '?'))
    .replace(/\s+/g, ' ')
    .trim();
}

type Found = Omit<PastedTerm, 'line' | 'duplicate'>;

/** Terms that stand for one another, and how near they are to be to the group before. */
interface Group {
  terms: Found[];
  near: number | null;
}

/** Terms side by side without a mark between them are one phrase, as they are in a plain list. */
function termsOf(tokens: readonly Token[]): Found[] {
  const closes = closesOf(tokens);
  const termsBetween = (from: number, to: number, depth: number): Found[] => {
    const groups: Group[] = [];
    let near: number | null = null;
    let not = false;
    for (let i = from; i < to; i += 1) {
      const token = tokens[i];
      if (token?.kind === 'join') not = token.not;
      if (token?.kind === 'near') {
        near = Math.min(Math.max(token.distance, 1), MAX_NEAR_DISTANCE);
        continue;
      }
      let terms: Found[] = [];
      const close = closes.get(i);
      if (close !== undefined && depth < MAX_DEPTH) {
        terms = termsBetween(i + 1, close, depth + 1);
        i = close;
      } else if (token?.kind === 'term') {
        const run = [token];
        for (let next = tokens[i + 1]; canFollow(token, next) && i + 1 < to; next = tokens[i + 1]) {
          run.push(next);
          i += 1;
        }
        const found = foundOf(run);
        if (found !== null) terms = [found];
      } else if (token?.kind === 'open') continue;
      if (terms.length > 0) {
        groups.push({ terms: not ? terms.map((term) => ({ ...term, excluded: true })) : terms, near });
        not = false;
      }
      near = null;
    }
    return combined(groups);
  };
  return termsBetween(0, tokens.length, 0);
}

function canFollow(first: TermToken, next: Token | undefined): next is TermToken {
  return !first.quoted && next?.kind === 'term' && !next.quoted;
}

/** For each opening bracket that is closed, where. */
function closesOf(tokens: readonly Token[]): Map<number, number> {
  const closes = new Map<number, number>();
  const open: number[] = [];
  tokens.forEach(({ kind }, i) => {
    if (kind === 'open') open.push(i);
    const opened = kind === 'close' ? open.pop() : undefined;
    if (opened !== undefined) closes.set(opened, i);
  });
  return closes;
}

function foundOf(run: readonly TermToken[]): Found | null {
  const joined = run.map(({ text }) => text).join(' ');
  const parsed = parsePhrase(joined.replaceAll('"', ' '));
  if (!parsed.ok) return null;
  const looksLikeHeading = run.some(({ heading }) => heading);
  const printed = printPhrase(parsed.phrase);
  const text = looksLikeHeading ? joined : parsed.phrase.length > 1 ? `"${printed}"` : printed;
  return {
    text,
    near: null,
    looksLikeHeading,
    excluded: false,
    leftOut: run.flatMap(({ leftOut }) => leftOut),
  };
}

/** Groups with a distance between them become pairs near each other; the others stay as they are. */
function combined(groups: readonly Group[]): Found[] {
  const result: Found[] = [];
  for (let i = 0; i < groups.length; i += 1) {
    const group = groups[i];
    const next = groups[i + 1];
    if (group === undefined) continue;
    if (next?.near == null || group.terms.length * next.terms.length > MAX_COMBINATIONS) {
      result.push(...group.terms);
      continue;
    }
    for (const one of group.terms) {
      for (const other of next.terms) {
        const text = `${one.text} ${other.text}`.replaceAll('"', '');
        result.push({
          text,
          near: next.near,
          looksLikeHeading: false,
          excluded: one.excluded || other.excluded,
          leftOut: [...one.leftOut, ...other.leftOut],
        });
      }
    }
    i += 1;
  }
  return result;
}
