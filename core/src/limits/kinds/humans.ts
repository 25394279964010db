import { anyWords, type LimitKind } from '../kind.js';

const ANIMALS = [
  'mice',
  'mouse',
  'rat',
  'rats',
  'rabbit*',
  'porcine',
  'canine',
  'animal model*',
  'animal stud*',
  'in vivo animal*',
];
const PEOPLE = [
  'human*',
  'people',
  'patient*',
  'adult*',
  'women',
  'men',
  'child*',
  'nurse*',
  'staff',
  'worker*',
  'participants',
];

export const humans: LimitKind = {
  id: 'humans',
  name: 'Humans',
  about:
    'Studies of people. In words it leaves out what speaks of animals and not of people, so that what tells neither stays.',
  values: 'yes',
  fields: ['species', 'humans'],
  yes: ['human', 'humans', 'yes'],
  inWords: ['yes'],
  wordsFor: () => ({
    kind: 'not',
    include: { kind: 'everything' },
    exclude: { kind: 'not', include: anyWords(ANIMALS), exclude: anyWords(PEOPLE) },
  }),
  wordsUnasked: true,
  nearest: 'Set aside studies of animals while reading: there are mostly few.',
  lacking: 'not recorded whether of people',
};
