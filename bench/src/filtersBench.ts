/** How well the design filters find their designs, in records whose design is known. */
import { join } from 'node:path';
import {
  buildIndex,
  DESIGN_FILTERS,
  designFilter,
  docsOf,
  evaluate,
  filterFigures,
  STRENGTHS,
  type FilterFigures,
  type Query,
  type Share,
} from '@even-lantern/core';
import { readContent, writeRecords } from '@even-lantern/standins';
import { measured, type Measurement } from './measure.js';

const root = join(import.meta.dirname, '..', '..');
const SIZE = 8000;
/** Kinds that a filter finds with their family, by the names that the generator gives them. */
const FAMILY: Readonly<Record<string, string>> = {
  'parallel-group randomised trial': 'randomised trial',
  'cross-over trial': 'randomised trial',
  'cluster-randomised trial': 'randomised trial',
  'controlled before-after study': 'quasi-experimental study',
  'interrupted time series': 'quasi-experimental study',
  'case report': 'case series',
  'interview study': 'qualitative study',
  'focus group study': 'qualitative study',
  ethnography: 'qualitative study',
  'grounded theory study': 'qualitative study',
  'phenomenological study': 'qualitative study',
  'meta-analysis': 'systematic review',
};

export function filtersBench(): Measurement[] {
  const written = writeRecords(readContent(join(root, 'standins', 'content')), {
    seed: 20270202,
    size: SIZE,
  });
  const index = buildIndex(written.map(({ record }) => record));
  const designs = written.map(({ design }) => FAMILY[design] ?? design);
  const context = { narrowerOf: () => null };
  const figuresOf = (query: Query, design: string): FilterFigures => {
    const found = evaluate(query, index, context);
    if (!found.ok) throw new Error(found.error.message);
    const docs = [...docsOf(found.documents)];
    const right = docs.filter((doc) => designs[doc] === design).length;
    const all = designs.filter((each) => each === design).length;
    const wrong = docs.length - right;
    return filterFigures({ right, wrong, missed: all - right, passed: written.length - all - wrong });
  };
  const shown = (share: Share | null) => (share === null ? Number.NaN : share.value);
  return DESIGN_FILTERS.flatMap(({ design }) =>
    STRENGTHS.flatMap((strength) => {
      const query = designFilter(design, strength);
      const name = design.toLowerCase();
      if (query === null || !designs.includes(name)) return [];
      const { sensitivity, specificity, precision, toRead } = figuresOf(query, name);
      const aims = { 'nearly all': '>= 0.95', balanced: '>= 0.85', 'nearly only': undefined };
      const add = (what: string, value: number, unit: string, aim?: string) =>
        measured('filters', `${name}, ${strength}: ${what}`, value, unit, aim);
      return [
        add('sensitivity', shown(sensitivity), '', aims[strength]),
        add('specificity', shown(specificity), ''),
        add('precision', shown(precision), '', strength === 'nearly only' ? '>= 0.85' : undefined),
        add('to read', shown(toRead), 'records'),
      ];
    }),
  );
}
