import type { LimitKind } from '../kind.js';

export const length: LimitKind = {
  id: 'length',
  name: 'Length',
  about:
    'How many pages a work has. Short ones are mostly letters, comments and abstracts of talks; articles that count no pages have no length.',
  values: 'chosen',
  fields: ['pages', 'length'],
  nearest: 'Limit the publication type instead.',
  lacking: 'no pages recorded',
};
