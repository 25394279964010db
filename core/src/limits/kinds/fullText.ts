import type { LimitKind } from '../kind.js';

export const fullText: LimitKind = {
  id: 'fullText',
  name: 'Full text held',
  about:
    'Works that the database holds in full. What is at hand is not what is true: it serves a first look, and hardly ever a review.',
  values: 'yes',
  fields: ['fulltextheld', 'fulltext'],
  yes: ['yes', 'true'],
  nearest: 'Full texts are looked for once records are kept.',
  lacking: 'not recorded whether held',
};
