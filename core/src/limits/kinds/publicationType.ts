import type { LimitKind } from '../kind.js';

export const publicationType: LimitKind = {
  id: 'publicationType',
  name: 'Publication type',
  about:
    'What kind of publication it is, such as article, review or dissertation. Each database has types of its own; for how a study was made, limit the study design.',
  values: 'chosen',
  fields: ['publicationtype', 'type', 'genre', 'doctype'],
  alike: [
    ['journal article', 'article', 'research article'],
    ['dissertation', 'thesis'],
    ['editorial', 'opinion'],
    ['study protocol', 'protocol'],
  ],
  nearest: 'Limit the study design instead, which words can tell.',
  lacking: 'no type recorded',
};
