import { typedWords, type LimitKind } from '../kind.js';

export const country: LimitKind = {
  id: 'country',
  name: 'Country',
  about:
    'The country that a work is about or holds for. By words it finds works that name the country; most do not.',
  values: 'typed',
  fields: ['country', 'place', 'geographic'],
  wordsFor: typedWords('words'),
  wordsUnasked: true,
  nearest: 'Add its name as words to a lane.',
  lacking: 'no country recorded',
};
