import type { Check, Finding } from '../check.js';

/** What a database did with a string without a word. */
export const silentMapping: Check = {
  id: 'silent-mapping',
  name: 'Read otherwise by the database',
  about:
    'The database says that it searched something else than was sent, such as a heading that it added by itself.',
  find: ({ lines, database }) =>
    lines.flatMap(({ key, number, understood, expected }): Finding[] =>
      understood === null || understood === expected
        ? []
        : [
            {
              check: 'silent-mapping',
              at: key,
              detail: `${database.id} ${understood}`,
              message: `${database.name} read L${number} otherwise than it was sent.`,
              weight: 'warning',
              mends: [],
            },
          ],
    ),
};
