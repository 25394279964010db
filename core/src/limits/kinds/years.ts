import type { LimitKind } from '../kind.js';

export const years: LimitKind = {
  id: 'years',
  name: 'Years of publication',
  about:
    'Records published in these years, both included. A reason is a change in practice or in what was measured, not convenience.',
  values: 'years',
  fields: [],
  nearest: 'Sort by year while reading, and set aside what is too old.',
  lacking: 'no year recorded',
};
