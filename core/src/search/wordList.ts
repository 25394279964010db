import type { SearchField } from '../query/index.js';
import { documentsWith, zoneOfField } from './occurrences.js';
import { firstWordFrom } from './postings.js';
import type { SearchIndex } from './searchIndex.js';

/**
 * The words of a field in dictionary order, with the number of documents that hold each.
 *
 * @param from the word to begin at; it need not be in the dictionary
 * @param before how many of the words that come before `from` to list as well
 */
export function listWords(
  index: SearchIndex,
  field: SearchField,
  from: string,
  count: number,
  before = 0,
): { word: string; documents: number }[] {
  const { words } = index.zones[zoneOfField(field).name];
  const at = firstWordFrom(index.zones[zoneOfField(field).name], from);
  const documents = (word: string) =>
    documentsWith(index, { kind: 'words', field, phrase: [{ text: word, anyEnding: false }] }).size;
  const list: { word: string; documents: number }[] = [];
  for (let i = at - 1; i >= 0 && list.length < before; i -= 1) {
    const word = words[i] ?? '';
    const size = documents(word);
    if (size > 0) list.unshift({ word, documents: size });
  }
  for (let i = at; i < words.length && list.length < count; i += 1) {
    const word = words[i] ?? '';
    const size = documents(word);
    if (size > 0) list.push({ word, documents: size });
  }
  return list;
}
