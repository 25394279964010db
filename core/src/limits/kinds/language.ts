import type { LimitKind } from '../kind.js';

export const language: LimitKind = {
  id: 'language',
  name: 'Language',
  about:
    'Records of works in these languages. Leaving out languages can leave out results: titles and abstracts are mostly in English whatever the work is in.',
  values: 'chosen',
  fields: ['language', 'lang', 'languages'],
  alike: [
    ['english', 'eng', 'en'],
    ['german', 'ger', 'deu', 'de'],
    ['french', 'fre', 'fra', 'fr'],
    ['spanish', 'spa', 'es'],
    ['swedish', 'swe', 'sv'],
    ['portuguese', 'por', 'pt'],
    ['italian', 'ita', 'it'],
    ['dutch', 'dut', 'nld', 'nl'],
  ],
  nearest: 'Words do not tell the language of a work: read the titles, and set aside what nobody can read.',
  lacking: 'no language recorded',
};
