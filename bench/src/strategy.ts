/** A strategy of 40 lines over the invented world: terms of four lanes, the lanes, and all of them. */
import { parseCql, type Query } from '@even-lantern/core';

const LANES: readonly (readonly string[])[] = [
  [
    'nurse*', '"night shift*"', '"shift work*"', '"hospital staff"', '"rotating shifts"', '"ward staff"', 'paramedic*',
    '"ambulance crews"', 'midwives', 'residents',
  ],
  [
    '"bright light"', 'phototherap*', '"blue enriched light"', '"light glasses"', 'lamp*', '"dynamic lighting"',
    'melatonin', 'caffeine', '"planned nap"', '"sleep hygiene"',
  ],
  [
    'sleepi*', '"day sleep"', 'drows*', 'alertness', 'fatigue', '"reaction time"', '"sleep quality"', 'insomnia',
    'burnout',
  ],
  ['randomi*', '"cross over"', '"random order"', 'trial*', 'cohort', 'questionnaire'],
]; // prettier-ignore

export interface BenchLine {
  query: Query;
  /** the same in the syntax of SQLite's FTS5, with operators written out */
  fts5: string;
}

export function read(text: string): Query {
  const result = parseCql(text, { vocabulary: 'corvane-subject-tree', limitFields: ['language'] });
  if (!result.ok) throw new Error(`${text}: ${result.error.message}`);
  return result.query;
}

/** One term in FTS5: phrases in quotes, the star behind them. */
export function fts5Term(term: string): string {
  const star = /\*"?$/.test(term) ? ' *' : '';
  const text = `"${term.replace(/["*]/g, '')}"${star}`;
  return `{title abstract keywords} : ${text}`;
}

/** Two lanes more, with which the strategy has 60 lines. */
export const FURTHER_LANES: readonly (readonly string[])[] = [
  ['hospital*', 'ward*', 'clinic*', '"intensive care"', '"nursing homes"', 'emergency', 'community', 'home', 'rural'],
  ['adult*', 'older', 'women', 'staff', 'worker*', 'student*', 'patient*', 'carer*', 'volunteer*'],
]; // prettier-ignore

/**
 * 35 terms, 4 lanes as the OR of their lines, and the AND of the lanes: 40 lines. FTS5 gets them written out.
 * @param further lanes beside those four
 */
export function benchStrategy(further: readonly (readonly string[])[] = []): BenchLine[] {
  const lines: BenchLine[] = [];
  const ref = (line: number): Query => ({ kind: 'line', line });
  const lanes = [...LANES, ...further].map((terms) => {
    const numbers = terms.map((term) => lines.push({ query: read(term), fts5: fts5Term(term) }));
    const fts5 = terms.map((term) => `(${fts5Term(term)})`).join(' OR ');
    return { number: lines.push({ query: { kind: 'or', operands: numbers.map(ref) }, fts5 }), fts5 };
  });
  lines.push({
    query: { kind: 'and', operands: lanes.map(({ number }) => ref(number)) },
    fts5: lanes.map(({ fts5 }) => `(${fts5})`).join(' AND '),
  });
  return lines;
}
