/** Limits, and databases that know some of them or none. */
import type { Limit, LimitsOfDatabase, LimitValues } from '../limits/index.js';
import { SEARCH_FIELDS } from '../query/index.js';

export const chosen = (...values: string[]): LimitValues => ({ kind: 'values', values });
export const years = (from: number | null, to: number | null): LimitValues => ({ kind: 'years', from, to });
export const limit = (kind: string, values: LimitValues, parts: Partial<Limit> = {}): Limit => ({
  id: kind, kind, values, reason: '', on: true, ways: {}, ...parts,
}); // prettier-ignore

export const database: LimitsOfDatabase = {
  id: 'db',
  limits: {
    language: ['English', 'German'],
    ageGroup: ['adult', 'child', 'older adult'],
    species: ['human'],
    indexing: ['indexed', 'not yet indexed'],
    pages: [],
  },
  years: true,
  fields: SEARCH_FIELDS,
};
export const bare: LimitsOfDatabase = { id: 'bare', limits: {}, years: false, fields: SEARCH_FIELDS };
