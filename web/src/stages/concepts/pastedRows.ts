import {
  headingByLabel,
  sameTerm,
  textKey,
  type PastedTerm,
  type TermContent,
  type VocabularyTree,
} from '@even-lantern/core';
import type { ReviewLane } from '../../review/lanes.js';
import { headingContent, wordsContent } from '../../review/headingContent.js';

export interface Row {
  term: PastedTerm;
  content: TermContent;
  /** why it is not taken unless somebody asks for it */
  against: string | null;
}

export const BEHIND_NOT = 'stood behind NOT; it was left out there';

/** Each pasted term; where plain words are also the name of a heading, that stands behind them for whoever wants it. */
export function rowsOf(
  terms: readonly PastedTerm[],
  lane: ReviewLane,
  tree: VocabularyTree | null,
  vocabulary: string,
): Row[] {
  const rows = terms.map((term) => rowOf(term, lane, tree, vocabulary));
  const named = new Set(rows.flatMap(({ content }) => (content.kind === 'heading' ? [content.label] : [])));
  return rows.flatMap((row) => {
    const { term, content } = row;
    const plain = content.kind === 'words' && term.near === null && !/[*?]/.test(term.text);
    const label = plain && tree !== null ? nameOf(tree, term.text) : null;
    if (label === null || named.has(label)) return [row];
    named.add(label);
    const heading = headingContent(vocabulary, label);
    const present = lane.terms.some((each) => sameTerm(each.content, heading));
    const against = present ? 'in the lane already' : 'the heading for these words';
    return [row, { term: { ...term, leftOut: [] }, content: heading, against }];
  });
}

/** What a pasted term becomes: a heading of this vocabulary where its shape and name say so, words otherwise. */
function rowOf(term: PastedTerm, lane: ReviewLane, tree: VocabularyTree | null, vocabulary: string): Row {
  const heading = term.looksLikeHeading && tree !== null ? nameOf(tree, term.text) : null;
  const content =
    heading === null
      ? wordsContent(term.looksLikeHeading ? asWords(term.text) : term.text, term.near)
      : headingContent(vocabulary, heading);
  const present = lane.terms.some((each) => sameTerm(each.content, content));
  const against = present
    ? 'in the lane already'
    : term.excluded
      ? BEHIND_NOT
      : term.duplicate
        ? 'twice in the list'
        : null;
  return { term, content, against };
}

function nameOf(tree: VocabularyTree, name: string): string | null {
  return headingByLabel(tree, name)?.label ?? tree.byEntryTerm.get(textKey(name))?.[0]?.label ?? null;
}

function asWords(text: string): string {
  return /\s/.test(text) && !text.startsWith('"') ? `"${text}"` : text;
}
