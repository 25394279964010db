/** What one character contributes to words: the rule that `tokens.ts` states, for a code point at a time. */

const LETTER_OR_DIGIT = /^[\p{L}\p{N}]$/u;
const MARK = /\p{M}/gu;
const ONLY_MARKS = /^\p{M}+$/u;

/** The characters that set a possessive `s` off, each one UTF-16 code unit. */
export const APOSTROPHES: ReadonlySet<string> = new Set(["'", '’', 'ʼ', '＇']);

/** Letters and digits, normalised, and `BORDER` wherever something else stands; nothing at all for marks. */
export interface Folding {
  pieces: readonly string[];
  /** a combining mark: it belongs to the letter before it and leaves no trace */
  mark: boolean;
}

export const BORDER = '';

const foldings = new Map<string, Folding>();

/** @param char one code point that is not ASCII; apostrophes fold to borders, though one of them counts as a letter */
export function foldingOf(char: string): Folding {
  const known = foldings.get(char);
  if (known !== undefined) return known;
  const mark = ONLY_MARKS.test(char);
  const folding = { pieces: mark ? [] : piecesOf(char), mark };
  foldings.set(char, folding);
  return folding;
}

function piecesOf(char: string): string[] {
  const normal = char.normalize('NFKC').toLowerCase().normalize('NFD').replace(MARK, '').replaceAll('ς', 'σ');
  return Array.from(normal, (piece) =>
    LETTER_OR_DIGIT.test(piece) && !APOSTROPHES.has(piece) ? piece : BORDER,
  );
}
