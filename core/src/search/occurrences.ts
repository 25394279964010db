/** Where words, phrases and near parts stand: documents with positions, from the streams of a zone. */
import {
  textFieldsOf,
  matchesPattern,
  type NearQuery,
  type SearchField,
  type WordPattern,
  type WordsQuery,
} from '../query/index.js';
import { emptySet, has, intersect, newBits, setOfBits, setOfSorted, type DocSet } from './docSet.js';
import {
  forEachCommonDocument,
  keepWhere,
  MAX_SIDE_BY_SIDE,
  openCursor,
  readStarts,
  sideBySide,
} from './cursors.js';
import { EvaluationStop } from './evaluationError.js';
import { firstWordFrom, markDocuments, PostingCursor, SECTION_GAP, wordNumber } from './postings.js';
import { frequentBitsOf, type Zone } from './zone.js';
import { markListedPair } from './pairLists.js';
import { markPair, type FieldTest, type PairedWord } from './wordPairs.js';
import { nearStarts, nearTest } from './nearness.js';
import { UnionCursor } from './unionCursor.js';
import { FIELD_MASK, ZONE_OF, type SearchIndex, type ZoneName } from './searchIndex.js';

/** The most words that one pattern may stand for. More is an error that says so, never a silent cut. */
export const MAX_EXPANSION = 2000;

/** Documents, ascending, with the positions where each match begins, ascending. */
export interface Occurrences {
  docs: number[];
  positions: number[][];
}

/** The zone of a search field, and which fields of that zone count. */
export function zoneOfField(field: SearchField): { name: ZoneName; mask: number } {
  const fields = textFieldsOf(field);
  const [first = 'title'] = fields;
  return { name: ZONE_OF[first], mask: fields.reduce((mask, each) => mask | FIELD_MASK[each], 0) };
}

/**
 * The numbers of the words that a pattern stands for, in a zone's dictionary.
 * @throws EvaluationStop when there are more than `MAX_EXPANSION`
 */
export function expandPattern(zone: Zone, pattern: WordPattern): number[] {
  const mark = pattern.text.indexOf('?');
  if (mark === -1 && !pattern.anyEnding) {
    const number = wordNumber(zone, pattern.text);
    return number === -1 ? [] : [number];
  }
  const prefix = mark === -1 ? pattern.text : pattern.text.slice(0, mark);
  const numbers: number[] = [];
  for (let i = firstWordFrom(zone, prefix); i < zone.words.length; i += 1) {
    const word = zone.words[i] ?? '';
    if (!word.startsWith(prefix)) break;
    if (!matchesPattern(word, pattern)) continue;
    numbers.push(i);
    if (numbers.length > MAX_EXPANSION) {
      const text = pattern.text + (pattern.anyEnding ? '*' : '');
      throw new EvaluationStop({
        problem: 'too-many-words',
        message: `“${text}” stands for more than ${MAX_EXPANSION} words in this database. Write more letters.`,
      });
    }
  }
  return numbers;
}

/** The documents that hold a word or a phrase in its field. */
export function documentsWith(index: SearchIndex, query: WordsQuery): DocSet {
  const { name, mask } = zoneOfField(query.field);
  const zone = index.zones[name];
  const [only] = query.phrase;
  if (only !== undefined && query.phrase.length === 1) {
    return documentsWithAny(index.size, zone, expandPattern(zone, only), mask);
  }
  return documentsWithPhrase(index, query, zone, mask);
}

/** The most pairs of words that two patterns are written out as. */
const MAX_PAIRS = 16;

/** What makes two words a phrase. */
const FOLLOWING = { distance: 1, ordered: true };

/** The documents where words follow one another, found without storing any positions. */
function documentsWithPhrase(index: SearchIndex, query: WordsQuery, zone: Zone, mask: number): DocSet {
  const expansions = query.phrase.map((pattern) => expandPattern(zone, pattern));
  if (expansions.some((numbers) => numbers.length === 0)) return emptySet(index.size);
  if (expansions.some((numbers) => numbers.length > MAX_SIDE_BY_SIDE)) {
    return setOfSorted(Uint32Array.from(occurrencesOf(index, query, null).docs), index.size);
  }
  const bits = newBits(index.size);
  const inField = fieldTest(index, zoneOfField(query.field).name, mask);
  const [firsts, seconds] = expansions;
  const pairs = (firsts?.length ?? 0) * (seconds?.length ?? 0);
  if (firsts !== undefined && seconds !== undefined && expansions.length === 2 && pairs <= MAX_PAIRS) {
    for (const first of firsts)
      for (const second of seconds) {
        if (inField === null && markListedPair(bits, zone.pairs, first, second)) continue;
        const field = { mask, inField };
        markPair(
          bits,
          zone,
          index.size,
          { number: first, ...field },
          { number: second, ...field },
          FOLLOWING,
        );
      }
    return setOfBits(bits, index.size);
  }
  const cursors = expansions.map((numbers) => sideBySide(zone, numbers));
  const rarestFirst = [...cursors].sort((a, b) => a.documents - b.documents);
  forEachCommonDocument(rarestFirst, (doc) => {
    for (const cursor of cursors) if ((cursor.mask & mask) === 0) return;
    if (followOnce(cursors, inField)) bits[doc >>> 5] = (bits[doc >>> 5] ?? 0) | (1 << (doc & 31));
  });
  return setOfBits(bits, index.size);
}

/** Whether the words of the cursors follow one another somewhere in their common document. */
function followOnce(cursors: readonly (PostingCursor | UnionCursor)[], inField: FieldTest | null): boolean {
  const first = cursors[0];
  if (first === undefined) return false;
  for (const cursor of cursors) if (!cursor.nextPosition()) return false;
  for (;;) {
    let target = first.position;
    let follow = true;
    for (let i = 1; i < cursors.length; i += 1) {
      const cursor = cursors[i] ?? first;
      while (cursor.position < target + i) if (!cursor.nextPosition()) return false;
      if (cursor.position > target + i) {
        // No match can begin before this word allows it.
        target = cursor.position - i;
        follow = false;
        break;
      }
    }
    if (follow) {
      if (inField === null || inField(first.doc, target)) return true;
      target += 1;
    }
    while (first.position < target) if (!first.nextPosition()) return false;
  }
}

/** The documents where `near` holds. */
export function documentsNear(index: SearchIndex, query: NearQuery): DocSet {
  const [first, ...others] = query.parts.map((part) => zoneOfField(part.field).name);
  if (first === undefined || others.some((name) => name !== first)) return emptySet(index.size);
  const zone = index.zones[first];
  const expansions = query.parts.map((part) => part.phrase.map((pattern) => expandPattern(zone, pattern)));
  if (expansions.flat().some((numbers) => numbers.length === 0)) return emptySet(index.size);
  if (expansions.flat().some((numbers) => numbers.length > MAX_SIDE_BY_SIDE)) {
    return setOfSorted(Uint32Array.from(nearOccurrences(index, query, null).docs), index.size);
  }
  const fields = query.parts.map((part) => {
    const { mask } = zoneOfField(part.field);
    return { mask, inField: fieldTest(index, first, mask) };
  });
  const bits = newBits(index.size);
  const pairs = pairsOfWords(fields, expansions);
  if (pairs !== null && pairs.length <= MAX_PAIRS && query.distance < SECTION_GAP) {
    for (const [one, other] of pairs) markPair(bits, zone, index.size, one, other, query);
    return setOfBits(bits, index.size);
  }
  const parts = fields.map((field, i) => {
    const cursors = (expansions[i] ?? []).map((numbers) => sideBySide(zone, numbers));
    return { ...field, cursors, starts: [] as number[] };
  });
  const lists = parts.map(({ starts }) => starts);
  const holds = nearTest(query);
  const rarestFirst = parts.flatMap(({ cursors }) => cursors).sort((a, b) => a.documents - b.documents);
  forEachCommonDocument(rarestFirst, (doc) => {
    for (const { cursors, mask } of parts)
      for (const cursor of cursors) if ((cursor.mask & mask) === 0) return;
    for (const { cursors, inField, starts } of parts) {
      readStarts(cursors, starts);
      if (inField !== null) keepWhere(starts, (position) => inField(doc, position));
      if (starts.length === 0) return;
    }
    if (holds(lists)) bits[doc >>> 5] = (bits[doc >>> 5] ?? 0) | (1 << (doc & 31));
  });
  return setOfBits(bits, index.size);
}

/** Every word of the first of two parts with every word of the second; null when there are more parts, or phrases. */
function pairsOfWords(
  fields: readonly Omit<PairedWord, 'number'>[],
  expansions: readonly (readonly (readonly number[])[])[],
): [PairedWord, PairedWord][] | null {
  const [firstField, secondField, third] = fields;
  if (firstField === undefined || secondField === undefined || third !== undefined) return null;
  if (expansions.some((patterns) => patterns.length > 1)) return null;
  const [[firsts = []] = [], [seconds = []] = []] = expansions;
  return firsts.flatMap((first) =>
    seconds.map((second): [PairedWord, PairedWord] => [
      { number: first, ...firstField },
      { number: second, ...secondField },
    ]),
  );
}

/** Where a word or phrase begins, in the documents of `within` (all, when null). */
export function occurrencesOf(index: SearchIndex, query: WordsQuery, among: DocSet | null): Occurrences {
  const { name, mask } = zoneOfField(query.field);
  const zone = index.zones[name];
  const expansions = query.phrase.map((pattern) => expandPattern(zone, pattern));
  if (expansions.some((numbers) => numbers.length === 0)) return { docs: [], positions: [] };

  let candidates = among;
  if (expansions.some((numbers) => numbers.length > 1)) {
    // Only documents that hold every word are worth merging the positions of many words for.
    for (const numbers of expansions) {
      const set = documentsWithAny(index.size, zone, numbers, mask);
      candidates = candidates === null ? set : intersect(candidates, set);
    }
  }
  const cursors = expansions.map((numbers) => openCursor(zone, numbers, candidates));
  const inField = fieldTest(index, name, mask);
  const found: Occurrences = { docs: [], positions: [] };
  forEachCommonDocument(cursors, (doc) => {
    if (candidates !== null && !has(candidates, doc)) return;
    if (cursors.some((cursor) => (cursor.mask & mask) === 0)) return;
    const starts: number[] = [];
    readStarts(cursors, starts);
    if (inField !== null) keepWhere(starts, (position) => inField(doc, position));
    if (starts.length === 0) return;
    found.docs.push(doc);
    found.positions.push(starts);
  });
  return found;
}

/** Where the first part of each valid combination of near parts begins. */
export function nearOccurrences(index: SearchIndex, query: NearQuery, among: DocSet | null): Occurrences {
  const found: Occurrences = { docs: [], positions: [] };
  const zones = new Set(query.parts.map((part) => zoneOfField(part.field).name));
  if (zones.size !== 1) return found; // text in different zones is never near
  let candidates = among;
  for (const part of query.parts) {
    const { name, mask } = zoneOfField(part.field);
    for (const pattern of part.phrase) {
      const zone = index.zones[name];
      const set = documentsWithAny(index.size, zone, expandPattern(zone, pattern), mask);
      candidates = candidates === null ? set : intersect(candidates, set);
    }
  }
  const parts = query.parts.map((part) => occurrencesOf(index, part, candidates));
  const at = parts.map(() => 0);
  const [first] = parts;
  for (let i = 0; first !== undefined && i < first.docs.length; i += 1) {
    const doc = first.docs[i] ?? 0;
    const lists: number[][] = [];
    for (const [p, part] of parts.entries()) {
      let k = at[p] ?? 0;
      while (k < part.docs.length && (part.docs[k] ?? 0) < doc) k += 1;
      at[p] = k;
      if (part.docs[k] !== doc) break;
      lists.push(part.positions[k] ?? []);
    }
    if (lists.length < parts.length) continue;
    const starts = nearStarts(query, lists);
    if (starts.length === 0) continue;
    found.docs.push(doc);
    found.positions.push(starts);
  }
  return found;
}

/** Which field of zone `text` a position lies in, as a bit of the mask. */
export function fieldBitAt(index: SearchIndex, doc: number, position: number): number {
  if (position < (index.abstractStarts[doc] ?? 0)) return FIELD_MASK.title;
  return position < (index.keywordStarts[doc] ?? 0) ? FIELD_MASK.abstract : FIELD_MASK.keywords;
}

/** The mask of title, abstract and keywords, which are all of zone `text`. */
const EVERY_FIELD = FIELD_MASK.title | FIELD_MASK.abstract | FIELD_MASK.keywords;

function fieldTest(index: SearchIndex, zone: ZoneName, mask: number): FieldTest | null {
  if (zone !== 'text' || mask === EVERY_FIELD) return null;
  return (doc, position) => (fieldBitAt(index, doc, position) & mask) !== 0;
}

/** @param mask which fields of the zone count */
function documentsWithAny(universe: number, zone: Zone, numbers: readonly number[], mask: number): DocSet {
  const everyField = mask === EVERY_FIELD;
  const [only] = numbers;
  if (only !== undefined && numbers.length === 1) {
    const size = zone.documentCounts[only] ?? 0;
    const frequent = everyField ? frequentBitsOf(zone, only, universe) : null;
    if (frequent !== null) return { universe, size, sorted: null, bits: frequent };
    const docs = new Uint32Array(size);
    let found = 0;
    for (const cursor = new PostingCursor(zone, only); cursor.next();) {
      if ((cursor.mask & mask) === 0) continue;
      docs[found] = cursor.doc;
      found += 1;
    }
    return setOfSorted(docs.subarray(0, found), universe);
  }
  const bits = newBits(universe);
  for (const number of numbers) {
    const frequent = everyField ? frequentBitsOf(zone, number, universe) : null;
    if (frequent !== null) {
      for (let i = 0; i < bits.length; i += 1) bits[i] = (bits[i] ?? 0) | (frequent[i] ?? 0);
      continue;
    }
    markDocuments(bits, zone, number, mask);
  }
  return setOfBits(bits, universe);
}
