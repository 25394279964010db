/**
 * Rules that tell a study's design, as people write and extend them in a plain text (`core/content/design-rules.txt`
 * tells the form). Reading them never throws: what cannot be read is told with its line.
 */
import { tokenise } from '../text/index.js';

/** Where a rule looks: `text` is title and abstract; `shape` knows what an abstract lacks. */
export type RulePlace = 'text' | 'title' | 'abstract' | 'type' | 'heading' | 'shape';

/** One word of a pattern: any of the alternatives, or a gap. */
export type PatternPart =
  { kind: 'word'; anyOf: readonly { text: string; anyEnding: boolean; number: boolean }[] } | { kind: 'gap' };

export interface DesignRule {
  /** the id of the design that it is about */
  design: string;
  /** above 0 it speaks for the design, below against it */
  weight: number;
  /** whether it speaks against all other designs as well */
  alone: boolean;
  place: RulePlace;
  pattern: readonly PatternPart[];
  /** the pattern as it is written, and its line */
  written: string;
  line: number;
}

export interface RuleProblem {
  line: number;
  message: string;
}

export interface DesignRules {
  rules: DesignRule[];
  /** lines that could not be read, and were left out */
  problems: RuleProblem[];
}

/** Words that a gap may stand for, at most. */
export const LONGEST_GAP = 6;
/** Letters before any ending, at least. */
export const SHORTEST_BEGINNING = 3;
const PLACES: readonly RulePlace[] = ['text', 'title', 'abstract', 'type', 'heading', 'shape'];
const RULE = /^([+-])(\d+)(!?)(?: ([a-z]+))?: *(.+)$/;

/** @param designs the ids that there are */
export function readDesignRules(text: string, designs: ReadonlySet<string>): DesignRules {
  const rules: DesignRule[] = [];
  const problems: RuleProblem[] = [];
  let design: string | null = null;
  for (const [i, raw] of text.split(/\r?\n/).entries()) {
    const line = i + 1;
    const written = raw.trim();
    if (written === '' || written.startsWith('#')) continue;
    const head = /^\[(.+)\]$/.exec(written)?.[1];
    if (head !== undefined) {
      design = designs.has(head) ? head : null;
      if (design === null)
        problems.push({ line, message: `There is no design “${head}”; its rules are left out.` });
      continue;
    }
    const [, sign, number, alone, place = 'text', pattern = ''] = RULE.exec(written) ?? [];
    if (sign === undefined) {
      problems.push({ line, message: `“${written}” is no rule: write it like “+3 title: randomi* trial”.` });
      continue;
    }
    if (design === null) continue;
    const known = PLACES.find((each) => each === place);
    const parts = patternOf(pattern);
    if (known === undefined) {
      problems.push({ line, message: `“${place}” is no place: it is one of ${PLACES.join(', ')}.` });
    } else if (typeof parts === 'string') problems.push({ line, message: parts });
    else {
      const weight = Number(number) * (sign === '-' ? -1 : 1);
      rules.push({
        design,
        weight,
        alone: alone === '!' && weight > 0,
        place: known,
        pattern: parts,
        written: pattern,
        line,
      });
    }
  }
  return { rules, problems };
}

/** @returns the parts, or what is wrong */
function patternOf(written: string): PatternPart[] | string {
  const parts: PatternPart[] = [];
  for (const word of written.split(/\s+/)) {
    // A gap may be written against the word before it.
    const gap = /^(.*?)\.\.$/.exec(word);
    const text = gap?.[1] ?? word;
    if (text !== '') {
      const anyOf = text.split('/').flatMap((each) => {
        if (each === '#') return [{ text: '', anyEnding: false, number: true }];
        const [token] = tokenise(each.replace(/\*$/, ''));
        return token === undefined
          ? []
          : [{ text: token.word, anyEnding: each.endsWith('*'), number: false }];
      });
      if (anyOf.length === 0) return `“${word}” has no letters.`;
      const short = anyOf.find((each) => each.anyEnding && each.text.length < SHORTEST_BEGINNING);
      if (short !== undefined)
        return `“${short.text}*” is too short: write at least ${SHORTEST_BEGINNING} letters before *.`;
      parts.push({ kind: 'word', anyOf });
    }
    if (gap !== null) parts.push({ kind: 'gap' });
  }
  if (parts[0]?.kind !== 'word' || parts.at(-1)?.kind !== 'word')
    return `“${written}” has to begin and end with a word.`;
  return parts;
}
