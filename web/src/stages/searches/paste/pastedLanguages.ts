/** In which ways a pasted strategy may be written: in the dialect of a database, or in CQL. */
import { parseLine, printCql, readPastedLines, type TextLanguage } from '@even-lantern/core';
import type { DatabaseProfile } from '@even-lantern/contract';
import { readerFor } from '../text/readText.js';

export interface PastedLanguage extends TextLanguage {
  id: string;
  name: string;
}

/** Only so much of a long text is tried in every language. */
const TRIED_LINES = 60;
const CQL = 'cql';

/** The databases’ own, in their order, and CQL. */
export function languagesOf(databases: readonly DatabaseProfile[]): PastedLanguage[] {
  const own = databases.flatMap((database): PastedLanguage[] => {
    const { dialect, context } = readerFor(database, null, 'own');
    if (dialect === null) return [];
    return [
      {
        id: database.id,
        name: database.name,
        read: (text) => dialect.parse(text, context),
        word: (word) => dialect.print(wordQuery(word), context).text,
      },
    ];
  });
  const [first] = databases;
  const context =
    first === undefined ? { vocabulary: null, limitFields: [] } : readerFor(first, null, 'cql').context;
  const cql: PastedLanguage = {
    id: CQL,
    name: 'CQL',
    read: (text) => parseLine({ language: 'cql', text }, null, context),
    word: (word) => printCql(wordQuery(word), { vocabulary: context.vocabulary ?? '' }),
  };
  return [...own, cql];
}

/** The language in which most of the first lines can be read; the first of them where several are as good. */
export function languageThatFits(text: string, languages: readonly PastedLanguage[]): PastedLanguage {
  const some = text.split('\n').slice(0, TRIED_LINES).join('\n');
  const readable = (language: PastedLanguage) =>
    readPastedLines(some, language).filter(({ query }) => query !== null).length;
  const counts = languages.map(readable);
  const best = languages[counts.indexOf(Math.max(...counts))];
  if (best === undefined) throw new RangeError('CQL is always among the languages');
  return best;
}

const wordQuery = (word: string) =>
  ({ kind: 'words', field: 'words', phrase: [{ text: word, anyEnding: false }] }) as const;
