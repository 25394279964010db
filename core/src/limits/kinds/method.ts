import type { LimitKind } from '../kind.js';

export const method: LimitKind = {
  id: 'method',
  name: 'Method',
  about:
    'How a work was made, in the terms of a database that has such a limit. For other databases, limit the study design.',
  values: 'chosen',
  fields: ['method', 'methodology'],
  nearest: 'Limit the study design instead.',
  lacking: 'no method recorded',
};
