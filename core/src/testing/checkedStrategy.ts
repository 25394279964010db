/** Strategies to be checked, and what they are made of. */
import type { CheckedLine, CheckedStrategy } from '../checks/index.js';
import type { Lane, OwnLine, Term, TermContent } from '../strategy/index.js';
import { indexVocabulary, type Heading, type Vocabulary } from '../vocabulary/index.js';

export const heading = (label: string, broader: string[] = [], entryTerms: string[] = []): Heading => ({
  label,
  broader,
  entryTerms,
  scopeNote: '',
  related: [],
  historyNote: null,
  subheadings: ['care'],
});
export const TREE: Vocabulary = {
  id: 'tree',
  name: 'Tree of things',
  release: '2026-10-01',
  headings: [
    heading('People'),
    heading('Staff', ['People'], ['workers']),
    heading('Porters', ['Staff']),
    heading('Treatments'),
    heading('Light', ['Treatments'], ['lamps']),
    heading('Bright light', ['Light']),
    heading('Night shifts', [], ['night work']),
  ],
};
export const tree = indexVocabulary(TREE);

export const words = (
  text: string,
  parts: Partial<Extract<TermContent, { kind: 'words' }>> = {},
): TermContent => ({
  kind: 'words',
  text,
  field: 'words',
  near: null,
  ...parts,
});
export const subject = (
  label: string,
  parts: Partial<Extract<TermContent, { kind: 'heading' }>> = {},
): TermContent => ({
  kind: 'heading',
  vocabulary: 'tree',
  label,
  narrower: true,
  central: false,
  subheadings: [],
  ...parts,
});
export const term = (content: TermContent, id: string): Term => ({
  id,
  content,
  origin: 'typed',
  heldBack: null,
});
export const lane = (id: string, contents: TermContent[], leftOut = false): Lane => ({
  id,
  name: id,
  leftOut,
  terms: contents.map((content, i) => term(content, `${id}${i}`)),
});
export const own = (id: string, text: string, parts: Partial<OwnLine> = {}): OwnLine => ({
  id,
  role: 'looks',
  on: true,
  text,
  note: '',
  ...parts,
});
export const line = (key: string, parts: Partial<CheckedLine> = {}): CheckedLine => ({
  key,
  number: 1,
  kind: 'term',
  laneId: null,
  hits: 5,
  adds: null,
  written: null,
  cautions: [],
  understood: null,
  expected: '',
  ...parts,
});
export const strategy = (parts: Partial<CheckedStrategy>): CheckedStrategy => ({
  lanes: [],
  own: [],
  lines: [],
  problems: [],
  limits: [],
  database: { id: 'db', name: 'A database', vocabulary: 'tree', fields: ['words', 'title'] },
  vocabulary: (id) => (id === 'tree' ? tree : null),
  indexWords: new Map(),
  leftOut: {},
  elsewhere: [],
  whole: null,
  records: null,
  ...parts,
});

export const limit = {
  id: 'm',
  key: 'limit:m',
  name: 'Humans',
  on: true,
  ways: ['own', 'words', 'either'],
} as const;
export const staff = [subject('Staff'), words('nurse*')];
