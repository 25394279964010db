/** A dialect: how one database wants a query written, and how it reads what is written. */
import type { AndQuery, NotQuery, OrQuery, Query, SearchField, WordPattern } from '../model.js';

/** Something of a query that a dialect cannot say. */
export interface Loss {
  /** where in the printed text, as UTF-16 offsets */
  from: number;
  to: number;
  /** what could not be said */
  lost: string;
  /** what was said instead */
  instead: string;
  /** what that does to what is found; `same` holds as of the present release only */
  effect: 'widens' | 'narrows' | 'either' | 'same';
}

export interface Printed {
  text: string;
  /** in the order of the text */
  losses: Loss[];
}

/** Where and why a string could not be read. */
export interface DialectError {
  message: string;
  /** UTF-16 offset into the string */
  at: number;
}

export type DialectResult = { ok: true; query: Query } | { ok: false; error: DialectError };

/** What printing and reading need to know of the database. */
export interface DialectContext {
  /** id of its vocabulary */
  vocabulary: string;
  /** fields that limits may name, beside `year` */
  limitFields: readonly string[];
  /**
   * The words of its index that match a pattern, so that a pattern can be spelled out; null when they are not
   * known, or too many.
   */
  wordsMatching?: (pattern: WordPattern, field: SearchField) => readonly string[] | null;
  /** The heading that a database by itself adds to words without a field; null where it adds none. */
  headingFor?: (words: string) => string | null;
}

export interface Dialect {
  /** what SRU calls the query type */
  id: string;
  /** @throws RangeError for a query without operands, which has no written form */
  print(query: Query, context: DialectContext): Printed;
  /** Never throws: what cannot be read is told with its place. */
  parse(text: string, context: DialectContext): DialectResult;
}

/** A text in the making, with the losses in it. */
export const said = (text: string): Printed => ({ text, losses: [] });

/** Puts texts together; the places of losses move with them. */
export function together(...parts: readonly (Printed | string)[]): Printed {
  let text = '';
  const losses: Loss[] = [];
  for (const part of parts) {
    if (typeof part !== 'string') {
      const offset = text.length;
      for (const loss of part.losses) {
        losses.push({ ...loss, from: loss.from + offset, to: loss.to + offset });
      }
      text += part.text;
    } else text += part;
  }
  return { text, losses };
}

export function joined(parts: readonly Printed[], separator: string): Printed {
  return together(...parts.flatMap((part, i) => (i === 0 ? [part] : [separator, part])));
}

/** Marks a whole text as standing for something that could not be said. */
export function standingFor(printed: Printed, ...losses: readonly Omit<Loss, 'from' | 'to'>[]): Printed {
  const here = losses.map((loss): Loss => ({ ...loss, from: 0, to: printed.text.length }));
  return { text: printed.text, losses: [...here, ...printed.losses] };
}

/** Losses that several dialects have. */
export const ORDER_LOST = {
  lost: 'the order of words near each other',
  instead: 'any order',
  effect: 'widens',
} as const;

export const foreignHeading = (label: string) =>
  ({
    lost: `that “${label}” is of another vocabulary`,
    instead: 'the heading of that name here',
    effect: 'either',
  }) as const;

/** AND, OR and NOT as words, with every parenthesis that makes the reading certain in any precedence. */
export function inWords(query: AndQuery | OrQuery | NotQuery, print: (query: Query) => Printed): Printed {
  const operand = (each: Query): Printed => {
    const compound = each.kind === 'and' || each.kind === 'or' || each.kind === 'not';
    return compound ? together('(', print(each), ')') : print(each);
  };
  return query.kind === 'not'
    ? together(operand(query.include), ' NOT ', operand(query.exclude))
    : joined(query.operands.map(operand), ` ${query.kind.toUpperCase()} `);
}
