/** Highlighting: exactly the stretches of a record's text that made a query find it. */
import {
  isYearRange,
  matchesPattern,
  textFieldsOf,
  type NearQuery,
  type Query,
  type TextField,
  type WordsQuery,
} from '../query/index.js';
import { sectionsOf, type BibRecord } from '../records/index.js';
import { textKey, tokenise, type Token } from '../text/index.js';
import type { EvaluationContext } from './evaluate.js';
import { lineQuery } from './evaluate.js';
import { EvaluationStop } from './evaluationError.js';
import { nearStarts } from './nearness.js';

/** A half-open range of UTF-16 offsets. */
export interface Span {
  start: number;
  end: number;
}

export interface Highlights {
  /** spans by field and section, as `sectionsOf` lists them; merged and in order */
  fields: Partial<Record<TextField, Span[][]>>;
  /** labels of the record's headings that matched */
  headings: string[];
}

/**
 * Marks what matched in a record. Parts of an `or` that did not match, and excluded parts, mark nothing.
 * A phrase is marked as a whole; of `near`, each part that stands in a valid combination.
 */
export function highlight(query: Query, record: BibRecord, context: EvaluationContext): Highlights {
  const text = new RecordText(record);
  const marks: Marks = { fields: new Map(), headings: new Set() };
  try {
    mark(query, record, text, context, marks, []);
  } catch (stop) {
    // A query that cannot be evaluated marks nothing; whoever counted it has told why.
    if (!(stop instanceof EvaluationStop)) throw stop;
  }
  const fields: Highlights['fields'] = {};
  for (const [field, sections] of marks.fields) fields[field] = sections.map(mergeSpans);
  return { fields, headings: [...marks.headings] };
}

interface Marks {
  fields: Map<TextField, Span[][]>;
  headings: Set<string>;
}

/** A record's sections, split into words once. */
class RecordText {
  private readonly tokens = new Map<TextField, Token[][]>();
  constructor(private readonly record: BibRecord) {}

  sections(field: TextField): Token[][] {
    let sections = this.tokens.get(field);
    if (sections === undefined) {
      sections = sectionsOf(this.record, field).map((section) => tokenise(section));
      this.tokens.set(field, sections);
    }
    return sections;
  }
}

/** Marks what matches and returns whether the query finds the record. */
function mark(
  query: Query,
  record: BibRecord,
  text: RecordText,
  context: EvaluationContext,
  marks: Marks,
  openLines: readonly number[],
): boolean {
  const recurse = (operand: Query, into: Marks) => mark(operand, record, text, context, into, openLines);
  switch (query.kind) {
    case 'words':
      return markWords(query, text, marks);
    case 'near':
      return markNear(query, text, marks);
    case 'heading': {
      const narrower = context.narrowerOf(query.vocabulary, query.label);
      const labels = new Set([query.label, ...(query.narrower ? (narrower ?? []) : [])].map(textKey));
      const subheadings = new Set(query.subheadings.map(textKey));
      const matching = record.headings.filter(
        (heading) =>
          heading.vocabulary === query.vocabulary &&
          labels.has(textKey(heading.label)) &&
          (!query.central || heading.central) &&
          (subheadings.size === 0 || heading.subheadings.some((sub) => subheadings.has(textKey(sub)))),
      );
      for (const heading of matching) marks.headings.add(heading.label);
      return matching.length > 0;
    }
    case 'limit': {
      if (isYearRange(query)) {
        return record.year >= (query.from ?? -Infinity) && record.year <= (query.to ?? Infinity);
      }
      const values: readonly string[] =
        query.field === 'language'
          ? [record.language]
          : query.field === 'publicationType'
            ? record.publicationTypes
            : (record.limits[query.field] ?? []);
      return query.values.some((value) => values.some((own) => textKey(own) === textKey(value)));
    }
    case 'line':
      return mark(lineQuery(query.line, context, openLines), record, text, context, marks, [
        ...openLines,
        query.line,
      ]);
    case 'everything':
      return true;
    case 'or':
      return query.operands.map((operand) => recurse(operand, marks)).some(Boolean);
    case 'and': {
      const own: Marks = { fields: new Map(), headings: new Set() };
      if (!query.operands.every((operand) => recurse(operand, own))) return false;
      addMarks(marks, own);
      return true;
    }
    case 'not': {
      const own: Marks = { fields: new Map(), headings: new Set() };
      if (!recurse(query.include, own)) return false;
      if (recurse(query.exclude, { fields: new Map(), headings: new Set() })) return false;
      addMarks(marks, own);
      return true;
    }
  }
}

function markWords(query: WordsQuery, text: RecordText, marks: Marks): boolean {
  let found = false;
  for (const field of textFieldsOf(query.field)) {
    for (const [s, tokens] of text.sections(field).entries()) {
      for (const start of phraseStartsIn(tokens, query)) {
        found = true;
        addSpan(marks, text, field, s, spanOf(tokens, start, query.phrase.length));
      }
    }
  }
  return found;
}

function markNear(query: NearQuery, text: RecordText, marks: Marks): boolean {
  let found = false;
  const [first, ...rest] = query.parts.map((part) => textFieldsOf(part.field));
  const fields = (first ?? []).filter((field) => rest.every((others) => others.includes(field)));
  for (const field of fields) {
    for (const [s, tokens] of text.sections(field).entries()) {
      const lists = query.parts.map((part) => phraseStartsIn(tokens, part));
      for (const [p, part] of query.parts.entries()) {
        for (const start of lists[p] ?? []) {
          // Held fast at this place, does the part still belong to a valid combination?
          const held = lists.map((list, other) => (other === p ? [start] : list));
          if (nearStarts(query, held).length === 0) continue;
          found = true;
          addSpan(marks, text, field, s, spanOf(tokens, start, part.phrase.length));
        }
      }
    }
  }
  return found;
}

function phraseStartsIn(tokens: readonly Token[], query: WordsQuery): number[] {
  const starts: number[] = [];
  for (let start = 0; start + query.phrase.length <= tokens.length; start += 1) {
    if (query.phrase.every((pattern, i) => matchesPattern(tokens[start + i]?.word ?? '', pattern))) {
      starts.push(start);
    }
  }
  return starts;
}

function spanOf(tokens: readonly Token[], start: number, length: number): Span {
  return { start: tokens[start]?.start ?? 0, end: tokens[start + length - 1]?.end ?? 0 };
}

function addSpan(marks: Marks, text: RecordText, field: TextField, section: number, span: Span): void {
  let sections = marks.fields.get(field);
  if (sections === undefined) {
    sections = text.sections(field).map(() => []);
    marks.fields.set(field, sections);
  }
  sections[section]?.push(span);
}

function addMarks(marks: Marks, more: Marks): void {
  for (const [field, sections] of more.fields) {
    const known = marks.fields.get(field);
    if (known === undefined) marks.fields.set(field, sections);
    else sections.forEach((spans, i) => known[i]?.push(...spans));
  }
  for (const heading of more.headings) marks.headings.add(heading);
}

function mergeSpans(spans: readonly Span[]): Span[] {
  const merged: Span[] = [];
  for (const span of [...spans].sort((a, b) => a.start - b.start || a.end - b.end)) {
    const last = merged.at(-1);
    if (last !== undefined && span.start <= last.end) last.end = Math.max(last.end, span.end);
    else merged.push({ ...span });
  }
  return merged;
}
