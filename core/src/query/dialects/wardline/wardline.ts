/**
 * CQL with the index names of the Wardline Nursing & Allied Index: `wn.title = "night shift*" and
 * wn.subject ==/narrower "Shift work"`. Read from left to right. There is no `?`, and near stays within one field.
 */
import { SEARCH_FIELDS } from '../../model.js';
import { CQL_ABILITIES } from '../../cql/form.js';
import { namedCqlForm, readNamedCql } from '../namedCql.js';
import type { DialectKind } from '../naming.js';

const PRECEDENCE = 'they are read from left to right';
const SET = 'wn.';

export const wardlineKind: DialectKind = {
  id: 'wardline',
  form: 'CQL with index names of its own',
  precedence: PRECEDENCE,
  names: {
    words: 'wn.text',
    title: 'wn.title',
    abstract: 'wn.abstract',
    keywords: 'wn.keywords',
    headings: 'wn.subjectwords',
    author: 'wn.person',
    journal: 'wn.journal',
    fulltext: null,
    heading: 'wn.subject',
    year: 'wn.published',
  },
  abilities: {
    ...CQL_ABILITIES,
    fields: SEARCH_FIELDS.filter((field) => field !== 'fulltext'),
    oneLetter: false,
    inPhrase: { anyEnding: true, oneLetter: false },
    near: { ordered: true, acrossFields: false, phrases: true },
    headings: { narrower: true, central: true, subheadings: true, anyVocabulary: false },
  },
  formOf: namedCqlForm(SET),
  read: readNamedCql({ limitSet: SET, oneLetter: false, precedence: PRECEDENCE }),
};
