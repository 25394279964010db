/** A query in plain words, for people who check what a string means. */
import { childrenOf, isYearRange, type LimitQuery, type Query, type SearchField } from './model.js';
import { printPhrase } from './phrase.js';
import type { WordPattern } from './model.js';

/** A statement, and what it is about; without parts where it says all by itself. */
export interface PlainReading {
  text: string;
  parts: PlainReading[];
}

const FIELDS: Readonly<Record<SearchField, string>> = {
  words: 'title, abstract or keywords',
  title: 'the title',
  abstract: 'the abstract',
  keywords: 'the author’s keywords',
  headings: 'the words of headings',
  author: 'the authors',
  journal: 'the journal’s name',
  fulltext: 'the full text',
};

/** @returns the query as a tree of statements; `any of`, `all of` and `but not` stand over their parts */
export function plainReading(query: Query): PlainReading {
  const whole = (text: string): PlainReading => ({ text, parts: [] });
  switch (query.kind) {
    case 'words':
      return whole(`${phraseInWords(query.phrase)} in ${FIELDS[query.field]}`);
    case 'near': {
      const fields = [...new Set(query.parts.map(({ field }) => FIELDS[field]))];
      const words = query.parts.map(({ phrase }) => quoted(phrase));
      const order = query.ordered ? ', in this order' : '';
      return whole(
        `${words.join(` within ${query.distance} words of `)}${order}, in ${fields.join(' and ')}`,
      );
    }
    case 'heading': {
      const { label, narrower, central, subheadings } = query;
      return whole(
        [
          `the heading ${label}`,
          narrower ? 'with narrower' : 'alone, without narrower',
          ...(central ? ['central'] : []),
          ...(subheadings.length > 0 ? [`with the subheading ${subheadings.join(' or ')}`] : []),
        ].join(', '),
      );
    }
    case 'limit':
      return whole(limitInWords(query));
    case 'line':
      return whole(`what line ${query.line} finds`);
    case 'everything':
      return whole('all records');
    case 'and':
    case 'or':
      return {
        text: query.kind === 'and' ? 'all of' : 'any of',
        parts: childrenOf(query).map(plainReading),
      };
    case 'not': {
      const without: PlainReading = { text: 'but not', parts: [plainReading(query.exclude)] };
      return { text: 'those with', parts: [plainReading(query.include), without] };
    }
  }
}

/** The same in one line. */
export function plainSentence(query: Query): string {
  switch (query.kind) {
    case 'and':
    case 'or':
      return query.operands.map(operandInWords).join(` ${query.kind} `);
    case 'not':
      return `${operandInWords(query.include)} but not ${operandInWords(query.exclude)}`;
    case 'line':
      return `L${query.line}`;
    default:
      return plainReading(query).text;
  }
}

function operandInWords(query: Query): string {
  const compound = query.kind === 'and' || query.kind === 'or' || query.kind === 'not';
  return compound ? `(${plainSentence(query)})` : plainSentence(query);
}

function phraseInWords(phrase: readonly WordPattern[]): string {
  return quoted(phrase) + (phrase.some(({ anyEnding }) => anyEnding) ? ' with any ending' : '');
}

function quoted(phrase: readonly WordPattern[]): string {
  const words = printPhrase(phrase);
  return phrase.length > 1 ? `“${words}”` : words;
}

function limitInWords(limit: LimitQuery): string {
  if (!isYearRange(limit)) return `${limit.field} ${limit.values.join(' or ')}`;
  const { from, to } = limit;
  if (from === to && from !== null) return `of the year ${from}`;
  if (from === null) return to === null ? 'of any year' : `of ${to} or before`;
  return to === null ? `of ${from} or after` : `of the years ${from} to ${to}`;
}
