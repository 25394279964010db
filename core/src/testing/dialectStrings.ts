/** Strings of dialects in tests: reading, printing and what is wrong with them. */
import {
  dialectFrom,
  DIALECTS,
  type Dialect,
  type DialectContext,
  type DialectDescription,
  type Query,
} from '../query/index.js';

export const context: DialectContext = { vocabulary: 'tree', limitFields: ['language'] };
export const ALL = [...DIALECTS.keys()];
/** Dialects of databases that were described: other names, and less than their kinds have. */
const DESCRIBED: Record<string, DialectDescription> = {
  'a server with a few indexes': {
    kind: 'cql',
    names: { title: 'dc.title', author: 'dc.creator', year: 'dc.date', abstract: 'dc.description' },
    lacks: ['one letter'],
  },
  'a server that knows no endings': {
    kind: 'cql',
    names: { words: 'bib.any', title: 'bib.title' },
    lacks: ['endings', 'one letter', 'near'],
  },
  'a server with subject headings': {
    kind: 'cql',
    names: { title: 'dc.title', headings: 'dc.subject', heading: 'dc.subject', year: 'dc.date' },
    lacks: ['narrower', 'central', 'subheadings'],
  },
  'calls with other names': {
    kind: 'corvane',
    names: { words: 'anywhere', title: 'title', abstract: null, heading: 'topic', year: 'published' },
    lacks: ['narrower'],
  },
  'colons with other names': {
    kind: 'mindry',
    names: { title: 'named', heading: 'topic', journal: null, year: null },
    lacks: ['near'],
  },
  'calls without words in all fields': { kind: 'corvane', names: { words: null }, lacks: [] },
  'titles and abstracts alone': { kind: 'wardline', names: { words: null, keywords: null }, lacks: [] },
  'signs with other names': { kind: 'assayhouse', names: { words: 'any', heading: null }, lacks: [] },
  'plain with other names': { kind: 'skein', names: { title: 'heading', author: null }, lacks: ['endings'] },
};
export const EVERY = [...ALL, ...Object.keys(DESCRIBED)];
export const dialect = (id: string): Dialect => {
  const described = DESCRIBED[id];
  const found = described === undefined ? DIALECTS.get(id) : dialectFrom(described);
  if (found === undefined) throw new Error(`no dialect ${id}`);
  return found;
};
export const read = (id: string, text: string, more: Partial<DialectContext> = {}): Query => {
  const result = dialect(id).parse(text, { ...context, ...more });
  if (!result.ok) throw new Error(`${result.error.message} at ${result.error.at}`);
  return result.query;
};
export const printed = (id: string, text: string) => dialect(id).print(read('corvane', text), context);
export const wrong = (id: string, text: string) => {
  const result = dialect(id).parse(text, context);
  return result.ok ? null : [result.error.at, result.error.message];
};
