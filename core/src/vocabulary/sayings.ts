/**
 * What people say for what headings name, from `core/content/sayings.txt`. Knowledge of the language, not of a
 * vocabulary: any heading that has one of these names, as its label or an entry term, is found by them too.
 */
import { SAYINGS_TEXT } from './sayings.generated.js';

/** A name, and what people say for it. */
export interface Sayings {
  name: string;
  sayings: readonly string[];
}

/** For each name in turn; a name may come more than once. */
export const SAYINGS: readonly Sayings[] = SAYINGS_TEXT.split('\n').map((line) => {
  const [name = '', sayings = ''] = line.split(': ');
  return { name, sayings: sayings.split('; ') };
});
