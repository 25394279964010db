import type { LimitKind } from '../kind.js';

export const peerReview: LimitKind = {
  id: 'peerReview',
  name: 'Peer reviewed',
  about:
    'Works from journals that have what they print judged by peers. It judges the journal, not the work.',
  values: 'yes',
  fields: ['peerreviewed', 'peerreview', 'refereed'],
  yes: ['yes', 'true', 'peer reviewed'],
  nearest: 'Limit to journals that are known to be peer reviewed, or look each journal up while reading.',
  lacking: 'not recorded whether peer reviewed',
};
