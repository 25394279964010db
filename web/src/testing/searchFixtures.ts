/** A strategy as a server counts and translates it, for tests of what shows it. */
import type { Rehearsal, RehearsedLine, TranslatedLine, Translation } from '@even-lantern/contract';

export const line = (number: number, parts: Partial<RehearsedLine>): RehearsedLine => ({
  number,
  kind: 'term',
  laneId: 'l-i',
  termId: 't',
  limitId: null,
  ownId: null,
  description: `line ${number}`,
  changes: [],
  string: `el.words = "${number}"`,
  hits: number,
  error: null,
  ...parts,
});

export const rehearsal = (parts: Partial<Rehearsal>): Rehearsal => ({
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  countedAt: '',
  lines: [
    line(1, {}),
    line(2, { kind: 'lane', termId: null }),
    line(3, { kind: 'whole', laneId: null, termId: null }),
  ],
  terms: {},
  lanes: {},
  bridges: [],
  without: {},
  withoutElements: {},
  whole: { hits: 3, error: null },
  remains: { hits: 3, error: null },
  problems: [],
  uncounted: 0,
  ...parts,
});

export const translated = (number: number, parts: Partial<TranslatedLine> = {}): TranslatedLine => ({
  number,
  kind: number === 1 ? 'term' : number === 2 ? 'lane' : 'whole',
  laneId: 'l-i',
  termId: number === 1 ? 't' : null,
  limitId: null,
  ownId: null,
  description: `line ${number}`,
  changes: [],
  text: `line(${number - 1})`,
  sent: `words("${number}")`,
  losses: [],
  hits: number,
  error: null,
  intended: { hits: number, error: null },
  understood: `el.words = "${number}"`,
  expected: `el.words = "${number}"`,
  key: number === 1 ? 'term:t' : number === 2 ? 'lane:l-i' : 'whole',
  written: null,
  version: 0,
  lanes: { own: `words("${number}")`, cql: `el.words = "${number}"`, hits: number, error: null },
  ...parts,
});

export const translation = (lines: TranslatedLine[], parts: Partial<Translation> = {}): Translation => ({
  database: 'db',
  databaseName: 'A database',
  release: '2026-10-01',
  simulated: true,
  queryType: 'corvane',
  precedence: null,
  lines,
  problems: [],
  unasked: 0,
  ...parts,
});
export const ALL_LINES = [1, 2, 3].map((number) => translated(number));
