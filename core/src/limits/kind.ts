/** What a kind of limit is. Each kind is one file in `kinds`; nothing else has to know of it. */
import type { Strength } from '../designs/index.js';
import { parsePhrase, type Query } from '../query/index.js';

/** What its values are: years, values to choose from, values that are typed, or none but yes. */
export type ValuesOfKind = 'years' | 'chosen' | 'typed' | 'yes';

export interface LimitKind {
  id: string;
  /** in sentence case, such as “Age group” */
  name: string;
  /** what it does and what to beware of, in a sentence or two */
  about: string;
  values: ValuesOfKind;
  /** what databases call their own limit of this kind, in lower case, the likeliest first */
  fields: readonly string[];
  /** for a limit without values of its own: which of the database’s values mean yes, in lower case */
  yes?: readonly string[];
  /** names of one and the same value in different databases, in lower case */
  alike?: readonly (readonly string[])[];
  /** values that say nothing of the kind, in lower case: a record that has no others lacks the data */
  saysNothing?: readonly string[];
  /** the values that can be said in words where a database has no such limit */
  inWords?: readonly string[];
  /** a value in words; null where it cannot be said so */
  wordsFor?: (value: string, strength?: Strength) => Query | null;
  /** whether its words come in several strengths */
  strengths?: true;
  /** whether words are taken by themselves where a database has no such limit: they lose hardly anything wrongly */
  wordsUnasked?: true;
  /** what comes nearest where a database has nothing of the kind, as a sentence */
  nearest: string;
  /** what records lack that the limit cannot judge, such as “no language recorded” */
  lacking: string;
}

/** Any of the phrases, in title, abstract and keywords. @throws RangeError for text that is no phrase */
export function anyWords(texts: readonly string[], field: 'words' | 'title' | 'journal' = 'words'): Query {
  const operands = texts.map((text): Query => {
    const read = parsePhrase(text);
    if (!read.ok) throw new RangeError(`“${text}”: ${read.error.message}`);
    return { kind: 'words', field, phrase: read.phrase };
  });
  const [only] = operands;
  return operands.length === 1 && only !== undefined ? only : { kind: 'or', operands };
}

/** `wordsFor` and `inWords` of a kind whose values are said by lists of words. */
export function saidBy(
  words: Readonly<Record<string, readonly string[]>>,
): Required<Pick<LimitKind, 'inWords' | 'wordsFor'>> {
  return {
    inWords: Object.keys(words),
    wordsFor: (value) => {
      const texts = Object.entries(words).find(([each]) => each === value.toLowerCase())?.[1];
      return texts === undefined ? null : anyWords(texts);
    },
  };
}

/** What a person typed, as words; null where that is no phrase. */
export function typedWords(field: 'words' | 'journal'): NonNullable<LimitKind['wordsFor']> {
  return (value) => {
    const read = parsePhrase(value);
    return read.ok ? { kind: 'words', field, phrase: read.phrase } : null;
  };
}
