/** What can be written in a dialect, for those who type it: each with an empty place to fill. */
import { MAX_NEAR_DISTANCE, type Query, type SearchField } from '../model.js';
import { printCql } from '../cql/index.js';
import type { Dialect, DialectContext, Printed } from './dialect.js';

export interface Writing {
  /** what it looks for, in plain words */
  what: string;
  before: string;
  after: string;
  /** what goes between: words of people, the name of a heading, or nothing */
  holds: 'words' | 'heading' | 'value' | 'nothing';
}

/** Stands where something is filled in, and nowhere else. */
const PLACE = 'qq zz';
const PLACE_PHRASE = PLACE.split(' ').map((text) => ({ text, anyEnding: false }));

const FIELDS: Readonly<Record<SearchField, string>> = {
  words: 'title, abstract, keywords',
  title: 'title',
  abstract: 'abstract',
  keywords: 'author keywords',
  headings: 'words within headings',
  author: 'author',
  journal: 'journal',
  fulltext: 'full text',
};

/** @param dialect null for our CQL */
export function writingsIn(dialect: Dialect | null, context: DialectContext): Writing[] {
  const print = (query: Query): Printed =>
    dialect === null
      ? { text: printCql(query, { vocabulary: context.vocabulary ?? '' }), losses: [] }
      : dialect.print(query, context);
  const around = (what: string, holds: Writing['holds'], query: Query, place: string): Writing[] => {
    const { text, losses } = print(query);
    const at = text.indexOf(place);
    if (losses.length > 0 || at < 0) return [];
    return [{ what, holds, before: text.slice(0, at), after: text.slice(at + place.length) }];
  };
  const heading = (narrower: boolean): Query => ({
    kind: 'heading',
    vocabulary: context.vocabulary ?? '',
    label: PLACE,
    narrower,
    central: false,
    subheadings: [],
  });
  const fields = (Object.keys(FIELDS) as SearchField[]).flatMap((field) =>
    around(FIELDS[field], 'words', { kind: 'words', field, phrase: PLACE_PHRASE }, PLACE),
  );
  const near = PLACE_PHRASE.map((pattern): Query & { kind: 'words' } => ({
    kind: 'words',
    field: 'words',
    phrase: [pattern],
  }));
  const operators = dialect === null ? ['and', 'or', 'not'] : operatorsOf(print);
  return [
    ...fields,
    ...(context.vocabulary === null
      ? []
      : [
          ...around('heading with narrower', 'heading', heading(true), PLACE),
          ...around('heading alone', 'heading', heading(false), PLACE),
        ]),
    ...nearWriting(print({ kind: 'near', parts: near, distance: 3, ordered: false })),
    ...around('years', 'value', { kind: 'limit', field: 'year', from: 1111, to: 2222 }, '1111').map(
      (each) => ({
        ...each,
        after: each.after.replace('2222', ''),
      }),
    ),
    ...context.limitFields.flatMap((field) =>
      around(`limit: ${field}`, 'value', { kind: 'limit', field, values: [PLACE] }, PLACE),
    ),
    ...around('another line', 'value', { kind: 'line', line: 9 }, '9'),
    ...operators.map((text): Writing => ({ what: 'joins', before: text, after: '', holds: 'nothing' })),
  ];
}

/** Two words are filled in; the second stays behind the cursor. */
function nearWriting({ text, losses }: Printed): Writing[] {
  const [first = '', second = ''] = PLACE.split(' ');
  const at = text.indexOf(first);
  if (losses.length > 0 || at < 0) return [];
  const after = text.slice(at + first.length).replace(second, '');
  return [
    {
      what: `words near each other (1 to ${MAX_NEAR_DISTANCE})`,
      holds: 'words',
      before: text.slice(0, at),
      after,
    },
  ];
}

/** What a dialect writes between operands; what it writes by a space alone is left out. */
function operatorsOf(print: (query: Query) => Printed): string[] {
  const word = (text: string): Query => ({
    kind: 'words',
    field: 'words',
    phrase: [{ text, anyEnding: false }],
  });
  const [left, right] = [word('qq'), word('zz')];
  const queries: Query[] = [
    { kind: 'and', operands: [left, right] },
    { kind: 'or', operands: [left, right] },
    { kind: 'not', include: left, exclude: right },
  ];
  const first = print(left).text;
  const second = print(right).text;
  return queries
    .map((query) => print(query).text.slice(first.length, -second.length).trim())
    .filter((text) => text !== '');
}
