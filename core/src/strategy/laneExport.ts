/** Lanes in open forms: JSON to be read back, and tables to be read by people. */
import { markdownText, toCsv } from '../text/index.js';
import { describeTerm } from './describe.js';
import type { Lane, TermContent, TermOrigin } from './model.js';

/** The name of the form, which a reader checks first. Raised when the form changes. */
export const LANES_FORM = 'even-lantern-lanes/2';
/** The form before elements had several lanes; it is still read. */
export const EARLIER_LANES_FORM = 'even-lantern-lanes/1';

/** The JSON form of lanes; `docs/guide/lanes.schema.json` describes it. */
export interface LanesDocument {
  form: typeof LANES_FORM | typeof EARLIER_LANES_FORM;
  title: string;
  lanes: LaneDocument[];
  /** what is kept for later; absent in files of earlier releases */
  shelf?: ShelfDocument[];
}

/** Headings and words that belong to no lane yet. */
export interface ShelfDocument {
  name: string;
  contents: TermContent[];
  origin: TermOrigin;
  /** where it came from, in words */
  source: string;
}

export interface LaneDocument {
  name: string;
  /** the key of the question's element; null for a further concept */
  element: string | null;
  /** absent in the earlier form, where no lane is left out */
  leftOut?: boolean;
  terms: { content: TermContent; origin: TermOrigin; heldBack: string | null }[];
}

export interface NamedLane extends Lane {
  element: string | null;
}

export function laneToDocument({ name, element, leftOut, terms }: NamedLane): LaneDocument {
  return {
    name,
    element,
    leftOut,
    terms: terms.map(({ content, origin, heldBack }) => ({ content, origin, heldBack })),
  };
}

export function lanesToDocument(
  title: string,
  lanes: readonly NamedLane[],
  shelf: readonly ShelfDocument[] = [],
): LanesDocument {
  return {
    form: LANES_FORM,
    title,
    lanes: lanes.map(laneToDocument),
    shelf: shelf.map(({ name, contents, origin, source }) => ({ name, contents, origin, source })),
  };
}

/** One row a term (RFC 4180). Cells that look like formulas are defused. */
export function lanesToCsv(lanes: readonly NamedLane[]): string {
  const header = [
    'lane',
    'element',
    'joined with',
    'kind',
    'term',
    'how it is searched',
    'held back because',
    'came from',
  ];
  const rows = lanes.flatMap(({ name, element, leftOut, terms }) =>
    terms.map(({ content, heldBack, origin }) => {
      const { text, marks } = describeTerm(content);
      return [
        name,
        element ?? '',
        joinedWith(leftOut),
        content.kind,
        text,
        marks.join('; '),
        heldBack ?? '',
        origin,
      ];
    }),
  );
  return toCsv([header, ...rows]);
}

function joinedWith(leftOut: boolean): string {
  return leftOut ? 'NOT' : 'AND';
}

/** A table a lane, to be read as it is. */
export function lanesToMarkdown(
  title: string,
  lanes: readonly NamedLane[],
  shelf: readonly ShelfDocument[] = [],
): string {
  const parts = [`# Concepts: ${markdownText(title)}`, ''];
  for (const { name, element, leftOut, terms } of lanes) {
    const tile = element === null ? '' : `${markdownText(element)}: `;
    parts.push(`## ${tile}${markdownText(name)}${leftOut ? ' (left out)' : ''}`, '');
    if (terms.length === 0) parts.push('Nothing to search yet.', '');
    else {
      parts.push('| Term | How it is searched |', '| --- | --- |');
      for (const { content, heldBack } of terms) {
        const { text, marks } = describeTerm(content);
        const how = heldBack === null ? marks.join(', ') : `held back: ${heldBack}`;
        parts.push(
          `| ${markdownText(text)}${content.kind === 'heading' ? ' (heading)' : ''} | ${markdownText(how)} |`,
        );
      }
      parts.push('');
    }
  }
  if (shelf.length > 0) {
    parts.push('## Shelf', '', 'Kept for later, and not searched.', '');
    for (const { name, contents } of shelf) {
      const terms = contents.map((content) => describeTerm(content).text).join('; ');
      parts.push(`- ${markdownText(name)}${terms === name ? '' : `: ${markdownText(terms)}`}`);
    }
    parts.push('');
  }
  return parts.join('\n');
}
