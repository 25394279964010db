import { parsePhrase, printPhrase } from '../query/index.js';
import { textKey } from '../text/index.js';
import type { TermContent } from './model.js';

/**
 * Whether two terms are one and the same, so that a lane need not hold both: the same heading with the same subheadings,
 * however it is searched, or the same words in the same fields, however they are typed.
 */
export function sameTerm(one: TermContent, other: TermContent): boolean {
  if (one.kind === 'heading') {
    return (
      other.kind === 'heading' &&
      one.vocabulary === other.vocabulary &&
      textKey(one.label) === textKey(other.label) &&
      keyOfAll(one.subheadings) === keyOfAll(other.subheadings)
    );
  }
  return (
    other.kind === 'words' &&
    one.field === other.field &&
    one.near === other.near &&
    keyOfWords(one.text) === keyOfWords(other.text)
  );
}

function keyOfAll(subheadings: readonly string[]): string {
  return subheadings.map(textKey).sort().join('\n');
}

/** What is unfinished is compared as it stands. */
function keyOfWords(text: string): string {
  const phrase = parsePhrase(text);
  return phrase.ok ? printPhrase(phrase.phrase) : text.trim();
}
