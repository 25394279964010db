/**
 * A kind of dialect, and a dialect of that kind: two databases may write alike and call their fields otherwise, or have
 * less. So that any database can be described, a kind is made into a dialect with the names and the lacks of one.
 */
import type { SearchField } from '../model.js';
import type { Abilities } from '../abilities.js';
import type { Dialect, DialectContext, DialectResult } from './dialect.js';
import type { Form } from '../form.js';
import { WORD_FIELDS, type Lack, type Names } from './names.js';
import { printIn } from './printing.js';

/** A dialect told as data: plain JSON, so that it can be kept and sent. */
export interface DialectDescription {
  /** the id of its kind */
  kind: string;
  /** where its names are others than those of its kind */
  names: Partial<Names>;
  lacks: readonly Lack[];
}

/** What reading needs: the database, what it calls its fields, and which it has. */
export interface Known extends DialectContext {
  names: Names;
  fields: readonly SearchField[];
}

export interface DialectKind {
  id: string;
  /** what kind of writing it is, in a few words */
  form: string;
  precedence: string;
  /** as they are where nothing else is said */
  names: Names;
  abilities: Abilities;
  formOf(names: Names, context: DialectContext): Form;
  read(text: string, known: Known): DialectResult;
}

export function dialectOfKind(
  kind: DialectKind,
  { names: own, lacks }: Pick<DialectDescription, 'names' | 'lacks'> = { names: {}, lacks: [] },
): Dialect {
  const given: Names = { ...kind.names, ...own };
  // A database that is asked for words in no field at all cannot be searched; its kind's name for them is as good as any.
  const names: Names = WORD_FIELDS.some((field) => given[field] !== null)
    ? given
    : { ...given, words: kind.names.words ?? '' };
  const abilities = abilitiesWith(kind.abilities, names, lacks);
  const { id, form, precedence, formOf, read } = kind;
  const print: Dialect['print'] = (query, context) =>
    printIn(formOf(names, context), abilities, query, context);
  return {
    id,
    form,
    precedence,
    names,
    abilities,
    print,
    parse(text, context) {
      const result = read(text, { ...context, names, fields: abilities.fields });
      if (!result.ok || lacks.length === 0) return result;
      // What it would be told in other words it cannot be told itself.
      const { vocabulary, limitFields } = context;
      const lost = print(result.query, { vocabulary, limitFields }).losses.find(
        ({ effect }) => effect !== 'same',
      );
      return lost === undefined
        ? result
        : { ok: false, error: { at: 0, message: `This database cannot be told ${lost.lost}.` } };
    },
  };
}

function abilitiesWith(abilities: Abilities, names: Names, lacks: readonly Lack[]): Abilities {
  const anyEnding = !lacks.includes('endings');
  const oneLetter = !lacks.includes('one letter');
  const { inPhrase, headings } = abilities;
  return {
    ...abilities,
    fields: abilities.fields.filter((field) => names[field] !== null),
    years: abilities.years && names.year !== null,
    anyEnding: abilities.anyEnding && anyEnding,
    oneLetter: abilities.oneLetter && oneLetter,
    inPhrase: {
      anyEnding: inPhrase.anyEnding && anyEnding,
      oneLetter: inPhrase.oneLetter && oneLetter,
    },
    near: lacks.includes('near') ? null : abilities.near,
    headings:
      names.heading === null || headings === null
        ? null
        : {
            ...headings,
            narrower: headings.narrower && !lacks.includes('narrower'),
            central: headings.central && !lacks.includes('central'),
            subheadings: headings.subheadings && !lacks.includes('subheadings'),
          },
  };
}

/** The field that has a name, written in small letters. */
export function fieldNamed({ names, fields }: Known, called: string): SearchField | undefined {
  return fields.find((field) => names[field]?.toLowerCase() === called);
}

/** Whether something other than a field, that the database has, is called so. */
export function isNamed({ names }: Known, what: 'heading' | 'year', called: string): boolean {
  return names[what]?.toLowerCase() === called;
}

/** All names that may be written, for telling which there are. */
export function namesToWrite({ names, fields, limitFields }: Known): string[] {
  const named = [...fields, 'heading' as const, 'year' as const].map((each) => names[each]);
  return [...named.filter((name): name is string => name !== null && name !== ''), ...limitFields];
}
