import type { LimitKind } from '../kind.js';

export const added: LimitKind = {
  id: 'added',
  name: 'Years added',
  about:
    'Records that came into the database in these years, whenever the work was published. It serves to look again for what is new; it says nothing about a work.',
  values: 'years',
  fields: ['enteredyear', 'yearadded'],
  nearest: 'Run the search again and compare it with the run before.',
  lacking: 'no date of entry recorded',
};
