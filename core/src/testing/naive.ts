/**
 * The slow, plain reading of a query, one record at a time, for comparison. It shares no code with the index:
 * it normalises whole strings, splits them with one expression and looks at every position.
 */
import type { BibRecord } from '../records/index.js';
import { sectionsOf } from '../records/index.js';
import {
  SEARCH_FIELDS,
  textFieldsOf,
  type Query,
  type WordPattern,
  type WordsQuery,
} from '../query/index.js';

export function naiveWords(text: string): string[] {
  const plain = text
    .normalize('NFKC')
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replaceAll('ς', 'σ')
    .replaceAll('ʼ', '’')
    .replace(/(?<=[\p{L}\p{N}])['’]s(?![\p{L}\p{N}])/gu, ' ');
  return plain.split(/[^\p{L}\p{N}]+/u).filter((word) => word !== '');
}

function patternExpression(pattern: WordPattern): RegExp {
  return new RegExp(`^${pattern.text.replaceAll('?', '[\\s\\S]')}${pattern.anyEnding ? '.*' : ''}$`, 'u');
}

function starts(words: readonly string[], phrase: readonly WordPattern[]): number[] {
  return words
    .map((_, i) => i)
    .filter((i) => phrase.every((pattern, k) => patternExpression(pattern).test(words[i + k] ?? '\n')));
}

function combinations(lists: readonly number[][]): number[][] {
  return lists.reduce<number[][]>(
    (all, list) => all.flatMap((head) => list.map((item) => [...head, item])),
    [[]],
  );
}

function nearHolds(
  parts: readonly WordsQuery[],
  distance: number,
  ordered: boolean,
  at: readonly number[],
): boolean {
  return at.every((start, i) =>
    at.every((other, j) => {
      if (j <= i) return true;
      const after = other - (start + (parts[i]?.phrase.length ?? 1) - 1);
      const before = start - (other + (parts[j]?.phrase.length ?? 1) - 1);
      const fits = (gap: number) => gap >= 1 && gap <= distance;
      return fits(after) || (!ordered && fits(before));
    }),
  );
}

export function naiveMatches(
  query: Query,
  record: BibRecord,
  narrowerOf: (label: string) => readonly string[],
  lines: ReadonlyMap<number, Query> = new Map(),
): boolean {
  const again = (operand: Query) => naiveMatches(operand, record, narrowerOf, lines);
  const same = (a: string, b: string) => naiveWords(a).join(' ') === naiveWords(b).join(' ');
  switch (query.kind) {
    case 'words':
      return textFieldsOf(query.field).some((field) =>
        sectionsOf(record, field).some((section) => starts(naiveWords(section), query.phrase).length > 0),
      );
    case 'near':
      return SEARCH_FIELDS.flatMap(textFieldsOf).some(
        (field) =>
          query.parts.every((part) => textFieldsOf(part.field).includes(field)) &&
          sectionsOf(record, field).some((section) => {
            const words = naiveWords(section);
            const lists = query.parts.map((part) => starts(words, part.phrase));
            return combinations(lists).some((at) =>
              nearHolds(query.parts, query.distance, query.ordered, at),
            );
          }),
      );
    case 'heading': {
      const labels = [query.label, ...(query.narrower ? narrowerOf(query.label) : [])];
      return record.headings.some(
        (heading) =>
          heading.vocabulary === query.vocabulary &&
          labels.some((label) => same(label, heading.label)) &&
          (!query.central || heading.central) &&
          (query.subheadings.length === 0 ||
            query.subheadings.some((each) => heading.subheadings.some((own) => same(own, each)))),
      );
    }
    case 'limit':
      if ('from' in query) return record.year >= (query.from ?? 0) && record.year <= (query.to ?? 9999);
      return query.values.some((value) =>
        query.field === 'language'
          ? same(value, record.language)
          : (query.field === 'publicationType'
              ? record.publicationTypes
              : (record.limits[query.field] ?? [])
            ).some((own) => same(own, value)),
      );
    case 'line': {
      const line = lines.get(query.line);
      return line !== undefined && again(line);
    }
    case 'and':
      return query.operands.every(again);
    case 'or':
      return query.operands.some(again);
    case 'not':
      return again(query.include) && !again(query.exclude);
    case 'everything':
      return true;
  }
}
