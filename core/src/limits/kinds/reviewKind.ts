import { saidBy, type LimitKind } from '../kind.js';

export const reviewKind: LimitKind = {
  id: 'reviewKind',
  name: 'Stage of a review',
  about:
    'Whether a systematic review is a protocol, complete or updated. Other works have no such stage, so the limit leaves them out.',
  values: 'chosen',
  fields: ['stage', 'reviewstage'],
  alike: [['full', 'complete']],
  ...saidBy({
    protocol: [
      'protocol for a systematic review',
      'systematic review protocol',
      'protocol of a review',
      'review protocol',
    ],
    full: ['systematic review', 'systematic reviews'],
    updated: ['updated review', 'update of a review', 'updated systematic review', 'an update'],
  }),
  nearest: 'Limit the study design to systematic reviews.',
  lacking: 'no stage recorded',
};
