/** Terms and lines in plain words. */
import { parsePhrase, plainSentence, printPhrase, type Query } from '../query/index.js';
import type { Lane, Line, Term, TermContent } from './model.js';
import type { TermField } from './termFields.js';

const FIELD_NAMES: Readonly<Partial<Record<TermField, string>>> = {
  words: 'title, abstract, keywords',
  headings: 'words in headings and subheadings',
  fulltext: 'full text',
  withHeadings: 'title, abstract, keywords, words in headings and subheadings',
  everything: 'everything',
};

/** Where a term is looked for, in plain words. */
export function namedField(field: TermField): string {
  return FIELD_NAMES[field] ?? `${field} only`;
}

/** How a term is searched, in plain words. */
export function describeTerm(content: TermContent): { text: string; marks: string[] } {
  if (content.kind === 'heading') {
    const marks = [
      describeNarrower(content.narrower),
      ...(content.central ? ['central'] : []),
      ...content.subheadings.map((subheading) => `subheading ${subheading}`),
    ];
    return { text: content.label, marks };
  }
  const phrase = parsePhrase(content.text);
  const words = phrase.ok ? printPhrase(phrase.phrase).split(' ') : [content.text];
  const field = namedField(content.field);
  if (content.near !== null && words.length > 1) {
    return { text: words.join(` within ${content.near} words of `), marks: [field] };
  }
  return { text: words.length > 1 ? `“${words.join(' ')}”` : words.join(' '), marks: [field] };
}

/** How a term is searched, as far as that is not the usual: a heading with its narrower, words in the usual fields. */
export function unusualMarks(content: TermContent): string[] {
  const usual = content.kind === 'heading' ? describeNarrower(true) : namedField('words');
  return describeTerm(content).marks.filter((mark) => mark !== usual);
}

function describeNarrower(narrower: boolean | readonly string[]): string {
  if (narrower === true) return 'with narrower';
  if (narrower === false || narrower.length === 0) return 'this heading alone';
  const [first, second] = narrower;
  return narrower.length > 2
    ? `with ${narrower.length} of its narrower`
    : `with ${second === undefined ? first : `${first} and ${second}`}`;
}

/** A line in plain words: a term as it is searched, or the lines it joins. */
export function describeLine(line: Line, lanes: readonly Lane[]): string {
  if (line.edited) return `${plainSentence(line.query)} (written by hand)`;
  if (line.kind === 'limit') return `L${line.number - 1} within ${line.text ?? ''}`;
  if (line.kind === 'own') return plainSentence(line.query);
  if (line.kind === 'lane' && holdsTerms(line.query)) return describeTerms(line, lanes);
  if (line.kind !== 'term') return describeJoined(line.query);
  const term = termsOf(lanes).get(line.termId ?? '');
  if (term === undefined) return '';
  const { text, marks } = describeTerm(term.content);
  return `${text} (${marks.join(', ')})`;
}

/** Of lanes as they stand: each line of a long strategy asks for one. */
const termsById = new WeakMap<readonly Lane[], ReadonlyMap<string, Term>>();

function termsOf(lanes: readonly Lane[]): ReadonlyMap<string, Term> {
  const known = termsById.get(lanes);
  if (known !== undefined) return known;
  const terms = new Map(lanes.flatMap((lane) => lane.terms.map((term): [string, Term] => [term.id, term])));
  termsById.set(lanes, terms);
  return terms;
}

/** Whether a lane says its terms itself, and does not only join their lines. */
function holdsTerms(query: Query): boolean {
  return query.kind === 'or' && query.operands.some(({ kind }) => kind !== 'line');
}

function describeTerms({ laneId }: Line, lanes: readonly Lane[]): string {
  const lane = lanes.find(({ id }) => id === laneId);
  const searched = lane?.terms.filter(({ heldBack }) => heldBack === null) ?? [];
  return searched.map(({ content }) => describeTerm(content).text).join(' or ');
}

function describeJoined(query: Query): string {
  switch (query.kind) {
    case 'line':
      return `L${query.line}`;
    case 'and':
    case 'or':
      return query.operands
        .map((operand) =>
          operand.kind === 'line' ? describeJoined(operand) : `(${describeJoined(operand)})`,
        )
        .join(` ${query.kind} `);
    case 'not': {
      const [include, exclude] = [query.include, query.exclude].map((part) =>
        part.kind === 'line' ? describeJoined(part) : `(${describeJoined(part)})`,
      );
      return `${include} not ${exclude}`;
    }
    default:
      return query.kind;
  }
}
