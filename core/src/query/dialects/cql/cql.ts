/**
 * CQL as any SRU server may take it, with the names of its indexes: `dc.title = "night shift*"`. Headings are those of
 * an index that a person named, `dc.subject == "Shift work"`; references to lines there are none, since servers differ.
 */
import { SEARCH_FIELDS } from '../../model.js';
import { CQL_ABILITIES } from '../../cql/form.js';
import { namedCqlForm, readNamedCql } from '../namedCql.js';
import type { DialectKind } from '../naming.js';

const PRECEDENCE = 'they are read from left to right';

export const cqlKind: DialectKind = {
  id: 'cql',
  form: 'CQL with index names of its own',
  precedence: PRECEDENCE,
  // The only index that every server has; the others are named server by server.
  names: {
    words: 'cql.serverChoice',
    title: null,
    abstract: null,
    keywords: null,
    headings: null,
    author: null,
    journal: null,
    fulltext: null,
    heading: null,
    year: null,
  },
  abilities: {
    ...CQL_ABILITIES,
    fields: SEARCH_FIELDS,
    near: { ordered: true, acrossFields: false, phrases: true },
    headings: { narrower: true, central: true, subheadings: true, anyVocabulary: false },
    lines: false,
  },
  formOf: namedCqlForm(''),
  read: readNamedCql({ limitSet: '', oneLetter: true, precedence: PRECEDENCE }),
};
