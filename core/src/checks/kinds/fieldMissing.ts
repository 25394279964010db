import { missingFields, namedField, searchFieldsOf } from '../../strategy/index.js';
import { wordsOf } from '../looking.js';
import type { Check, Finding } from '../check.js';

/** A field that this database does not have. */
export const fieldMissing: Check = {
  id: 'field-missing',
  name: 'A field that is not here',
  about: 'The database cannot look in this field; what is searched instead finds something else.',
  find: (strategy) => {
    const { database } = strategy;
    return wordsOf(strategy).flatMap(({ term, content, at }): Finding[] => {
      const searched = searchFieldsOf(content.field, database.fields);
      const missing = [
        ...missingFields(content.field, database.fields),
        ...searched.filter((field) => !database.fields.includes(field)),
      ];
      const [first] = missing;
      if (first === undefined) return [];
      return [
        {
          check: 'field-missing',
          at,
          detail: `${database.id} ${missing.join(' ')}`,
          message: `${database.name} cannot look in: ${namedField(first).replace(/ only$/, '')}.`,
          weight: 'hint',
          mends:
            content.field === 'words'
              ? []
              : [
                  {
                    text: 'Look in title, abstract and keywords',
                    mend: { kind: 'changeTerm', termId: term.id, content: { ...content, field: 'words' } },
                  },
                ],
        },
      ];
    });
  },
};
