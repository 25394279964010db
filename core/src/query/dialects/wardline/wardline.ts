/**
 * CQL with the index names of the Wardline Nursing & Allied Index: `wn.title = "night shift*" and
 * wn.subject ==/narrower "Shift work"`. Read from left to right. There is no `?`, and near stays within one field.
 */
import { SEARCH_FIELDS } from '../../model.js';
import { cqlForm, CQL_ABILITIES } from '../../cql/form.js';
import { parseCql } from '../../cql/interpret.js';
import type { Abilities, Dialect } from '../dialect.js';
import { printIn } from '../printing.js';
import { precedenceCaution } from '../reading.js';

const PRECEDENCE = 'they are read from left to right';
const abilities: Abilities = {
  ...CQL_ABILITIES,
  fields: SEARCH_FIELDS.filter((field) => field !== 'fulltext'),
  oneLetter: false,
  inPhrase: { anyEnding: true, oneLetter: false },
  near: { ordered: true, acrossFields: false, phrases: true },
  headings: { central: true, subheadings: true, anyVocabulary: false },
};
const SET = 'wn.';
/** Where Wardline's name is another than ours. */
const OWN_NAMES: Readonly<Record<string, string>> = {
  words: 'text',
  headings: 'subjectwords',
  heading: 'subject',
  author: 'person',
  year: 'published',
};
const indexOf = (name: string) => SET + (OWN_NAMES[name] ?? name);

export const wardlineDialect: Dialect = {
  id: 'wardline',
  form: 'CQL with index names of its own',
  precedence: PRECEDENCE,
  abilities,
  print(query, context) {
    const form = cqlForm({ indexOf, modifierSet: '', vocabulary: context.vocabulary ?? '' });
    return printIn(form, abilities, query, context);
  },
  parse(text, context) {
    const names = [...abilities.fields, 'heading', 'year', ...context.limitFields];
    const read = parseCql(text, {
      vocabulary: context.vocabulary ?? '',
      limitFields: context.limitFields,
      own: { indexes: new Map(names.map((name) => [indexOf(name), `el.${name}`])) },
    });
    if (!read.ok) return { ok: false, error: { message: read.error.message, at: read.error.at } };
    const cautions = read.mixed.flatMap((met) => precedenceCaution(met, PRECEDENCE) ?? []);
    return { ok: true, query: read.query, cautions };
  },
};
