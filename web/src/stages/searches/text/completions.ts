/** What can be written at a place in a string: fields and operators of the dialect, and headings where one is named. */
import { textKey, type Heading, type Writing } from '@even-lantern/core';

export interface Completion {
  label: string;
  detail: string;
  /** put in place of what was typed since `from` */
  insert: string;
  /** where the cursor stands then, from the beginning of what was put in */
  cursor: number;
}

export interface Completions {
  /** the place where what is completed begins */
  from: number;
  options: Completion[];
}

const MOST_HEADINGS = 30;

/** @param text the string up to the cursor */
export function completionsAt(
  text: string,
  writings: readonly Writing[],
  headings: readonly Heading[],
): Completions | null {
  const quote = writings.find(({ holds }) => holds === 'words')?.before.at(-1) ?? '"';
  const opened = openQuote(text, quote);
  if (opened !== null) {
    const before = text.slice(0, opened + 1);
    const naming = writings.some((each) => each.holds === 'heading' && endsAlike(before, each.before));
    return naming ? { from: opened + 1, options: headingsLike(text.slice(opened + 1), headings) } : null;
  }
  const typed = /[\p{L}\p{N}_.:]*$/u.exec(text)?.[0] ?? '';
  const key = typed.toLowerCase();
  const begins = (text: string) => text.toLowerCase().startsWith(key);
  const byName = ({ before }: Writing) => (begins(before) ? 0 : 1);
  const options = writings
    .filter(({ before, what }) => begins(before) || begins(what))
    .sort((a, b) => byName(a) - byName(b) || a.before.length - b.before.length)
    .map(({ what, before, after, holds }): Completion => {
      const space = holds === 'nothing' && !before.endsWith('-') ? ' ' : '';
      return {
        label: `${before}…${after}`.replace(/…$/, ''),
        detail: what,
        insert: before + after + space,
        cursor: (before + space).length,
      };
    });
  return options.length === 0 ? null : { from: text.length - typed.length, options };
}

/** Where a quotation begins that is not closed; null outside of quotations. */
function openQuote(text: string, quote: string): number | null {
  let opened: number | null = null;
  for (let i = 0; i < text.length; i += 1) {
    if (text[i] === '\\') i += 1;
    else if (text[i] === quote) opened = opened === null ? i : null;
  }
  return opened;
}

/** Whether a text ends with another, however many spaces either has. */
function endsAlike(text: string, end: string): boolean {
  const plain = (each: string) => each.replace(/\s+/g, '').toLowerCase();
  return plain(text).endsWith(plain(end));
}

/** By name first, then by what else they are called; those that begin so before those that hold it. */
function headingsLike(typed: string, headings: readonly Heading[]): Completion[] {
  const key = textKey(typed);
  const ranked: { rank: number; option: Completion }[] = [];
  for (const { label, entryTerms } of headings) {
    const place = (name: string) => {
      const at = textKey(name).indexOf(key);
      return at < 0 ? Infinity : at === 0 ? 0 : 1;
    };
    const own = place(label);
    const other = entryTerms.find((term) => place(term) < Infinity);
    const rank = Math.min(own, other === undefined ? Infinity : 2 + place(other));
    if (rank === Infinity) continue;
    const detail = own === Infinity && other !== undefined ? `also ${other}` : '';
    ranked.push({ rank, option: { label, detail, insert: label, cursor: label.length } });
  }
  return ranked
    .sort((a, b) => a.rank - b.rank)
    .slice(0, MOST_HEADINGS)
    .map(({ option }) => option);
}
