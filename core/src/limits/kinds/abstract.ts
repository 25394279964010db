import type { LimitKind } from '../kind.js';

export const abstract: LimitKind = {
  id: 'abstract',
  name: 'Has an abstract',
  about: 'Records with an abstract. Editorials and old works have none, and neither do some good trials.',
  values: 'yes',
  fields: ['hasabstract', 'abstract'],
  yes: ['yes', 'true'],
  nearest: 'Records without an abstract are read by their titles.',
  lacking: 'not recorded whether it has one',
};
