import { typedWords, type LimitKind } from '../kind.js';

export const journal: LimitKind = {
  id: 'journal',
  name: 'Journal',
  about:
    'Works in these journals, by words of their names. Databases write names of journals in different ways, and shorten them.',
  values: 'typed',
  fields: [],
  wordsFor: typedWords('journal'),
  wordsUnasked: true,
  nearest: 'Sort by journal while reading.',
  lacking: 'no journal recorded',
};
