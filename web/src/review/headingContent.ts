import type { TermContent } from '@even-lantern/core';

export type HeadingContent = Extract<TermContent, { kind: 'heading' }>;
export type WordsContent = Extract<TermContent, { kind: 'words' }>;

export function headingContent(
  vocabulary: string,
  label: string,
  parts: Partial<HeadingContent> = {},
): HeadingContent {
  return { kind: 'heading', vocabulary, label, narrower: true, central: false, subheadings: [], ...parts };
}

export function wordsContent(text: string, near: number | null = null): WordsContent {
  return { kind: 'words', text, field: 'words', near };
}
