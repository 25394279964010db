import { ownKey } from '../../strategy/index.js';
import type { Check, Finding } from '../check.js';

/** Signs that word processors put in place of plain ones. */
const PRETTY: Readonly<Record<string, string>> = {
  '“': '"', '”': '"', '„': '"', '«': '"', '»': '"', '‘': "'", '’': "'", '–': '-', '—': '-', '\u00a0': ' ',
}; // prettier-ignore

/** Quotation marks and dashes of a word processor mean nothing to a database. */
export const wordProcessor: Check = {
  id: 'word-processor',
  name: 'Signs of a word processor',
  about:
    'Curly quotation marks, apostrophes and long dashes mean nothing in a search, or something else than meant.',
  find: (strategy) => {
    const plain = (text: string) => [...text].map((sign) => PRETTY[sign] ?? sign).join('');
    const ofOwn = strategy.own.flatMap(({ id, text }): Finding[] =>
      plain(text) === text
        ? []
        : [
            {
              check: 'word-processor',
              at: ownKey(id),
              detail: '',
              message: 'The line holds quotation marks, apostrophes or dashes as a word processor sets them.',
              weight: 'warning',
              mends: [{ text: 'Write plain ones', mend: { kind: 'writeOwn', ownId: id, text: plain(text) } }],
            },
          ],
    );
    const ofWritten = strategy.lines.flatMap(({ key, written }): Finding[] =>
      written === null || plain(written) === written
        ? []
        : [
            {
              check: 'word-processor',
              at: key,
              detail: strategy.database.id,
              message:
                'What was written here holds quotation marks, apostrophes or dashes as a word processor sets them.',
              weight: 'warning',
              mends: [
                { text: 'Write plain ones', mend: { kind: 'writeText', line: key, text: plain(written) } },
              ],
            },
          ],
    );
    return [...ofOwn, ...ofWritten];
  },
};
