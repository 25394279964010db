import type { LimitKind } from '../kind.js';

export const journalGroup: LimitKind = {
  id: 'journalGroup',
  name: 'Journal group',
  about: 'Journals of one field, as the database groups them.',
  values: 'chosen',
  fields: ['journalgroup', 'subset'],
  nearest: 'Limit to journals by their names.',
  lacking: 'no group recorded',
};
