import { DESIGN_FILTERS, designFilter } from '../../designs/index.js';
import type { LimitKind } from '../kind.js';

export const design: LimitKind = {
  id: 'design',
  name: 'Study design',
  about:
    'Studies of these designs, with all their kinds. Labels are wrong or missing in many records, so look at what own limit and filter find without each other.',
  values: 'chosen',
  fields: ['design', 'method', 'kind', 'publicationtype'],
  alike: [
    ['cross-over trial'],
    ['case report'],
    ['interview study', 'interview'],
    ['randomised trial', 'cross-over trial', 'cluster-randomised trial', 'trial record'],
    ['quasi-experimental study', 'controlled before-after study', 'interrupted time series'],
    ['cohort study', 'follow-up study'],
    ['cross-sectional study', 'cross-sectional survey', 'survey'],
    ['case series', 'case report'],
    ['systematic review', 'review', 'review from elsewhere'],
    ['narrative review', 'literature review'],
    ['protocol', 'study protocol'],
    ['opinion', 'editorial'],
    ['overview for practice', 'continuing-education overview', 'care summary'],
  ],
  saysNothing: [
    'journal article',
    'article',
    'research article',
    'empirical study',
    'thesis',
    'book',
    'dissertation',
  ],
  inWords: DESIGN_FILTERS.map((filter) => filter.design),
  wordsFor: (value, strength = 'balanced') => designFilter(value, strength),
  strengths: true,
  wordsUnasked: true,
  nearest: 'Tell the designs apart while reading: the record says which is likely, and why.',
  lacking: 'no label yet',
};
