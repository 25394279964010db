import type { Check, Finding } from '../check.js';

/** Two words side by side, outside of quotation marks, that are neither operators nor names of fields. */
const SIDE_BY_SIDE =
  /(?<![\p{L}\p{N}*:.~=])(?!(?:AND|OR|NOT|in)\b)(\p{L}[\p{L}\p{N}*?]+)[ \t]+(?!(?:AND|OR|NOT|in)\b)(\p{L}[\p{L}\p{N}*?]+)(?![\p{L}\p{N}*:(=~])/iu;

/** Words side by side are no phrase where nothing holds them together. */
export const unquotedPhrase: Check = {
  id: 'unquoted-phrase',
  name: 'A phrase without quotation marks',
  about:
    'Words side by side are searched apart, anywhere in the record. Only quotation marks make a phrase of them.',
  find: ({ lines, database }) =>
    lines.flatMap((line): Finding[] => {
      const { written } = line;
      // What stands in quotation marks is passed over, with every sign where it was.
      const bare = written?.replace(/"[^"]*"|'[^']*'/g, ({ length }) => '"'.repeat(length));
      const found = bare === undefined ? null : SIDE_BY_SIDE.exec(bare);
      if (found === null || written === null) return [];
      const [whole] = found;
      const quoted = `${written.slice(0, found.index)}"${whole}"${written.slice(found.index + whole.length)}`;
      const phrase = `${found[1] ?? ''} ${found[2] ?? ''}`;
      return [
        {
          check: 'unquoted-phrase',
          at: line.key,
          detail: `${database.id} ${phrase}`,
          message: `“${phrase}” stands without quotation marks, so that the words are searched apart.`,
          weight: 'warning',
          mends: [
            {
              text: `Write “${phrase}” as a phrase`,
              mend: { kind: 'writeText', line: line.key, text: quoted },
            },
          ],
        },
      ];
    }),
};
