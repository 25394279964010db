/** The ways in which an author's name is written when somebody looks for it: both orders, initials or full names. */

interface GivenForms {
  /** as it stands, the initials apart, and the initials together; each once */
  forms: readonly string[];
  /** the first name alone, and its initial, where there are more names */
  firsts: readonly string[];
}

const known = new Map<string, GivenForms>();
/** Given names are few; what comes after so many is worked out each time. */
const MOST_KNOWN = 20_000;

/**
 * Texts that hold a name in every order as words that follow each other. Punctuation does not matter.
 * @example nameForms('P A', 'Tremblayne') // P A Tremblayne P A, PA Tremblayne PA, P Tremblayne
 */
export function nameForms(given: string, family: string): string[] {
  const { forms, firsts } = formsOfGiven(given);
  return [
    ...forms.map((form) => `${form} ${family} ${form}`),
    ...firsts.map((first) => `${first} ${family}`),
  ];
}

function formsOfGiven(given: string): GivenForms {
  const before = known.get(given);
  if (before !== undefined) return before;
  const words = given.split(/[^\p{L}\p{M}\p{N}'’]+/u).filter((word) => word !== '');
  const [only] = words;
  // Capitals in one word are initials that stand together.
  const together = words.length === 1 && only !== undefined && /^\p{Lu}{2,4}$/u.test(only);
  const initials = together ? Array.from(only) : words.map((word) => Array.from(word)[0] ?? '');
  const forms = [...new Set([given, initials.join(' '), initials.join('')])];
  const [initial = ''] = initials;
  const first = together ? initial : (only ?? '');
  const found = { forms, firsts: initials.length > 1 ? [...new Set([first, initial])] : [] };
  if (known.size < MOST_KNOWN) known.set(given, found);
  return found;
}
